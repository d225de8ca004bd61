package hightally.core.guide;

import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Optional;

/** What the answers of a set-up still say of a model. */
public final class SetUpLooks {
  /** A throw that is told this much otherwise is another throw: what a ruler can tell apart. */
  private static final double SAME_MM = 0.5;

  private static final double SAME_PART = 0.03;

  private SetUpLooks() {}

  /** Whether an answer given on one setup still says something on a later one. */
  public static boolean holds(GuideAnswer answer, Setup then, Setup now) {
    Optional<GuideStep> was = step(answer, then);
    Optional<GuideStep> is = step(answer, now);
    return was.isPresent()
        && is.isPresent()
        && Guide.holds(answer, then, now)
        && same(was.get(), is.get());
  }

  /** Whether both ask for the same figures. */
  private static boolean same(GuideStep was, GuideStep is) {
    for (int i = 0; i < was.figures().size() && was.kind() == StepKind.TRAVEL; i++) {
      double one = was.figures().get(i).expected();
      double other = is.figures().get(i).expected();
      if (Math.abs(one - other) > Math.max(SAME_MM, SAME_PART * Math.abs(one))) {
        return false;
      }
    }
    return was.figures().size() == is.figures().size();
  }

  private static Optional<GuideStep> step(GuideAnswer answer, Setup setup) {
    return Guide.steps(setup).stream().filter(one -> one.id().equals(answer.step())).findFirst();
  }

  /**
   * What an answer saw go wrong: a surface, a motor, a failsafe; nothing where it saw it right.
   *
   * @param then the setup that was on the bench
   * @param all the newest answers
   */
  public static Optional<Said> wrong(
      GuideAnswer answer, Setup then, Setup now, List<GuideAnswer> all) {
    Optional<GuideStep> asked = step(answer, then);
    if (asked.isEmpty() || !asked.get().kind().looks() || step(answer, now).isEmpty()) {
      return Optional.empty();
    }
    return GuideJudge.verdicts(then, School.ROD_FIRST, all).stream()
        .filter(one -> one.step().equals(answer.step()))
        .filter(one -> !one.agrees() && !one.asks())
        .findFirst()
        .map(one -> Said.of("ready.seenWrong", "title", asked.get().title()));
  }

  /** Whether the throws of every surface were measured at both ends, by answers that hold. */
  public static boolean measured(Setup now, List<GuideAnswer> holding) {
    boolean any = false;
    for (GuideStep step : Guide.steps(now)) {
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
