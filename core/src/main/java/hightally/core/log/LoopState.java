package hightally.core.log;

import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.util.Arrays;

/**
 * Where a model stands on the loop and what waits.
 *
 * @param stage the place
 * @param waiting what waits, in a sentence
 * @param waits whether the pilot has something to do before it is ready to fly again
 */
public record LoopState(LoopStage stage, Said waiting, boolean waits) {

  /** The state that follows from the facts; the first rule that fits wins. */
  public static LoopState of(LoopFacts facts) {
    if (facts.surfaces() == 0) {
      return new LoopState(LoopStage.RIG, Said.of("log.noSurfaceDescribedYet"), true);
    }
    if (facts.openAdjustment()) {
      return new LoopState(LoopStage.ADJUST, Said.of("log.adjustmentBegunNotFinished"), true);
    }
    if (!facts.grounds().isEmpty()) {
      Said first = facts.grounds().get(0);
      return new LoopState(
          LoopStage.CHECK,
          Said.of("log.grounded", "first", first, "count", facts.grounds().size()),
          true);
    }
    if (facts.latestTrims().isPresent()) {
      return flown(facts, facts.latestTrims().get());
    }
    Said text =
        facts.fromAdjustment()
            ? Said.of("log.adjustedNotFlownYetNext")
            : Said.of("log.revisionNotBeenFlown", "revision", facts.revision());
    return new LoopState(facts.fromAdjustment() ? LoopStage.FLY : LoopStage.CHECK, text, false);
  }

  private static LoopState flown(LoopFacts facts, Trims trims) {
    int left = facts.leaveClicks();
    boolean mayStay =
        Arrays.stream(Control.values()).allMatch(one -> Math.abs(trims.of(one)) <= left);
    if (!trims.allZero() && mayStay) {
      Said text = Said.of("log.whatLeftMayStayTrims", "words", trims.told(control -> true));
      return new LoopState(LoopStage.FLY, text, false);
    }
    if (trims.allZero()) {
      Said text = Said.of("log.trimsZeroAfter", "flights", facts.flightsOnRevision());
      return new LoopState(LoopStage.FLY, text, false);
    }
    return new LoopState(
        LoopStage.ADJUST,
        Said.of("log.trimsWaitAdjustment", "words", trims.told(control -> true)),
        true);
  }
}
