package hightally.core.program;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.function.Consumer;

/** Rate (end travel) and expo (softness at the centre) of one control, per side. */
@Copyable
public record Response(
    @Within(min = 0, max = 150, unit = Unit.PERCENT) double ratePositivePercent,
    @Within(min = 0, max = 150, unit = Unit.PERCENT) double rateNegativePercent,
    @Within(min = -50, max = 100, unit = Unit.PERCENT) double expoPositivePercent,
    @Within(min = -50, max = 100, unit = Unit.PERCENT) double expoNegativePercent,
    Shape shape)
    implements SelfChecked {
  /** A copy to change, part by part. */
  public ResponseCopy change() {
    return ResponseCopy.from(this);
  }

  /** The exponential shape has no curve at 100 % expo: its centre can only become almost flat. */
  public static final double EXPONENTIAL_EXPO_LIMIT_PERCENT = 99;

  /** Same rate and expo on both sides, cubic. */
  public static Response even(double ratePercent, double expoPercent) {
    return new Response(ratePercent, ratePercent, expoPercent, expoPercent, Shape.CUBIC);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (shape == Shape.EXPONENTIAL) {
      side(path + "expoPositivePercent", expoPositivePercent, found);
      side(path + "expoNegativePercent", expoNegativePercent, found);
    }
  }

  private static void side(String field, double expo, Consumer<Violation> found) {
    if (expo > EXPONENTIAL_EXPO_LIMIT_PERCENT) {
      found.accept(Violation.of(field, expo, Said.of("demand.exponentialShape")));
    }
  }
}
