package hightally.app.standing;

import hightally.core.history.LoopStage;
import hightally.core.history.ModelStanding;
import hightally.core.preflight.Clearance;
import hightally.core.quantity.Said;

/**
 * Where a model stands on the loop and what waits, read from its one standing.
 *
 * @param stage the place
 * @param next the next thing to do
 * @param waiting what waits, in a sentence
 * @param waits whether the pilot has something to do before it is ready to fly again
 */
record StandingSummary(LoopStage stage, ModelStanding.Next next, Said waiting, boolean waits) {
  static StandingSummary of(ModelStanding standing) {
    return new StandingSummary(
        standing.stage(), standing.next(), standing.waiting(), standing.waits());
  }

  /** How soon it wants its pilot: what waits, then what only must not fly, then all else. */
  int attention(Clearance grounding) {
    if (next == ModelStanding.Next.MAKE_READY || !waits) {
      return grounding.clear() ? 2 : 1;
    }
    return 0;
  }
}
