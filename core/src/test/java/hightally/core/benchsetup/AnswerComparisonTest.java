package hightally.core.benchsetup;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.channel.StickWords;
import hightally.core.edit.Edits;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AnswerComparisonTest {
  private static final Setup PLAIN = Rigs.plain();

  @ParameterizedTest
  @CsvSource({
    // At 80 % the arm turns 0.5 · 80 · 0.09 · 5 = 18°, the surface as far: 50 · sin 18° = 15.45 mm.
    "15.5, 15.2, agrees",
    "12.0, 12.0, differs",
    "0.61, 0.61, asks",
    "1.5, 1.5, asks"
  })
  void theRulerAgreesDiffersOrIsInAnotherUnit(double up, double down, String verdict) {
    StepAnswer answer = new StepAnswer("travel/right", "", List.of(up, down));
    StepResult found =
        AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, List.of(answer)).get(0);
    String said = found.asks() ? "asks" : found.agrees() ? "agrees" : "differs";
    assertThat(said).isEqualTo(verdict);
    if (verdict.equals("differs")) {
      // 12 mm at 18° of arm is 13.9° of surface, a horn of about 12 · sin 18 / sin 13.9 = 15.4 mm.
      assertThat(say(found.mends().get(0).words())).contains("effective horn radius 15.4");
    }
  }

  @Test
  void bothSchoolsSeatTheArmAndSayWhatIsLeft() {
    StepAnswer off = new StepAnswer("seat/right", "", List.of(10.0));
    StepResult rod =
        AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, List.of(off)).get(0);
    // Four arms on 25 teeth reach every 3.6°: -10.8 is nearest to -10 and leaves 0.8°.
    assertThat(say(rod.words()))
        .contains("10.8° away from")
        .contains("0.8° is left: leave the sub-trim");
    StepResult trim =
        AnswerComparison.verdicts(PLAIN, CentringMethod.SUB_TRIM_FIRST, List.of(off)).get(0);
    // The right servo pulls on an increase: 0.8° towards the surface is 9 µs less.
    assertThat(say(trim.words())).contains("sub-trim of −9 µs");
    Setup mended = Edits.made(PLAIN, trim.mends().get(0).edits());
    SignalPath path = SignalPath.of(mended);
    double arm = path.evaluate(Moment.centred(Trims.ZERO)).armDegrees()[1];
    assertThat(arm).as("it stands square").isCloseTo(0, within(0.05));
  }

  @Test
  void theStepsFollowTheStickModeAndNothingIsAskedOfAMotorThatIsNotThere() {
    List<BenchStep> steps = BenchSetUp.steps(PLAIN);
    assertThat(steps.get(0).id()).isEqualTo("power");
    assertThat(SafetyGate.barred(PLAIN, List.of())).isEmpty();
    assertThat(say(StickWords.to(1, hightally.core.quantity.Control.PITCH, 1)))
        .isEqualTo("left stick towards you");
    assertThat(say(StickWords.to(2, hightally.core.quantity.Control.PITCH, 1)))
        .isEqualTo("right stick towards you");
    List<String> kinds = new ArrayList<>();
    steps.forEach(step -> kinds.add(step.id().split("/")[0]));
    assertThat(kinds).containsSubsequence("power", "ways", "seat", "flush");
    assertThat(kinds).contains("reflex");
  }

  @Test
  void aLevelSurfaceIsTurnsOfTheRodAway() {
    StepAnswer off = new StepAnswer("flush/right", "", List.of(2.0));
    StepResult found =
        AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, List.of(off)).get(0);
    // 2 mm at 50 mm chord is 2.29°, at 12 mm horn 0.48 mm of rod: 1.2 turns of M2, in halves 1.
    // One turn is 0.4 mm, 1.91° at 12 mm, 1.67 mm at 50 mm: 0.3 mm are left.
    assertThat(say(found.words()))
        .contains("1 turn")
        .contains("goes down 1.7 mm")
        .contains("0.3 mm are left");
  }
}
