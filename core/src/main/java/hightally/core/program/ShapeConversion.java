package hightally.core.program;

import hightally.core.quantity.Validation;
import java.util.function.DoubleUnaryOperator;

/**
 * The same feel on a transmitter that bends its sticks another way.
 *
 * <p>Expo is the softness at the centre in every shape, so for the same slope there the number
 * stays. For the whole curve, the expo with the least sum of squared differences over 101 places of
 * the stick from centre to end is closed in on; the sum has one minimum since the curves grow apart
 * steadily with expo. Rates stay. Accuracy 1e-6 %, then rounded to a tenth of a percent.
 */
public final class ShapeConversion {
  private static final int PLACES = 100;
  private static final int CLOSINGS = 70;
  private static final double LOWEST_PERCENT = -50;
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

  private ShapeConversion() {}

  /** What shall stay the same. */
  public enum Keep {
    /** How soft the stick is around its centre. */
    CENTRE_SLOPE,
    /** The curve as a whole, as nearly as the other shape can. */
    WHOLE_CURVE
  }

  /**
   * A converted feel.
   *
   * @param response in the other shape
   * @param largestDifferencePercent of full travel, anywhere along the stick
   */
  public record Converted(Response response, double largestDifferencePercent) {}

  /** Converts both sides of a response. */
  public static Converted of(Response from, Shape to, Keep keep) {
    Validation.check(from);
    double plus = expo(from, true, to, keep);
    double minus = expo(from, false, to, keep);
    Response response =
        new Response(from.ratePositivePercent(), from.rateNegativePercent(), plus, minus, to);
    ResponseCurve before = ResponseCurve.of(from);
    ResponseCurve after = ResponseCurve.of(response);
    double largest = 0;
    for (int i = -PLACES; i <= PLACES; i++) {
      double stick = (double) i / PLACES;
      largest = Math.max(largest, Math.abs(after.value(stick) - before.value(stick)));
    }
    return new Converted(response, 100 * largest);
  }

  private static double expo(Response from, boolean plus, Shape to, Keep keep) {
    double expo = plus ? from.expoPositivePercent() : from.expoNegativePercent();
    double highest = to == Shape.EXPONENTIAL ? Response.EXPONENTIAL_EXPO_LIMIT_PERCENT : 100;
    if (keep == Keep.CENTRE_SLOPE || to == from.shape()) {
      return Math.min(highest, expo);
    }
    DoubleUnaryOperator wanted = unit(from.shape(), expo);
    double low = LOWEST_PERCENT;
    double high = highest;
    for (int i = 0; i < CLOSINGS; i++) {
      double one = high - GOLDEN * (high - low);
      double two = low + GOLDEN * (high - low);
      if (squares(unit(to, one), wanted) < squares(unit(to, two), wanted)) {
        high = two;
      } else {
        low = one;
      }
    }
    return Math.rint(5 * (low + high)) / 10;
  }

  private static DoubleUnaryOperator unit(Shape shape, double expo) {
    return ResponseCurve.of(new Response(100, 100, expo, expo, shape))::value;
  }

  private static double squares(DoubleUnaryOperator one, DoubleUnaryOperator other) {
    double sum = 0;
    for (int i = 0; i <= PLACES; i++) {
      double stick = (double) i / PLACES;
      double differs = one.applyAsDouble(stick) - other.applyAsDouble(stick);
      sum += differs * differs;
    }
    return sum;
  }
}
