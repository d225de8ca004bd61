package hightally.core.flight;

import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import java.util.Arrays;

/**
 * Where a model stands on the loop and what waits.
 *
 * @param stage the place
 * @param waiting what waits, in a sentence
 * @param waits whether the pilot has something to do before it is ready to fly again
 */
public record LoopState(LoopStage stage, String waiting, boolean waits) {

  /** The state that follows from the facts; the first rule that fits wins. */
  public static LoopState of(LoopFacts facts) {
    if (facts.surfaces() == 0) {
      return new LoopState(LoopStage.RIG, "No surface is described yet.", true);
    }
    if (facts.openAdjustment()) {
      return new LoopState(LoopStage.ADJUST, "An adjustment is begun and not finished.", true);
    }
    if (facts.latestTrims().isPresent()) {
      return flown(facts, facts.latestTrims().get());
    }
    String text =
        facts.fromAdjustment()
            ? "Adjusted and not flown yet: the next flight confirms it."
            : "Revision " + facts.revision() + " has not been flown.";
    return new LoopState(facts.fromAdjustment() ? LoopStage.FLY : LoopStage.CHECK, text, false);
  }

  private static LoopState flown(LoopFacts facts, Trims trims) {
    int left = facts.leaveClicks();
    boolean mayStay =
        Arrays.stream(Control.values()).allMatch(one -> Math.abs(trims.of(one)) <= left);
    if (!trims.allZero() && mayStay) {
      String text = "What is left may stay in the trims: " + trims.words(control -> true) + ".";
      return new LoopState(LoopStage.FLY, text, false);
    }
    if (trims.allZero()) {
      String flights = facts.flightsOnRevision() == 1 ? "the last flight" : "its flights";
      return new LoopState(LoopStage.FLY, "Trims at zero after " + flights + ".", false);
    }
    return new LoopState(
        LoopStage.ADJUST,
        "Trims wait for an adjustment: " + trims.words(control -> true) + ".",
        true);
  }
}
