package hightally.app.school;

import hightally.core.trimming.TestResult;
import hightally.core.trimming.TestResult.SeenOutcome;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Whether what was said of a flight is what it showed: the right outcome, at most a grade off. */
final class ObservationGrading {
  private ObservationGrading() {}

  static boolean of(TestResult said, TestResult truth) {
    Optional<SeenOutcome> main = strongest(truth.seen());
    if (main.isEmpty()) {
      return said.seen().isEmpty();
    }
    return said.seen().stream()
        .anyMatch(
            one ->
                one.outcome() == main.get().outcome()
                    && Math.abs(one.strength() - main.get().strength()) <= 1);
  }

  private static Optional<SeenOutcome> strongest(List<SeenOutcome> seen) {
    return seen.stream().max(Comparator.comparingInt(SeenOutcome::strength));
  }
}
