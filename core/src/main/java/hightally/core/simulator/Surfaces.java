package hightally.core.simulator;

import hightally.core.simulator.FlyingShape.AirPanel;
import java.util.List;

/**
 * Panels that lift together, or a fin by itself: Helmbold's slope for wings of any aspect ratio.
 *
 * @param spanMm between the outermost stations
 * @param aspect span² through the area, dihedral counted out
 * @param slope of the lift, per rad
 */
record Surfaces(double spanMm, double aspect, double slope) {
  private static final double MOST_DOWNWASH = 0.9;
  private static final double EFFICIENCY = 0.8;
  private static final double BESIDE_A_BODY = 1.5;

  static Surfaces together(List<AirPanel> panels) {
    double area = 0;
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    for (AirPanel one : panels) {
      double cosine = one.acrossMm() / one.lengthMm();
      area += cosine * cosine * areaMm2(one);
      left = Math.min(left, Math.min(one.root().at().rightMm(), one.tip().at().rightMm()));
      right = Math.max(right, Math.max(one.root().at().rightMm(), one.tip().at().rightMm()));
    }
    return of(right - left, (right - left) * (right - left) / area);
  }

  static Surfaces fin(AirPanel one) {
    double length = one.lengthMm();
    return of(length, BESIDE_A_BODY * length * length / areaMm2(one));
  }

  private static Surfaces of(double span, double aspect) {
    return new Surfaces(span, aspect, 2 * Math.PI * aspect / (2 + Math.sqrt(4 + aspect * aspect)));
  }

  static double areaMm2(AirPanel one) {
    return one.lengthMm() * (one.root().chordMm() + one.tip().chordMm()) / 2;
  }

  /** Induced drag is the square of the lift through this. */
  double inducedBy() {
    return EFFICIENCY * Math.PI * aspect;
  }

  /** Angle of its downwash far behind for a lift coefficient of 1, rad. */
  double downwash() {
    return Math.min(2 / (Math.PI * aspect), MOST_DOWNWASH / slope);
  }
}
