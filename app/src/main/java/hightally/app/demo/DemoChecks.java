package hightally.app.demo;

import hightally.app.preflight.CheckRun;
import hightally.app.preflight.Checks;
import hightally.core.preflight.CheckAnswer;
import hightally.core.preflight.CheckAnswer.Verdict;
import hightally.core.preflight.CheckKind;
import hightally.core.preflight.CheckStep;
import java.time.Clock;
import java.time.Instant;
import org.springframework.stereotype.Component;

/** The checks of models that fly: everything seen as it should be. */
@Component
class DemoChecks {
  private static final int SOME_FADES = 12;

  private final Checks checks;
  private final Clock clock;

  DemoChecks(Checks checks, Clock clock) {
    this.checks = checks;
    this.clock = clock;
  }

  /** A full check and a range check of a model as it is now. */
  void done(long aircraft, String pack) {
    for (CheckKind kind : new CheckKind[] {CheckKind.FULL, CheckKind.RANGE}) {
      Instant now = clock.instant();
      Checks.Then then = new Checks.Then(0, now);
      CheckRun run = checks.begin(aircraft, new Checks.Begun(kind, pack), then, null);
      int version = run.version();
      for (CheckStep step : run.steps()) {
        Integer fades = step.counted() ? SOME_FADES : null;
        Integer none = step.counted() ? 0 : null;
        CheckAnswer right = new CheckAnswer(step.id(), Verdict.RIGHT, "", fades, fades, none, none);
        version = checks.answer(aircraft, run.id(), right).version();
      }
      checks.end(aircraft, run.id(), new Checks.Ended(version), now);
    }
  }
}
