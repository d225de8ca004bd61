package hightally.core.program;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.util.ArrayList;
import java.util.List;

/**
 * Points joined by straight lines; before the first and behind the last the curve stays level.
 * Domain and range in percent; exact at the points, linear between them to rounding.
 */
public final class Curve {
  /** Fewest points of a curve. */
  public static final int FEWEST = 2;

  /** Most points of a curve: what a pilot can still type into a transmitter. */
  public static final int MOST = 17;

  private final double[] xs;
  private final double[] ys;

  private Curve(List<CurvePoint> points) {
    xs = points.stream().mapToDouble(CurvePoint::x).toArray();
    ys = points.stream().mapToDouble(CurvePoint::y).toArray();
  }

  /**
   * The curve through points.
   *
   * @throws InvalidInputException if there are too few or too many, or they are not sorted
   */
  public static Curve of(List<CurvePoint> points) {
    List<Violation> violations = violations("points", points);
    if (!violations.isEmpty()) {
      throw new InvalidInputException(violations);
    }
    return new Curve(points);
  }

  /** What is wrong with points; {@code field} names their list. */
  public static List<Violation> violations(String field, List<CurvePoint> points) {
    List<Violation> found = new ArrayList<>();
    if (points.size() < FEWEST || points.size() > MOST) {
      Said range = Said.of("demand.pointsOfCurve", "from", FEWEST, "to", MOST);
      found.add(Violation.of(field, Said.of("given.points", "count", points.size()), range));
    }
    for (int i = 1; i < points.size(); i++) {
      double before = points.get(i - 1).x();
      if (!(points.get(i).x() > before)) {
        Said wanted = Said.of("mix.pointOrder", "before", before);
        found.add(Violation.of(field + "[" + i + "].x", points.get(i).x(), wanted));
      }
    }
    return found;
  }

  /** The value at x, percent. */
  public double value(double x) {
    int last = xs.length - 1;
    if (x <= xs[0]) {
      return ys[0];
    }
    if (x >= xs[last]) {
      return ys[last];
    }
    int i = 1;
    while (xs[i] < x) {
      i++;
    }
    double part = (x - xs[i - 1]) / (xs[i] - xs[i - 1]);
    return ys[i - 1] + part * (ys[i] - ys[i - 1]);
  }
}
