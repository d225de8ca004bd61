package hightally.core.adjustment;

import hightally.core.airframe.Surface;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;

/** A rod's change as a pilot would say it. */
public final class RodWords {
  /** A trailing edge that moves less than this is said not to move, mm. */
  private static final double VISIBLE_MM = 0.05;

  private RodWords() {}

  /** {@code 1½ turns out}, {@code stopper 0.5 mm, rod longer}. */
  public static Said turn(RodEnd end, long steps) {
    if (end.kind() == RodEndKind.SLIDE) {
      return Said.of(
          "adjustment.stopperRod",
          "mm",
          Quantity.mm(steps * end.stepMm()).size(),
          "way",
          RodDirection.of(steps));
    }
    long sixths = steps * end.kind().sixthsPerStep();
    return Said.of("turn", "turns", new Turns(sixths));
  }

  /** Which way the end turns, seen from the surface, for a right-hand thread. */
  public static Said rotation(RodEnd end, long steps) {
    RodDirection way = RodDirection.of(steps);
    return switch (end.kind()) {
      case CLEVIS, BALL_LINK -> Said.of("adjustment.turnSeenFrom", "way", way);
      case TURNBUCKLE -> Said.of("adjustment.turnBuckle", "way", way);
      case SLIDE -> Said.of("adjustment.slideStopper");
    };
  }

  static Said sentence(Surface surface, RodChange.Found change, boolean slave) {
    if (change.steps() == 0) {
      return Said.all(
          Said.of("adjustment.leave", "surface", surface.name(), "slave", slave), left(change));
    }
    double moves = change.afterDegrees() - change.todayDegrees();
    double mm = surface.travelMm(change.afterDegrees()) - surface.travelMm(change.todayDegrees());
    Said goes =
        Math.abs(mm) < VISIBLE_MM
            ? Said.of("adjustment.hardlyMoves")
            : Said.of(
                "adjustment.trailingEdgeGoes",
                "way",
                surface.goes(moves),
                "mm",
                Quantity.mm(mm).size());
    Said turn = turn(change.end(), change.steps());
    Said all =
        Said.of("adjustment.turnOf", "surface", surface.name(), "turn", turn, "slave", slave);
    return Said.all(all, goes, left(change));
  }

  private static Said left(RodChange.Found change) {
    double error = Math.abs(change.errorMm());
    return error < VISIBLE_MM
        ? Said.NOTHING
        : Said.of("adjustment.leftOver", "error", Quantity.mm(error));
  }
}
