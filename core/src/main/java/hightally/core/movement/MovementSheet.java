package hightally.core.movement;

import hightally.core.quantity.Validation;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;

/**
 * Every millimetre the pages beside the bench show, each from an answer of the bench.
 *
 * @param phases where everything stands in each phase
 * @param mixes what each mix does at the ends of its source
 * @param became movements that were typed and have become others
 */
public record MovementSheet(
    List<PhasePositions> phases, List<MixEffect> mixes, List<MovementSolver.Became> became) {

  /** The sheet of a setup, for where the bench stands. */
  public static MovementSheet of(SignalPath path, Moment bench) {
    Validation.check(bench);
    return new MovementSheet(
        PhasePositions.of(path, bench), MixEffect.of(path, bench), MovementSolver.became(path));
  }
}
