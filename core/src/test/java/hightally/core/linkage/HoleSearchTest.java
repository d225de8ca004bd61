package hightally.core.linkage;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.quantity.InvalidInputException;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class HoleSearchTest {
  private static ThrowWish wish(double plus, double minus, double offSquare, double hornLean) {
    return new ThrowWish(
        plus,
        minus,
        50,
        List.of(7.0, 9.0, 11.0, 13.0),
        List.of(10.0, 13.0, 16.0),
        120,
        hornLean,
        new ArmSeating(25, 4),
        offSquare,
        0.09,
        60,
        25,
        500,
        150);
  }

  @Property
  void theThrowsFoundAreTheOnesTheLinkageThenGives(
      @ForAll @DoubleRange(min = 5, max = 25) double plus,
      @ForAll @DoubleRange(min = 5, max = 25) double minus,
      @ForAll @DoubleRange(min = -180, max = 180) double offSquare,
      @ForAll @DoubleRange(min = -12, max = 12) double hornLean) {
    List<RigChoice> choices = HoleSearch.best(wish(plus, minus, offSquare, hornLean), 5);
    assertThat(choices).isNotEmpty().isSortedAccordingTo(HoleSearch.ranking());
    for (RigChoice choice : choices) {
      FourBar bar = FourBar.of(choice.linkage());
      double way = bar.gain(0) > 0 ? 1 : -1;
      double up = bar.surfaceAngle(way * choice.plusEndpointPercent() / 100 * 500 * 0.09);
      double down = bar.surfaceAngle(-way * choice.minusEndpointPercent() / 100 * 500 * 0.09);
      assertThat(50 * Math.sin(Math.toRadians(up))).isCloseTo(plus, within(1e-6));
      assertThat(50 * Math.sin(Math.toRadians(down))).isCloseTo(-minus, within(1e-6));
      assertThat(choice.marginDegrees()).isPositive();
    }
  }

  /** A degree of arm is 11.11 µs, so 100 % are 45°; a degree of surface is 0.8727 mm at 50 mm. */
  @Property(tries = 100)
  void whatAChoiceIsWorthIsAsDocumented(
      @ForAll @DoubleRange(min = 5, max = 25) double plus,
      @ForAll @DoubleRange(min = 5, max = 25) double minus,
      @ForAll @DoubleRange(min = -180, max = 180) double offSquare,
      @ForAll @DoubleRange(min = -12, max = 12) double hornLean) {
    for (RigChoice choice : HoleSearch.best(wish(plus, minus, offSquare, hornLean), 8)) {
      FourBar bar = FourBar.of(choice.linkage());
      double gain = Math.abs(bar.surfaceAngle(0.001) - bar.surfaceAngle(-0.001)) / 0.002;
      double slop = Math.abs(0.8726646 * bar.withRod(bar.rodLengthMm() + 0.1).surfaceAngle(0));
      UsableRange range = RangeSearch.of(bar);
      double up = bar.armFor(Math.toDegrees(Math.asin(plus / 50)), 0);
      double down = bar.armFor(Math.toDegrees(Math.asin(-minus / 50)), 0);
      double margin = Math.min(Math.min(up, down) - range.from(), range.to() - Math.max(up, down));
      double apart = Math.abs(Math.abs(up) - Math.abs(down) * plus / minus) / 0.45;
      double cost =
          slop / 0.1
              + 0.8726646 * gain * 0.09 / 0.02
              + apart / 10
              + (margin < 25 ? (25 - margin) / 5 : 0)
              + Math.abs(choice.linkage().armLeanDegrees()) / 2;
      assertThat(choice.torqueNewtonCentimetres()).isCloseTo(25 / gain, within(1e-3));
      assertThat(choice.mmPerMicrosecond()).isCloseTo(0.8726646 * gain * 0.09, within(1e-5));
      assertThat(choice.slopMm()).isCloseTo(slop, within(1e-6));
      assertThat(choice.marginDegrees()).isCloseTo(margin, within(1e-6));
      assertThat(choice.cost()).isCloseTo(cost, within(1e-3));
    }
  }

  @Property
  void theArmIsSeatedWithinHalfTheFinestStepWhenNothingElseSpeaksAgainstIt(
      @ForAll @DoubleRange(min = -180, max = 180) double offSquare) {
    RigChoice best = HoleSearch.best(wish(14, 14, offSquare, 0), 1).get(0);
    assertThat(Math.abs(best.linkage().armLeanDegrees())).isLessThanOrEqualTo(3.6);
  }

  @Example
  void anInnerHoleWithFullEndpointsIsBetterThanAnOuterOneWithSmallOnes() {
    RigChoice best = HoleSearch.best(wish(12, 12, 0, 0), 1).get(0);
    assertThat(best.linkage().armRadiusMm()).isEqualTo(7);
    assertThat(best.linkage().hornRadiusMm()).isEqualTo(16);
  }

  @Example
  void saysWhichFieldCannotBe() {
    assertThatThrownBy(() -> HoleSearch.best(wish(50, 12, 0, 0), 1))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("plusMm is 50; it must be less than the chord"));
    ThrowWish far =
        new ThrowWish(
            45,
            45,
            50,
            List.of(7.0),
            List.of(16.0),
            120,
            0,
            new ArmSeating(25, 4),
            0,
            0.09,
            60,
            25,
            500,
            150);
    assertThat(HoleSearch.best(far, 1)).as("an arm hole too far in").isEmpty();
  }
}
