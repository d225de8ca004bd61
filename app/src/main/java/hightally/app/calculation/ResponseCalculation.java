package hightally.app.calculation;

import hightally.core.program.Response;
import hightally.core.program.ResponseCurve;
import hightally.core.program.Shape;
import hightally.core.quantity.Unit;
import java.util.Arrays;
import java.util.List;

/** Kind {@code response}: rate and expo over stick positions. */
final class ResponseCalculation {
  private ResponseCalculation() {}

  /** Rates and expos in percent, sticks -1 to +1. */
  record ResponseGiven(
      Double ratePositive,
      Double rateNegative,
      Double expoPositive,
      Double expoNegative,
      Shape shape,
      List<Double> stick) {}

  /** Fractions of nominal full travel. */
  record ResponseFound(List<Double> value) {}

  static ResponseFound of(ResponseGiven given) {
    Response response =
        new Response(
            Given.need("ratePositive", given.ratePositive()),
            Given.need("rateNegative", given.rateNegative()),
            Given.or(given.expoPositive(), 0.0),
            Given.or(given.expoNegative(), 0.0),
            Given.or(given.shape(), Shape.CUBIC));
    double[] sticks = Given.numbers("stick", given.stick(), -1, 1, Unit.NONE);
    ResponseCurve curve = ResponseCurve.of(Given.checked("", response));
    return new ResponseFound(Arrays.stream(sticks).map(curve::value).boxed().toList());
  }
}
