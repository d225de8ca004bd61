package hightally.core.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.program.ShapeConversion.Keep;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ShapeConversionTest {
  private static double slope(Response response) {
    ResponseCurve curve = ResponseCurve.of(response);
    return curve.value(1e-7) / 1e-7;
  }

  private static double squares(Response one, Response other) {
    ResponseCurve a = ResponseCurve.of(one);
    ResponseCurve b = ResponseCurve.of(other);
    double sum = 0;
    for (int i = 0; i <= 100; i++) {
      sum += Math.pow(a.value(i / 100.0) - b.value(i / 100.0), 2);
    }
    return sum;
  }

  private static Response with(Response response, double expo) {
    return new Response(
        response.ratePositivePercent(),
        response.rateNegativePercent(),
        expo,
        expo,
        response.shape());
  }

  @Property(tries = 60)
  void keepingTheCentreKeepsItsSlope(
      @ForAll Shape from, @ForAll Shape to, @ForAll @DoubleRange(min = -50, max = 90) double expo) {
    Response response = new Response(90, 70, expo, expo, from);
    Response converted = ShapeConversion.of(response, to, Keep.CENTRE_SLOPE).response();
    assertThat(slope(converted)).isCloseTo(slope(response), within(1e-4));
  }

  @Property(tries = 60)
  void noExpoAroundTheAnswerIsNearerToTheWholeCurve(
      @ForAll Shape from, @ForAll Shape to, @ForAll @DoubleRange(min = -40, max = 80) double expo) {
    Response response = new Response(100, 100, expo, expo, from);
    ShapeConversion.Converted found = ShapeConversion.of(response, to, Keep.WHOLE_CURVE);
    double best = found.response().expoPositivePercent();
    double here = squares(response, with(found.response(), best));
    for (double aside : new double[] {-1, 1}) {
      double other = best + aside;
      if (other >= -50 && other <= 99) {
        assertThat(squares(response, with(found.response(), other)))
            .isGreaterThanOrEqualTo(here - 1e-9);
      }
    }
    if (from == to) {
      assertThat(found.largestDifferencePercent()).isZero();
    }
  }
}
