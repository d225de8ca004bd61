package hightally.core.preflight;

import hightally.core.quantity.Absentable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * What was found at a step.
 *
 * @param step its id
 * @param verdict what the pilot says
 * @param note in his words; a step left out must say why
 * @param fadesFirst fades of the first antenna; null where nobody read them, as all that follow
 * @param fadesSecond likewise of the second
 * @param lostFrames frames that no antenna caught
 * @param holds how often the receiver held because nothing came
 */
public record CheckAnswer(
    @Text(max = 60) String step,
    Verdict verdict,
    @Text(min = 0, max = 300) String note,
    @Within(min = 0, max = 100_000, unit = Unit.NONE) @Absentable Integer fadesFirst,
    @Within(min = 0, max = 100_000, unit = Unit.NONE) @Absentable Integer fadesSecond,
    @Within(min = 0, max = 100_000, unit = Unit.NONE) @Absentable Integer lostFrames,
    @Within(min = 0, max = 10_000, unit = Unit.NONE) @Absentable Integer holds) {
  /** What a pilot says of a step. */
  public enum Verdict {
    RIGHT,
    WRONG,
    /** Does not apply today, and why. */
    LEFT_OUT
  }

  /** Whether the receiver was seen to hold. */
  public boolean held() {
    return holds != null && holds > 0;
  }

  /** Whether it keeps the model on the ground. */
  public boolean grounds() {
    return verdict == Verdict.WRONG || held();
  }
}
