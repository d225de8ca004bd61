package hightally.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Servo;
import hightally.core.linkage.ArmSeating;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class OutputTest {
  private static Output output(SubTrimMode mode, boolean reversed, double subTrim) {
    return new Output(500, 1500, reversed, subTrim, mode, 80, 110, 900, 2100, 150);
  }

  @Example
  void subTrimThatShiftsMovesBothEnds() {
    // Low endpoint 80 %: 400 µs; high 110 %: 550 µs; all 40 µs up.
    Output output = output(SubTrimMode.SHIFT, false, 40);
    assertThat(output.pulse(-100)).isCloseTo(1140, within(1e-9));
    assertThat(output.pulse(0)).isCloseTo(1540, within(1e-9));
    assertThat(output.pulse(100)).isCloseTo(2090, within(1e-9));
  }

  @Example
  void fixedEndsStayWhereTheyWere() {
    Output output = output(SubTrimMode.FIXED_ENDS, false, 40);
    assertThat(output.pulse(-100)).isCloseTo(1100, within(1e-9));
    assertThat(output.pulse(0)).isCloseTo(1540, within(1e-9));
    assertThat(output.pulse(100)).isCloseTo(2050, within(1e-9));
  }

  @Example
  void reversingExchangesTheSidesButNotTheCentre() {
    Output output = output(SubTrimMode.SHIFT, true, -30);
    assertThat(output.pulse(100)).isCloseTo(1070, within(1e-9));
    assertThat(output.pulse(-100)).isCloseTo(2020, within(1e-9));
    assertThat(output.pulse(0)).isCloseTo(1470, within(1e-9));
  }

  @Example
  void firstTheCommandThenThePulseIsLimited() {
    Output output = output(SubTrimMode.SHIFT, false, 0);
    assertThat(output.pulse(200)).isEqualTo(2100);
    assertThat(output.pulse(-200)).isCloseTo(output.pulse(-150), within(1e-9)).isEqualTo(900);
    assertThat(output.slope(160)).isZero();
    assertThat(output.slope(119)).isZero();
    assertThat(output.slope(50)).isCloseTo(5.5, within(1e-12));
    assertThat(output.slope(0)).as("mean of 4.0 and 5.5").isCloseTo(4.75, within(1e-12));
  }

  @Example
  void anEndpointOfNothingStillHasASlopeToMeasureShiftsWith() {
    Output none = new Output(500, 1500, true, 0, SubTrimMode.SHIFT, 0, 0, 900, 2100, 150);
    assertThat(none.pulse(100)).isEqualTo(1500);
    assertThat(none.plainSlope(10)).isCloseTo(-5, within(1e-12));
  }

  @Property
  void thePulseRisesSteadilyWithTheCommandAndFallsWhenReversed(
      @ForAll SubTrimMode mode,
      @ForAll @DoubleRange(min = -60, max = 60) double subTrim,
      @ForAll @DoubleRange(min = -160, max = 159) double command) {
    assertThat(output(mode, false, subTrim).pulse(command + 1))
        .isGreaterThanOrEqualTo(output(mode, false, subTrim).pulse(command));
    assertThat(output(mode, true, subTrim).pulse(command + 1))
        .isLessThanOrEqualTo(output(mode, true, subTrim).pulse(command));
  }

  @Example
  void aServoStopsAtItsStopsAndTurnsTheOtherWayWhenItPulls() {
    Servo pushes =
        new Servo("s", "S", 1, 0.1, 1520, 45, false, 2, 20, new ArmSeating(25, 4), List.of(), 250);
    Servo pulls =
        new Servo("s", "S", 1, 0.1, 1520, 45, true, 2, 20, new ArmSeating(25, 4), List.of(), 250);
    assertThat(pushes.armDegrees(1620)).isCloseTo(12, within(1e-12));
    assertThat(pulls.armDegrees(1620)).isCloseTo(-8, within(1e-12));
    assertThat(pushes.armDegrees(2100)).isEqualTo(45);
    assertThat(pulls.armDegrees(2100)).isEqualTo(-45);
    assertThat(pushes.freeArmDegrees(2100)).isCloseTo(60, within(1e-12));
  }
}
