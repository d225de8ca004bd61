package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FlightTimer;
import hightally.core.program.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.InputRange;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.Example;

/** How conditions cut sticks, levers, switches and facts: by hand. */
class LineTest {
  private static final double JUST = 1e-6;

  private static Condition on(ConditionKind kind, String subject, double limit) {
    return held(kind, subject, limit, 0);
  }

  private static Condition held(ConditionKind kind, String subject, double limit, double seconds) {
    String id = (kind.name().startsWith("BELOW") ? "b-" : "c-") + subject + "-" + kind.ordinal();
    return new Condition(id, id, kind, subject, limit, List.of(), seconds);
  }

  private static Setup with(Condition... conditions) {
    FlightTimer up = new FlightTimer("clock", "Clock", false, 0, "", "", List.of());
    FlightTimer down = new FlightTimer("pack", "Pack", true, 300, "", "", List.of());
    return Rigs.plain()
        .change()
        .power(Power.PLAIN.withTimers(List.of(up, down)))
        .conditions(List.of(conditions))
        .done();
  }

  private static InputRange line(InputRange.Kind kind, Condition... conditions) {
    List<InputRange> found =
        InputRange.of(with(conditions)).stream().filter(one -> one.kind() == kind).toList();
    assertThat(found).hasSize(1);
    return found.get(0);
  }

  private static void cells(InputRange line, double... ends) {
    double[] found =
        Arrays.stream(line.cells())
            .flatMapToDouble(c -> java.util.stream.DoubleStream.of(c.from(), c.to()))
            .toArray();
    assertThat(found).hasSize(ends.length);
    for (int i = 0; i < ends.length; i++) {
      assertThat(found[i]).as("end " + i).isCloseTo(ends[i], within(1e-9));
    }
  }

  @Example
  void aLimitBelongsToTheSideOnWhichItChangesNothing() {
    InputRange above = line(InputRange.Kind.LEVER, on(ConditionKind.ABOVE, "lever", 40));
    cells(above, 0, 0.4, 0.4 + JUST, 1);
    assertThat(above.restingCell()).isZero();
    assertThat(above.cells()[0].at()).isZero();
    InputRange below = line(InputRange.Kind.LEVER, on(ConditionKind.BELOW, "lever", 40));
    cells(below, 0, 0.4 - JUST, 0.4, 1);
    InputRange both =
        line(
            InputRange.Kind.LEVER,
            on(ConditionKind.ABOVE, "lever", 40),
            on(ConditionKind.BELOW, "lever", 40));
    cells(both, 0, 0.4 - JUST, 0.4, 0.4, 0.4 + JUST, 1);
    assertThat(both.cells()[1].isPoint()).isTrue();
    assertThat(both.cells()[0].isPoint()).isFalse();
    assertThat(both.from(0)).containsExactly(1, 2);
    assertThat(both.from(1)).containsExactly(0, 2);
    assertThat(both.from(2)).containsExactly(0, 1);
  }

  @Example
  void sticksAreCutFromEndToEndAndThrottleFromItsRest() {
    InputRange stick =
        line(
            InputRange.Kind.STICK,
            on(ConditionKind.ABOVE, "roll", -30),
            on(ConditionKind.BELOW, "roll", 50));
    double just = 2 * JUST;
    cells(stick, -1, -0.3, -0.3 + just, 0.5 - just, 0.5, 1);
    assertThat(stick.restingCell()).as("where its centre lies").isEqualTo(1);
    assertThat(stick.cells()[1].at()).isZero();
    assertThat(stick.cells()[2].at()).isCloseTo(0.75, within(1e-9));
    assertThat(stick.from(0)).as("it slides").containsExactly(1);
    assertThat(stick.from(1)).containsExactly(0, 2);
    assertThat(stick.axis()).isZero();
    InputRange throttle = line(InputRange.Kind.THROTTLE, on(ConditionKind.ABOVE, "throttle", 10));
    cells(throttle, 0, 0.1, 0.1 + JUST, 1);
    assertThat(throttle.axis()).isEqualTo(3);
  }

  @Example
  void limitsAtTheEndsCutNothingOrTheEndItself() {
    InputRange full = line(InputRange.Kind.LEVER, on(ConditionKind.BELOW, "lever", 100));
    cells(full, 0, 1 - JUST, 1, 1);
    assertThat(InputRange.of(with(on(ConditionKind.ABOVE, "lever", 100))))
        .as("nothing is above it")
        .noneMatch(one -> one.kind() == InputRange.Kind.LEVER);
  }

