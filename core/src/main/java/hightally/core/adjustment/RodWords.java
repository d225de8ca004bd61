package hightally.core.adjustment;

import hightally.core.airframe.Surface;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.quantity.Words;
import java.util.Locale;

/** A rod's change as a pilot would say it. */
final class RodWords {
  /** A trailing edge that moves less than this is said not to move, mm. */
  private static final double VISIBLE_MM = 0.05;

  private RodWords() {}

  /** {@code 1½ turns out}, {@code stopper 0.5 mm, rod longer}. */
  static String turn(RodEnd end, long steps) {
    if (end.kind() == RodEndKind.SLIDE) {
      String way = steps > 0 ? "longer" : "shorter";
      return "stopper " + Words.millimetres(steps * end.stepMm()) + ", rod " + way;
    }
    long sixths = steps * end.kind().sixthsPerStep();
    return Words.turns(sixths) + " " + Words.turnWord(sixths) + (steps > 0 ? " out" : " in");
  }

  /** Which way the end turns, seen from the surface, for a right-hand thread. */
  static String rotation(RodEnd end, long steps) {
    String way = steps > 0 ? "counter-clockwise" : "clockwise";
    return switch (end.kind()) {
      case CLEVIS, BALL_LINK ->
          "Seen from the surface, looking along the rod towards the servo, turn it " + way + ".";
      case TURNBUCKLE ->
          "Turn the buckle so that both ends run "
              + (steps > 0 ? "out; the rod gets longer." : "in; the rod gets shorter.");
      case SLIDE -> "Loosen the stopper, slide, tighten.";
    };
  }

  static String sentence(Surface surface, RodChange.Found change, boolean slave) {
    if (change.steps() == 0) {
      return surface.name() + ": leave " + rodName(slave) + " as it is." + left(change);
    }
    double moves = change.afterDegrees() - change.todayDegrees();
    double mm = surface.travelMm(change.afterDegrees()) - surface.travelMm(change.todayDegrees());
    String goes =
        Math.abs(mm) < VISIBLE_MM
            ? " The trailing edge hardly moves."
            : " Trailing edge goes "
                + surface.directionWord(moves)
                + " "
                + Words.millimetres(mm)
                + ".";
    String turn = turn(change.end(), change.steps());
    return surface.name()
        + ": "
        + turn
        + (slave ? " on the slave rod." : ".")
        + goes
        + left(change);
  }

  private static String rodName(boolean slave) {
    return slave ? "the slave rod" : "the rod";
  }

  private static String left(RodChange.Found change) {
    double error = Math.abs(change.errorMm());
    return error < VISIBLE_MM
        ? ""
        : String.format(Locale.ROOT, " %.1f mm is left over, less than half a step.", error);
  }
}
