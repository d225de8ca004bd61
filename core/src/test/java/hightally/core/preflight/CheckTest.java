package hightally.core.preflight;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.preflight.CheckAnswer.Verdict;
import hightally.core.setup.Setup;
import hightally.core.trimming.Purpose;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Steps made from the demo models, and what answers to them mean. */
class CheckTest {
  private static final Setup BIPLANE = DemoModels.read("quillon");
  private static final Setup GLIDER = DemoModels.read("larkmere");
  private static final Setup WING = DemoModels.read("skerrow");

  private static List<CheckStep> steps(CheckKind kind, Setup setup, String pack) {
    return CheckSteps.of(kind, setup, Purpose.NONE, pack);
  }

  private static List<String> ids(List<CheckStep> steps) {
    return steps.stream().map(CheckStep::id).toList();
  }

  private static CheckStep step(List<CheckStep> steps, String id) {
    return steps.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
  }

  private static CheckAnswer answer(String step, Verdict verdict, int holds) {
    return new CheckAnswer(step, verdict, "", 3, 4, 0, holds);
  }

  @Test
  void aFlightCheckGoesFromPartsToThePilot() {
    List<CheckStep> steps = steps(CheckKind.FLIGHT, BIPLANE, "4S 3300, pack A");
    assertThat(ids(steps))
        .containsExactly(
            "parts",
            "pack",
            "on",
            "move-flight-roll",
            "move-flight-pitch",
            "move-flight-yaw",
            "cut",
            "weather",
            "pilot");
    assertThat(say(step(steps, "pack").lines()))
        .containsExactly(
            "4S 3300, pack A: balances at 118 mm (Leading edge of the upper wing, at the root),"
                + " inside its range");
    assertThat(say(step(steps, "parts").lines()))
        .contains("propeller tight, undamaged, blades tracking true");
    assertThat(say(step(steps, "on").lines())).anyMatch(one -> one.contains("at position 2"));
    assertThat(say(step(steps, "cut").caution())).contains("Never reach past a propeller");
    assertThat(say(step(steps, "weather").lines()).get(0)).isEqualTo("wind up to 5 m/s");
  }

  @Test
  void directionsAreTheBenchsOwnMillimetres() {
    CheckStep roll = step(steps(CheckKind.FLIGHT, BIPLANE, ""), "move-flight-roll");
    assertThat(say(roll.words())).isEqualTo("From behind: right stick to the right.");
    // Stick right: right ailerons up, left ones down and by the differential less.
    assertThat(say(roll.lines()))
        .anyMatch(one -> one.matches("Right aileron: up, \\d+ mm"))
        .anyMatch(one -> one.matches("Left aileron: down, \\d+ mm"));
    CheckStep yaw = step(steps(CheckKind.FLIGHT, BIPLANE, ""), "move-flight-yaw");
    assertThat(say(yaw.lines()).get(0)).matches("Elevator: up, .*|Rudder: right, \\d+ mm");
  }

  @Test
  void everyPhaseThatCanBeFlownIsMoved() {
    List<String> ids = ids(steps(CheckKind.FLIGHT, GLIDER, ""));
    GLIDER.phases().forEach(phase -> assertThat(ids).contains("move-" + phase.id() + "-pitch"));
    CheckStep one =
        steps(CheckKind.FLIGHT, GLIDER, "").stream()
            .filter(step -> step.id().equals("move-" + GLIDER.phases().get(0).id() + "-roll"))
            .findFirst()
            .orElseThrow();
    assertThat(say(one.words())).startsWith("Phase " + GLIDER.phases().get(0).name());
  }

  @Test
  void aModelWithoutAMotorHasNothingToCut() {
    assertThat(ids(steps(CheckKind.FLIGHT, WING, ""))).doesNotContain("cut");
    assertThat(ids(steps(CheckKind.RANGE, WING, "")))
        .containsExactly(
            "reduced", "paces", "quarter-1", "quarter-2", "quarter-3", "quarter-4", "whole");
    assertThat(ids(steps(CheckKind.RANGE, BIPLANE, ""))).hasSize(11).contains("running-4");
    assertThat(steps(CheckKind.RANGE, BIPLANE, "").stream().filter(CheckStep::counted)).hasSize(8);
    assertThat(ids(steps(CheckKind.PUPIL, BIPLANE, "")))
        .containsExactly(
            "holds", "pupil-roll", "pupil-pitch", "pupil-yaw", "pupil-throttle", "taking-back");
    assertThat(ids(steps(CheckKind.FULL, BIPLANE, ""))).contains("failsafe", "throws", "harmless");
    assertThat(ids(steps(CheckKind.FULL, WING, "")))
        .contains("failsafe")
        .doesNotContain("harmless");
  }

  @Test
  void aCheckIsTakenUpWhereItWasBrokenOff() {
    List<CheckStep> steps = steps(CheckKind.FLIGHT, BIPLANE, "");
    assertThat(CheckState.of(steps, List.of()).next()).isZero();
    List<CheckAnswer> some =
        new ArrayList<>(
            List.of(
                answer("parts", Verdict.RIGHT, 0),
                answer("pack", Verdict.LEFT_OUT, 0),
                answer("cut", Verdict.RIGHT, 0)));
    CheckState half = CheckState.of(steps, some);
    assertThat(half.next()).isEqualTo(2);
    assertThat(half.passed()).isFalse();
    assertThat(half.reasons()).isEmpty();
    steps.forEach(step -> some.add(answer(step.id(), Verdict.RIGHT, 0)));
    assertThat(CheckState.of(steps, some)).isEqualTo(new CheckState(-1, List.of()));
    assertThat(CheckState.of(steps, some).passed()).isTrue();
    some.add(answer("cut", Verdict.WRONG, 0));
    assertThat(say(CheckState.of(steps, some).reasons())).containsExactly("Throttle cut: wrong");
    some.add(answer("cut", Verdict.RIGHT, 0));
    assertThat(CheckState.of(steps, some).passed()).isTrue();
  }

  @Test
  void oneHoldGrounds() {
    List<CheckStep> steps = steps(CheckKind.RANGE, BIPLANE, "");
    List<CheckAnswer> answers = new ArrayList<>();
    steps.forEach(step -> answers.add(answer(step.id(), Verdict.RIGHT, 0)));
    assertThat(CheckState.of(steps, answers).passed()).isTrue();
    answers.add(answer("running-3", Verdict.RIGHT, 1));
    CheckState held = CheckState.of(steps, answers);
    assertThat(held.passed()).isFalse();
    assertThat(say(held.reasons()).get(0)).contains("one hold").contains("antennas");
  }

  @Test
  void whatIsDueFollowsFromWhatWasChanged() {
    assertThat(Due.of(null, null))
        .extracting(Due::kind)
        .containsExactly(CheckKind.FULL, CheckKind.RANGE);
    assertThat(Due.of(List.of(), List.of())).isEmpty();
    List<PartKind> servo = List.of(PartKind.SERVO);
    assertThat(Due.of(servo, servo)).extracting(Due::kind).containsExactly(CheckKind.FULL);
    List<PartKind> receiver = List.of(PartKind.RECEIVER, PartKind.PROPELLER);
    assertThat(Due.of(receiver, receiver)).extracting(Due::kind).hasSize(2);
    assertThat(say(Due.of(receiver, receiver).get(0).why()))
        .isEqualTo("Full check: due after the receiver and the propeller.");
    assertThat(say(Due.of(receiver, receiver).get(1).why()))
        .isEqualTo("Range check: due after the receiver.");
  }
}