  @Example
  void switchesThatSomethingListensToHaveTheirPositionsAndFactsTheirSides() {
    InputRange positions = line(InputRange.Kind.SWITCH, on(ConditionKind.SWITCH_AT, "switch", 2));
    cells(positions, 0, 0, 0.5, 0.5, 1, 1);
    assertThat(positions.from(0)).as("it jumps").containsExactly(1, 2);
    assertThat(positions.axis()).isEqualTo(5);
    assertThat(InputRange.of(with())).isEmpty();
    InputRange link = line(InputRange.Kind.LINK, on(ConditionKind.TELEMETRY_BELOW, "link", 40));
    assertThat(link.restingCell()).isEqualTo(1);
    assertThat(link.cells()[1].at()).isEqualTo(100);
    assertThat(link.cells()[0].to()).isLessThan(40);
    assertThat(link.axis()).isEqualTo(-1);
    InputRange pack =
        line(InputRange.Kind.VOLTAGE, on(ConditionKind.TELEMETRY_ABOVE, "voltage", 11));
    assertThat(pack.restingCell()).isEqualTo(1);
    assertThat(pack.cells()[1].at()).isEqualTo(12.6);
    InputRange clock = line(InputRange.Kind.TIMER, on(ConditionKind.TIMER_ABOVE, "clock", 60));
    assertThat(clock.restingCell()).isZero();
    assertThat(clock.cells()[0].to()).isEqualTo(60);
    assertThat(clock.cells()[1].from()).isGreaterThan(60);
    InputRange down = line(InputRange.Kind.TIMER, on(ConditionKind.TIMER_ABOVE, "pack", 60));
    assertThat(down.index()).isEqualTo(1);
    assertThat(down.restingCell()).as("it begins full").isEqualTo(1);
    assertThat(down.cells()[1].to()).isEqualTo(300);
    InputRange waits = line(InputRange.Kind.WAITING, held(ConditionKind.ABOVE, "pitch", 20, 1.5));
    cells(waits, 0, 0, 1, 1);
    assertThat(Stream.of(InputRange.Kind.values()).filter(InputRange.Kind::slides).toList())
        .containsExactly(InputRange.Kind.STICK, InputRange.Kind.THROTTLE, InputRange.Kind.LEVER);
  }

  @Example
  void aStateIsSomewhereInTheCellsOfItsLines() {
    SwitchStates states =
        new SwitchStates(
            SignalPath.of(
                with(
                    on(ConditionKind.ABOVE, "roll", 20),
                    on(ConditionKind.SWITCH_AT, "switch", 2),
                    on(ConditionKind.TELEMETRY_BELOW, "link", 40))));
    assertThat(states.count()).isEqualTo(2 * 3 * 2);
    for (int roll = 0; roll < 2; roll++) {
      for (int position = 0; position < 3; position++) {
        for (int link = 0; link < 2; link++) {
          int[] at = {roll, position, link};
          Moment moment = states.moment(at);
          AxisBox stretch = states.stretch(new long[] {1L << roll, 1L << position, 1L << link});
          assertThat(moment.roll()).isBetween(stretch.from()[0], stretch.to()[0]);
          assertThat(moment.roll() > 0.2).isEqualTo(roll == 1);
          assertThat(stretch.from()[5]).isEqualTo(moment.input(1)).isEqualTo(stretch.to()[5]);
          assertThat(moment.input(1)).isEqualTo(position / 2.0);
          assertThat(stretch.from()[1]).isEqualTo(-1);
          assertThat(moment.readings().linkPercent() < 40).isEqualTo(link != states.resting()[2]);
        }
      }
    }
    Moment rest = states.moment(states.filled(new long[] {3, 7, 3}));
    assertThat(rest.roll() + rest.pitch() + rest.yaw() + rest.throttle()).isZero();
    assertThat(rest.readings().linkPercent()).isEqualTo(100);
    assertThat(states.filled(new long[] {2, 6, 3})).startsWith(1, 1);
    AxisBox anywhere = states.stretch(new long[] {3, 7, 3});
    assertThat(anywhere.from()[0]).isEqualTo(-1);
    assertThat(anywhere.to()[0]).isEqualTo(1);
    assertThat(anywhere.to()[5]).isEqualTo(1);
  }

  @Example
  void theFurthestIsFoundWhereverItIs() {
    Moment rest = Moment.centred(hightally.core.program.Trims.ZERO);
    double[] stick = {-1, 0, 1};
    MaximumSearch two = new MaximumSearch(List.of(0, 1), List.of(stick, stick));
    MaximumSearch.Found peak =
        two.of(
            rest,
            at -> 5 - Math.abs(at.roll() - 0.3) - Math.abs(at.pitch() + 0.4),
            Double.POSITIVE_INFINITY);
    assertThat(peak.size()).isCloseTo(5, within(0.05));
    assertThat(peak.at().roll()).isCloseTo(0.3, within(0.05));
    assertThat(two.tried()).isGreaterThan(9);
    MaximumSearch enough = new MaximumSearch(List.of(0, 1), List.of(stick, stick));
    assertThat(enough.of(rest, at -> 1, 0).size()).isEqualTo(1);
    assertThat(enough.tried()).isEqualTo(1);
    MaximumSearch hopeless = new MaximumSearch(List.of(0), List.of(stick));
    assertThat(hopeless.of(rest, at -> -10 - at.roll(), 100, -5).size()).isEqualTo(-9);
    assertThat(hopeless.tried()).isEqualTo(3);
    MaximumSearch fixed = new MaximumSearch(List.of(0), List.of(new double[] {0.2}));
    assertThat(fixed.of(rest, Moment::roll, 100).size()).isZero();
    // A ridge across both axes: one at a time gets no further, both at once do.
    MaximumSearch ridge = new MaximumSearch(List.of(0, 1), List.of(stick, stick));
    MaximumSearch.Found along =
        ridge.of(
            rest,
            at -> 0.3 * (at.roll() + at.pitch()) - 10 * Math.abs(at.roll() - at.pitch()) - 0.5,
            Double.POSITIVE_INFINITY);
    assertThat(along.size()).isGreaterThan(0.05);
  }
}
