package hightally.core.preflight;

import hightally.core.quantity.Said;
import java.util.ArrayList;
import java.util.List;

/**
 * How far a check has come and what it says.
 *
 * @param next index of the first step without an answer; -1 where all have one
 * @param reasons what keeps the model on the ground
 */
public record CheckState(int next, List<Said> reasons) {
  public CheckState {
    reasons = List.copyOf(reasons);
  }

  /** The state that follows from the answers; of a step answered twice the newest counts. */
  public static CheckState of(List<CheckStep> steps, List<CheckAnswer> answers) {
    int next = -1;
    List<Said> reasons = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      CheckStep step = steps.get(i);
      CheckAnswer newest = null;
      for (CheckAnswer one : answers) {
        newest = one.step().equals(step.id()) ? one : newest;
      }
      if (newest == null) {
        next = next < 0 ? i : next;
      } else if (newest.grounds()) {
        reasons.add(reason(step, newest));
      }
    }
    return new CheckState(next, reasons);
  }

  /** What an answer that grounds a model says. */
  public static Said reason(CheckStep step, CheckAnswer answer) {
    return answer.held()
        ? Said.of("check.held", "step", step.title(), "holds", answer.holds())
        : Said.of("check.wrong", "step", step.title(), "note", answer.note());
  }

  /** Whether the steps of one concern were all answered as they should be. */
  public static boolean right(
      List<CheckStep> steps, List<CheckAnswer> answers, CheckStep.Concern concern) {
    List<CheckStep> about = steps.stream().filter(one -> one.concern() == concern).toList();
    return !about.isEmpty()
        && about.stream()
            .allMatch(
                step ->
                    answers.stream()
                        .anyMatch(
                            one ->
                                one.step().equals(step.id())
                                    && one.verdict() == CheckAnswer.Verdict.RIGHT));
  }

  /** Whether every step has its answer and none keeps it on the ground. */
  public boolean passed() {
    return next < 0 && reasons.isEmpty();
  }
}
