package hightally.core.linkage;

import static hightally.core.linkage.UsableRange.SEARCH_LIMIT_DEGREES;

/**
 * Finds the {@link UsableRange} of a linkage in closed form.
 *
 * <p>With S the shaft, H the hinge, D = S - H and t the arm's direction: the rod locks where |D +
 * a(sin t, cos t)| is L + h or |L - h|; it is at dead centre where shaft and both holes are in
 * line, |D + m(sin t, cos t)| = h with m = a + L or a - L. Each is {@code cos(t - δ) = constant},
 * so at most eight angles need be looked at. Derived in {@code docs/computation.md}.
 */
public final class RangeSearch {
  /**
   * A lock is entered through a square root, so rounding can put its edge this far out, degrees.
   */
  private static final double EDGE_DEGREES = 1e-9;

  private final FourBar bar;
  private double from = -SEARCH_LIMIT_DEGREES;
  private double to = SEARCH_LIMIT_DEGREES;
  private double reachFrom = -SEARCH_LIMIT_DEGREES;
  private double reachTo = SEARCH_LIMIT_DEGREES;

  private RangeSearch(FourBar bar) {
    this.bar = bar;
  }

  /** The usable range of a linkage with its present rod. */
  public static UsableRange of(FourBar bar) {
    return new RangeSearch(bar).search();
  }

  private UsableRange search() {
    double rod = bar.rodLengthMm();
    locks(rod + bar.hornMm());
    locks(Math.abs(rod - bar.hornMm()));
    from = reachFrom;
    to = reachTo;
    deadCentres(bar.armMm() + rod);
    deadCentres(bar.armMm() - rod);
    return new UsableRange(from, to, reachFrom, reachTo);
  }

  private void locks(double distance) {
    double opening = bar.openingDegrees(bar.armMm(), distance);
    if (!Double.isNaN(opening)) {
      lock(bar.fromLineDegrees(opening));
      lock(bar.fromLineDegrees(-opening));
    }
  }

  private void lock(double arm) {
    if (arm > 0 && arm < reachTo) {
      reachTo = inside(arm, -EDGE_DEGREES);
    } else if (arm < 0 && arm > reachFrom) {
      reachFrom = inside(arm, EDGE_DEGREES);
    }
  }

  private double inside(double arm, double step) {
    double edge = arm;
    while (Double.isNaN(bar.surfaceAngle(edge)) && edge * (edge + step) > 0) {
      edge += step;
    }
    return edge;
  }

  private void deadCentres(double distance) {
    double opening = bar.openingDegrees(distance, bar.hornMm());
    if (!Double.isNaN(opening)) {
      deadCentre(bar.fromLineDegrees(opening));
      deadCentre(bar.fromLineDegrees(-opening));
    }
  }

  /**
   * An angle at which the other of the two intersections is in line is no dead centre of this one.
   */
  private void deadCentre(double arm) {
    double before = bar.gain(arm * (1 - 1e-6));
    double after = bar.gain(arm * (1 + 1e-6));
    boolean turnsBack = before * after < 0;
    if (turnsBack && arm > 0 && arm < to) {
      to = arm;
    } else if (turnsBack && arm < 0 && arm > from) {
      from = arm;
    }
  }
}
