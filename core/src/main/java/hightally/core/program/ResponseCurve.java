package hightally.core.program;

/**
 * A response ready to evaluate.
 *
 * <p>{@code y = rate · f(|s|)} with the sign of s. Cubic {@code (1-e)s + e·s³}, square {@code
 * (1-e)s + e·s²}, exponential {@code (exp(ks)-1)/(exp(k)-1)} with {@code k/(exp(k)-1) = 1-e}. Stick
 * -1 to +1 (beyond is clamped), result as a fraction of nominal full travel; exact to rounding.
 */
public final class ResponseCurve {
  /** Below this k the exponential is a straight line to the last digit. */
  private static final double STRAIGHT_BELOW = 1e-9;

  private static final double LARGEST_K = 60;
  private static final int HALVINGS = 80;

  private final Shape shape;
  private final double ratePositive;
  private final double rateNegative;
  private final double bendPositive;
  private final double bendNegative;

  private ResponseCurve(Response response) {
    shape = response.shape();
    ratePositive = response.ratePositivePercent() / 100;
    rateNegative = response.rateNegativePercent() / 100;
    bendPositive = bend(response.expoPositivePercent() / 100);
    bendNegative = bend(response.expoNegativePercent() / 100);
  }

  /** The curve of a checked response. */
  public static ResponseCurve of(Response response) {
    return new ResponseCurve(response);
  }

  /** Value for a stick position. */
  public double value(double stick) {
    double size = Math.min(1, Math.abs(stick));
    return stick >= 0
        ? ratePositive * bent(size, bendPositive)
        : -rateNegative * bent(size, bendNegative);
  }

  private double bent(double s, double bend) {
    return switch (shape) {
      case CUBIC -> (1 - bend) * s + bend * s * s * s;
      case SQUARE -> (1 - bend) * s + bend * s * s;
      case EXPONENTIAL ->
          Math.abs(bend) < STRAIGHT_BELOW ? s : Math.expm1(bend * s) / Math.expm1(bend);
    };
  }

  private double bend(double expo) {
    return shape == Shape.EXPONENTIAL ? exponent(1 - expo) : expo;
  }

  /** Solves {@code k/(exp(k)-1) = slope} by halving; the left side falls steadily with k. */
  private static double exponent(double slope) {
    double low = -LARGEST_K;
    double high = LARGEST_K;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      double value = middle == 0 ? 1 : middle / Math.expm1(middle);
      if (value > slope) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
