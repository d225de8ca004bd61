package hightally.app.calculation;

import hightally.core.program.Curve;
import hightally.core.program.CurvePoint;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Calculation kind {@code curve}: points joined by straight lines. */
final class CurveCalculation {
  private static final double MOST_Y = 150;

  private CurveCalculation() {}

  /** Points as pairs of percent, and where to read the curve. */
  record CurveGiven(List<List<Double>> points, List<Double> x) {}

  /** The curve's values. */
  record CurveFound(double[] y) {}

  static CurveFound of(CurveGiven given) {
    List<CurvePoint> points = new ArrayList<>();
    List<List<Double>> pairs = Given.need("points", given.points());
    for (int i = 0; i < pairs.size(); i++) {
      String at = "points[" + i + "]";
      List<Double> pair = Given.need(at, pairs.get(i));
      if (pair.size() != 2) {
        throw InvalidInputException.of(at, pair.size() + " numbers", Said.of("demand.numbersXY"));
      }
      double x = Given.number(at + "[0]", pair.get(0), -100, 100, Unit.PERCENT);
      double y = Given.number(at + "[1]", pair.get(1), -MOST_Y, MOST_Y, Unit.PERCENT);
      points.add(new CurvePoint(x, y));
    }
    Curve curve = Curve.of(points);
    double[] xs = Given.numbers("x", given.x(), -1000, 1000, Unit.PERCENT);
    return new CurveFound(Arrays.stream(xs).map(curve::value).toArray());
  }
}
