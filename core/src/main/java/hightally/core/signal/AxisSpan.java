package hightally.core.signal;

import java.util.function.DoubleUnaryOperator;

/**
 * Lowest and highest value of every target along one axis, and where they are.
 *
 * <p>Between two kinks a part is a straight line plus a multiple of a response, whose curvature has
 * one sign on either side of the stick's centre: if its slope has the same sign at both ends of a
 * piece, its extremes are at the ends; else the one turning point is closed in on.
 */
final class AxisSpan {
  private static final double FEELER = 1e-6;
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
  private static final int CLOSINGS = 60;

  final double[] low;
  final double[] high;
  final double[] lowAt;
  final double[] highAt;

  AxisSpan(int targets, double at) {
    low = new double[targets];
    high = new double[targets];
    lowAt = new double[targets];
    highAt = new double[targets];
    java.util.Arrays.fill(lowAt, at);
    java.util.Arrays.fill(highAt, at);
  }

  /**
   * Finds the extremes of one target.
   *
   * @param kinks sorted, the ends of the range among them
   */
  void find(int target, DoubleUnaryOperator part, double[] kinks) {
    low[target] = Double.POSITIVE_INFINITY;
    high[target] = Double.NEGATIVE_INFINITY;
    for (double kink : kinks) {
      take(target, kink, part.applyAsDouble(kink));
    }
    for (int i = 1; i < kinks.length; i++) {
      turning(target, part, kinks[i - 1], kinks[i]);
    }
  }

  /** Whether one of the first targets moves along this axis. */
  boolean moves(int first) {
    for (int i = 0; i < first; i++) {
      if (low[i] != high[i]) {
        return true;
      }
    }
    return false;
  }

  /** Whether one of the first targets has anything from this axis, moving or not. */
  boolean adds(int first) {
    for (int i = 0; i < first; i++) {
      if (low[i] != 0 || high[i] != 0) {
        return true;
      }
    }
    return false;
  }

  private void take(int target, double at, double value) {
    if (value < low[target]) {
      low[target] = value;
      lowAt[target] = at;
    }
    if (value > high[target]) {
      high[target] = value;
      highAt[target] = at;
    }
  }

  private void turning(int target, DoubleUnaryOperator part, double from, double to) {
    double feeler = FEELER * (to - from);
    double first = part.applyAsDouble(from + feeler) - part.applyAsDouble(from);
    double last = part.applyAsDouble(to) - part.applyAsDouble(to - feeler);
    if (first * last < 0) {
      double sign = first < 0 ? 1 : -1;
      double left = from;
      double right = to;
      for (int i = 0; i < CLOSINGS; i++) {
        double one = right - GOLDEN * (right - left);
        double two = left + GOLDEN * (right - left);
        if (sign * part.applyAsDouble(one) < sign * part.applyAsDouble(two)) {
          right = two;
        } else {
          left = one;
        }
      }
      take(target, (left + right) / 2, part.applyAsDouble((left + right) / 2));
    }
  }
}
