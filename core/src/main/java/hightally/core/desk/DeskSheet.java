package hightally.core.desk;

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
public record DeskSheet(
    List<PhaseStand> phases, List<Reach> mixes, List<TypedMovements.Became> became) {

  /** The sheet of a setup, for where the bench stands. */
  public static DeskSheet of(SignalPath path, Moment bench) {
    Validation.check(bench);
    return new DeskSheet(
        PhaseStand.of(path, bench), Reach.of(path, bench), TypedMovements.became(path));
  }
}
