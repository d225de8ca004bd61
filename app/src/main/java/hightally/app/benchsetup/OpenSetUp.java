package hightally.app.benchsetup;

import hightally.core.benchsetup.BenchStep;
import hightally.core.benchsetup.CentringMethod;
import hightally.core.benchsetup.SafetyGate.Barred;
import hightally.core.benchsetup.StepResult;
import java.time.Instant;
import java.util.List;

/**
 * The guided set-up that is under way.
 *
 * @param step index of the step the pilot is at
 * @param answers the newest answer of every answered step
 * @param verdicts what the answers mean with the newest revision
 * @param barred steps it does not go on to yet, and why
 * @param again steps whose answer no longer says anything, since what they are about was changed
 * @param version what the page saw; a change names it
 */
public record OpenSetUp(
    CentringMethod school,
    Instant startedAt,
    int step,
    List<BenchStep> steps,
    List<Measurement> answers,
    List<StepResult> verdicts,
    List<Barred> barred,
    List<String> again,
    int version) {}
