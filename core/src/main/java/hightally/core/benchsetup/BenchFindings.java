package hightally.core.benchsetup;

import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Optional;

/** What the answers of a set-up still say of a model. */
public final class BenchFindings {
  /** A throw that is told this much otherwise is another throw: what a ruler can tell apart. */
  private static final double SAME_MM = 0.5;

  private static final double SAME_PART = 0.03;

  private BenchFindings() {}

  /** Whether an answer given on one setup still says something on a later one. */
  public static boolean holds(StepAnswer answer, Setup then, Setup now) {
    Optional<BenchStep> was = step(answer, then);
    Optional<BenchStep> is = step(answer, now);
    return was.isPresent()
        && is.isPresent()
        && BenchSetUp.holds(answer, then, now)
        && same(was.get(), is.get());
  }

  /** Whether both ask for the same figures. */
  private static boolean same(BenchStep was, BenchStep is) {
    for (int i = 0; i < was.figures().size() && was.kind() == StepKind.TRAVEL; i++) {
      double one = was.figures().get(i).expected();
      double other = is.figures().get(i).expected();
      if (Math.abs(one - other) > Math.max(SAME_MM, SAME_PART * Math.abs(one))) {
        return false;
      }
    }
    return was.figures().size() == is.figures().size();
  }

  private static Optional<BenchStep> step(StepAnswer answer, Setup setup) {
    return BenchSetUp.steps(setup).stream()
        .filter(one -> one.id().equals(answer.step()))
        .findFirst();
  }

  /**
   * What an answer saw go wrong: a surface, a motor, a failsafe; nothing where it saw it right.
   *
   * @param then the setup that was on the bench
   * @param all the newest answers
   */
  public static Optional<Said> wrong(
      StepAnswer answer, Setup then, Setup now, List<StepAnswer> all) {
    Optional<BenchStep> asked = step(answer, then);
    if (asked.isEmpty() || !asked.get().kind().looks() || step(answer, now).isEmpty()) {
      return Optional.empty();
    }
    return AnswerComparison.verdicts(then, CentringMethod.ROD_FIRST, all).stream()
        .filter(one -> one.step().equals(answer.step()))
        .filter(one -> !one.agrees() && !one.asks())
        .findFirst()
        .map(one -> Said.of("ready.seenWrong", "title", asked.get().title()));
  }

  /** Whether the throws of every surface were measured at both ends, by answers that hold. */
  public static boolean measured(Setup now, List<StepAnswer> holding) {
    if (holding.isEmpty()) {
      return now.surfaces().isEmpty();
    }
    boolean any = false;
    for (BenchStep step : BenchSetUp.steps(now)) {
      if (step.kind() == StepKind.TRAVEL) {
        any = true;
        boolean read =
            holding.stream()
                .anyMatch(
                    one ->
                        one.step().equals(step.id())
                            && one.values().size() == step.figures().size());
        if (!read) {
          return false;
        }
      }
    }
    return any || SignalPath.of(now).setup().surfaces().isEmpty();
  }
}
