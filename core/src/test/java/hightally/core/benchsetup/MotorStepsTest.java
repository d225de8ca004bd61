package hightally.core.benchsetup;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.program.Power;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The motors on the bench: what each answer means, and what has to come before it. */
class MotorStepsTest {
  private static final Setup PLAIN = Rigs.plain();

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          motor-stop, taught, true, is its stop
          motor-stop, fixed, true, is its stop
          motor-touch, starts-and-stops, true, as it should
          motor-touch, runs-at-rest, false, must not run at rest
          motor-touch, does-not-start, false, needs its stop pulse first
          motor-way, right, true, The correct way
          motor-way, wrong, false, Swap any two of the three motor leads
          failsafe, motor-runs-on, false, Store the failsafe again with channel 3 at −100 %
          failsafe, motor-stops, false, no failsafe is entered here
          """)
  void whatAMotorDidIsJudged(String step, String choice, boolean agrees, String words) {
    StepResult verdict = motor(powered(false), Map.of(step, choice)).get(0);
    assertThat(verdict.agrees()).isEqualTo(agrees);
    assertThat(say(verdict.words())).contains(words);
  }

  @Test
  void aStopThatWasTaughtElsewhereIsNoted() {
    Setup high = powered(false).change().power(Power.PLAIN.stoppingAt(1200)).done();
    StepResult taught = motor(high, Map.of("motor-stop", "taught")).get(0);
    assertThat(taught.agrees()).isFalse();
    // -100 % with endpoint 100 is 1500 - 500 µs.
    assertThat(taught.mends().get(0).edits()).containsExactly(Edit.of(Figure.STOP_PULSE, "", 1000));
    assertThat(motor(high, Map.of("motor-stop", "fixed")).get(0).mends().get(0).edits())
        .containsExactly(Edit.of(Figure.STOP_PULSE, "", 0));
    Channel low = new Channel(3, "Motor", Channel.THROTTLE, false, 0, 80, 100, 0);
    Setup short80 = powered(false).change().channels(with(powered(false).channels(), low)).done();
    StepResult fixed = motor(short80, Map.of("motor-stop", "fixed")).get(0);
    assertThat(fixed.agrees()).isFalse();
    assertThat(fixed.mends()).isEmpty();
    assertThat(say(fixed.words())).contains("gives 1100 µs, the controller stops at 1000 µs");
  }

  @Test
  void reverseIsAskedOfTwoWayControllersOnlyAndReadWithTheOtherWay() {
    assertThat(BenchSetUp.steps(powered(false)))
        .noneMatch(one -> one.kind() == StepKind.MOTOR_REVERSE);
    Setup both = powered(true);
    assertThat(say(motor(both, Map.of("motor-reverse", "wrong")).get(0).words()))
        .contains("not set to run both ways");
    Map<String, String> turned = new LinkedHashMap<>();
    turned.put("motor-way", "wrong");
    turned.put("motor-reverse", "wrong");
    assertThat(say(motor(both, turned).get(1).words())).contains("swap any two");
    assertThat(motor(both, Map.of("motor-reverse", "right")).get(0).agrees()).isTrue();
  }

  @Test
  void aFailsafeThatWasSeenToStopAgreesOnceItIsDescribed() {
    Setup bare = powered(false);
    StepResult seen = motor(bare, Map.of("failsafe", "motor-stops")).get(0);
    Setup noted = Edits.made(bare, seen.mends().get(0).edits());
    assertThat(motor(noted, Map.of("failsafe", "motor-stops")).get(0).agrees()).isTrue();
    assertThat(motor(noted, Map.of("failsafe", "motor-runs-on")).get(0).mends()).isEmpty();
  }

  @Test
  void nothingGoesOnBeforeTheMotorIsHarmlessAndNoMotorTurnsBeforeItsPropellerIsOff() {
    Setup setup = powered(false);
    List<String> all = BenchSetUp.steps(setup).stream().map(BenchStep::id).toList();
    assertThat(all.get(0)).isEqualTo("harmless");
    assertThat(barred(setup)).containsExactlyElementsOf(all.subList(1, all.size()));
    StepAnswer apart = new StepAnswer("harmless", "leads-apart", List.of());
    List<String> motors = List.of("motor-touch/m", "motor-way/m", "failsafe/m");
    assertThat(barred(setup, apart)).containsExactlyElementsOf(motors);
    StepAnswer later = new StepAnswer("motor-safe", "later", List.of());
    assertThat(barred(setup, apart, later)).containsExactlyElementsOf(motors);
    StepAnswer off = new StepAnswer("motor-safe", "propeller-off", List.of());
    assertThat(barred(setup, apart, off)).isEmpty();
  }

  @Test
  void aMotorIsAskedAboutAgainOnceItsChannelOrItsFailsafeIsAnother() {
    Setup setup = powered(false);
    StepAnswer way = new StepAnswer("motor-way/m", "right", List.of());
    StepAnswer lost = new StepAnswer("failsafe/m", "motor-stops", List.of());
    Channel turned = new Channel(3, "Motor", Channel.THROTTLE, true, 0, 100, 100, 0);
    Setup reversed = setup.change().channels(with(setup.channels(), turned)).done();
    assertThat(BenchSetUp.holds(way, setup, setup)).isTrue();
    assertThat(BenchSetUp.holds(way, setup, reversed)).isFalse();
    Setup stored = Edits.made(setup, List.of(Edit.of(Figure.FAILSAFE, 3, -100)));
    assertThat(BenchSetUp.holds(way, setup, stored)).isTrue();
    assertThat(BenchSetUp.holds(lost, setup, stored)).isFalse();
  }

  private static List<String> barred(Setup setup, StepAnswer... answers) {
    return SafetyGate.barred(setup, List.of(answers)).stream()
        .map(SafetyGate.Barred::step)
        .toList();
  }

  private static List<Channel> with(List<Channel> channels, Channel other) {
    List<Channel> changed = new ArrayList<>(channels);
    changed.replaceAll(one -> one.number() == other.number() ? other : one);
    return changed;
  }

  /** What steps of the motor are answered with, judged. */
  private static List<StepResult> motor(Setup setup, Map<String, String> answers) {
    List<StepAnswer> given = new ArrayList<>();
    answers.forEach((step, choice) -> given.add(new StepAnswer(step + "/m", choice, List.of())));
    return AnswerComparison.verdicts(setup, CentringMethod.ROD_FIRST, given);
  }

  private static Setup powered(boolean twoWay) {
    List<Channel> channels = new ArrayList<>(PLAIN.channels());
    channels.add(new Channel(3, "Motor", Channel.THROTTLE, false, 0, 100, 100, 0));
    Motor motor = new Motor("m", "Motor", 3, 0, 0, 250);
    Power plain = Power.PLAIN;
    Power power =
        new Power(
            "",
            twoWay,
            plain.curves(),
            "",
            twoWay ? 0 : -100,
            "",
            true,
            List.of(),
            true,
            List.of(),
            List.of(),
            List.of(),
            0);
    return PLAIN
        .change()
        .channels(channels)
        .airframe(PLAIN.airframe().withMotors(List.of(motor)))
        .power(power)
        .done();
  }
}
