package hightally.core.benchsetup;

import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What the guide does not go on to until something is safe. */
public final class SafetyGate {
  private SafetyGate() {}

  /** A step that is not gone to yet, and why. */
  public record Barred(String step, Said why) {}

  /** All steps that are barred by what was answered so far. */
  public static List<Barred> barred(Setup setup, List<StepAnswer> answers) {
    boolean harmless =
        setup.airframe().motors().isEmpty() || answered(answers, StepKind.HARMLESS, "");
    boolean safe = answered(answers, StepKind.MOTOR_SAFE, MotorSteps.SAFE);
    List<Barred> barred = new ArrayList<>();
    for (BenchStep step : BenchSetUp.steps(setup)) {
      if (step.kind() != StepKind.HARMLESS && !harmless) {
        barred.add(new Barred(step.id(), Said.of("guide.firstHarmless")));
      } else if (step.kind().runsMotor() && !safe) {
        barred.add(new Barred(step.id(), Said.of("guide.firstPropellerOff")));
      }
    }
    return barred;
  }

  /** Whether a step was answered; any choice will do where none is named. */
  private static boolean answered(List<StepAnswer> answers, StepKind kind, String choice) {
    return answers.stream()
        .filter(one -> one.step().equals(kind.step("", "")))
        .anyMatch(one -> choice.isEmpty() || one.choice().equals(choice));
  }
}
