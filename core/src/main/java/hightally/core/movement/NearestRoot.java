package hightally.core.movement;

import java.util.function.DoubleUnaryOperator;

/**
 * The percent at which a measure is nothing, the one nearest to today's where there are several:
 * looked for piece by piece, then closed in on.
 *
 * @param best not a number where none was found
 * @param lowest the least by which it was missed
 * @param highest the most by which it was missed
 */
record NearestRoot(double best, double lowest, double highest) {
  /** Looked at first; what is not found so is looked for in smaller pieces. */
  private static final int PIECES = 24;

  private static final int SMALL_PIECES = 120;
  private static final int ROUNDS = 60;

  /** Millimetres or degrees nobody can tell from nothing. */
  private static final double EXACT = 1e-7;

  /** A root is known well enough at a hundredth of the grain. */
  private static final double NEAR = 1e-4;

  /** Percent are kept to this: hundredths move nothing a ruler shows. */
  static final double GRAIN = 100;

  /** What is typed may miss by this: half the grain, at the largest throw. */
  static final double MISS = 0.05;

  static NearestRoot of(DoubleUnaryOperator off, double now, double least, double most) {
    NearestRoot found = of(off, now, least, most, PIECES);
    return Double.isNaN(found.best()) ? of(off, now, least, most, SMALL_PIECES) : found;
  }

  private static NearestRoot of(
      DoubleUnaryOperator off, double now, double least, double most, int pieces) {
    double best = Double.NaN;
    double before = off.applyAsDouble(least);
    double lowest = before;
    double highest = before;
    for (int i = 0; i < pieces; i++) {
      double from = least + (most - least) * i / pieces;
      double to = least + (most - least) * (i + 1) / pieces;
      double after = off.applyAsDouble(to);
      lowest = Math.min(lowest, after);
      highest = Math.max(highest, after);
      if (before == 0 || before * after < 0 || after == 0) {
        double found = Math.rint(root(off, from, to, before, after) * GRAIN) / GRAIN;
        boolean nearer = Double.isNaN(best) || Math.abs(found - now) < Math.abs(best - now);
        // Where a rod locks the surface jumps past it: that is no answer.
        best = nearer && Math.abs(off.applyAsDouble(found)) <= MISS ? found : best;
      }
      before = after;
    }
    return new NearestRoot(best, lowest, highest);
  }

  /**
   * Where it is nothing, by the straight line between two places either side; one that has stayed
   * twice counts half, so that neither stays for long (the Illinois form of false position).
   */
  private static double root(
      DoubleUnaryOperator off, double from, double to, double atFrom, double atTo) {
    double low = from;
    double high = to;
    double atLow = atFrom;
    double atHigh = atTo;
    int stayed = 0;
    for (int i = 0; i < ROUNDS && high - low > NEAR && atLow != 0 && atHigh != 0; i++) {
      double middle = (low * atHigh - high * atLow) / (atHigh - atLow);
      double at = off.applyAsDouble(middle);
      if (Math.abs(at) < EXACT) {
        return middle;
      }
      if (atLow * at < 0) {
        high = middle;
        atHigh = at;
        atLow /= stayed < 0 ? 2 : 1;
        stayed = -1;
      } else {
        low = middle;
        atLow = at;
        atHigh /= stayed > 0 ? 2 : 1;
        stayed = 1;
      }
    }
    if (atLow == 0) {
      return low;
    }
    return atHigh == 0 ? high : (low + high) / 2;
  }
}
