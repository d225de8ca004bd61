package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.channel.Channel;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Power;
import hightally.core.program.ThrottleCurve;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Planted, and just short of it: slowed channels, a cut on the motor's own lever, dead mixes. */
class MissedOrFalseTest {
  private static Set<String> told(Setup setup, HazardKind kind) {
    return HazardSearch.of(SignalPath.of(setup)).hazards().stream()
        .filter(one -> one.kind() == kind)
        .map(Hazard::subject)
        .collect(Collectors.toSet());
  }

  private static Setup slowed(Setup setup, double seconds) {
    List<Channel> channels =
        setup.channels().stream()
            .map(
                one ->
                    one.carriesThrottle()
                        ? one
                        : new Channel(
                            one.number(), one.name(), one.carries(), false, 0, 100, 100, seconds))
            .toList();
    return setup.change().channels(channels).done();
  }

  @Test
  void aSurfaceWhoseChannelIsSlowedDoesNotJump() {
    Setup jumps = HazardSearchTest.planted(HazardKind.SURFACE_JUMPS);
    assertThat(told(jumps, HazardKind.SURFACE_JUMPS)).isNotEmpty();
    assertThat(told(slowed(jumps, 5), HazardKind.SURFACE_JUMPS)).isEmpty();
    // A twentieth of a second for full travel is a jump to whoever flies it.
    assertThat(told(slowed(jumps, 0.05), HazardKind.SURFACE_JUMPS)).isNotEmpty();
  }

  /** The motor on the lever, and its cut where a condition says. */
  private static Setup levered(Condition cut) {
    Setup clean = HazardSearchTest.clean();
    List<Condition> conditions = new ArrayList<>(clean.conditions());
    conditions.add(cut);
    Power power = clean.power();
    return clean
        .change()
        .conditions(conditions)
        .power(
            new Power(
                "lever",
                false,
                List.of(ThrottleCurve.PLAIN),
                cut.id(),
                -100,
                "",
                false,
                power.failsafe(),
                true,
                List.of(),
                List.of(),
                List.of(),
                0))
        .done();
  }

  @Test
  void aCutOnTheMotorsOwnLeverStartsNothing() {
    Condition own = new Condition("own", "own", ConditionKind.BELOW, "lever", 3, List.of(), 0);
    assertThat(told(levered(own), HazardKind.MOTOR_STARTS)).isEmpty();
    // On a switch beside it: that is a start.
    String sw = HazardSearchTest.clean().conditions().get(0).subject();
    Condition beside =
        new Condition("beside", "beside", ConditionKind.SWITCH_AT, sw, 1, List.of(), 0);
    assertThat(told(levered(beside), HazardKind.MOTOR_STARTS)).isNotEmpty();
  }

  private static Mix lever(double plus, double minus, double start, MixTarget... targets) {
    return new Mix(
        "dead",
        "dead",
        "",
        MixSource.INPUT,
        "lever",
        plus,
        minus,
        start,
        List.of(),
        List.of(targets),
        "",
        List.of(),
        0);
  }

  private static Set<String> dead(Mix mix) {
    Setup setup = HazardSearchTest.clean().change().mixes(List.of(mix)).done();
    return told(setup, HazardKind.MIX_NEVER);
  }

  @Test
  void aMixThatCanNeverActIsToldAndOneThatJustCanIsNot() {
    MixTarget left = MixTarget.even("left", 1);
    assertThat(dead(lever(0, 50, 0, left))).as("a lever has no minus side").contains("dead");
    assertThat(dead(lever(2, 50, 0, left))).isEmpty();
    assertThat(dead(lever(50, 50, 100, left))).as("begins at its end").contains("dead");
    assertThat(dead(lever(50, 50, 96, left))).isEmpty();
    MixTarget against = MixTarget.even("left", -1);
    MixTarget nearly = MixTarget.even("left", -0.9);
    assertThat(dead(lever(50, 50, 0, left, against))).as("targets that cancel").contains("dead");
    assertThat(dead(lever(50, 50, 0, left, nearly))).isEmpty();
  }
}
