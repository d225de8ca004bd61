package hightally.app.guide;

import hightally.core.guide.GuideGate.Barred;
import hightally.core.guide.GuideStep;
import hightally.core.guide.GuideVerdict;
import hightally.core.guide.School;
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
    School school,
    Instant startedAt,
    int step,
    List<GuideStep> steps,
    List<Measurement> answers,
    List<GuideVerdict> verdicts,
    List<Barred> barred,
    List<String> again,
    int version) {}
