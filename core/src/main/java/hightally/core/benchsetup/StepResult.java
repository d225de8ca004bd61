package hightally.core.benchsetup;

import hightally.core.edit.Mend;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * What an answer means.
 *
 * @param step id of the step
 * @param agrees whether the bench and the program say the same
 * @param asks whether the figure looks as if it were in another unit and should be typed again
 * @param words in words, with what to do
 * @param mends changes to the setup that go with it, not tried yet; none where it is shown: those
 *     that were tried come with their own answer
 * @param seats how to seat the arm, to be drawn; empty at other steps
 */
@Copyable
public record StepResult(
    String step,
    boolean agrees,
    boolean asks,
    Said words,
    List<Mend> mends,
    List<SeatPicture> seats) {
  /** A copy to change, part by part. */
  public StepResultCopy change() {
    return StepResultCopy.from(this);
  }

  /**
   * An arm before and after it is seated.
   *
   * @param offDegrees how far it stands off square now, plus towards the surface
   * @param reachedDegrees how far it is turned
   * @param remainderDegrees what is left, for sub-trim or rod
   * @param arm which arm is used, 0 being the one that stood nearest
   */
  public record SeatPicture(
      int teeth,
      int arms,
      double offDegrees,
      double reachedDegrees,
      double remainderDegrees,
      int arm) {}

  StepResult(String step, boolean agrees, boolean asks, Said words, List<Mend> mends) {
    this(step, agrees, asks, words, mends, List.of());
  }

  /** The same result to be shown: a change is only offered once it was tried. */
  public StepResult shown() {
    return change().mends(List.of()).done();
  }

  static StepResult agrees(String step, Said words, Mend... mends) {
    return new StepResult(step, true, false, words, List.of(mends));
  }

  static StepResult differs(String step, Said words, Mend... mends) {
    return new StepResult(step, false, false, words, List.of(mends));
  }
}
