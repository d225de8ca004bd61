package hightally.core.linkage;

import static hightally.core.linkage.UsableRange.SEARCH_LIMIT_DEGREES;

import java.util.function.DoublePredicate;

/**
 * Finds the {@link UsableRange} of a linkage: outward from centre in half-degree strides to the
 * first angle that fails, then by halving to 1e-12 degrees.
 *
 * <p>A failing stretch narrower than a stride would be stepped over; a lock is entered through a
 * square root and left on the far side of the circle, so such a stretch has no practical size.
 */
public final class RangeSearch {
  private static final double STRIDE_DEGREES = 0.5;
  private static final int HALVINGS = 45;

  private RangeSearch() {}

  /** The usable range of a linkage with its present rod. */
  public static UsableRange of(FourBar bar) {
    boolean rising = bar.gain(0) > 0;
    DoublePredicate reaches = angle -> !Double.isNaN(bar.surfaceAngle(angle));
    DoublePredicate usable = angle -> rising ? bar.gain(angle) > 0 : bar.gain(angle) < 0;
    return new UsableRange(edge(usable, -1), edge(usable, 1), edge(reaches, -1), edge(reaches, 1));
  }

  private static double edge(DoublePredicate holds, int sign) {
    for (double size = 0; size < SEARCH_LIMIT_DEGREES; size += STRIDE_DEGREES) {
      double next = size + STRIDE_DEGREES;
      if (!holds.test(sign * next)) {
        return sign * halved(holds, sign, size, next);
      }
    }
    return sign * SEARCH_LIMIT_DEGREES;
  }

  private static double halved(DoublePredicate holds, int sign, double good, double bad) {
    double low = good;
    double high = bad;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (holds.test(sign * middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
