package hightally.core.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ResponseCurveTest {
  @Property
  void expoMeansTheSameCentreSlopeInEveryShape(
      @ForAll Shape shape,
      @ForAll @DoubleRange(min = -50, max = 95) double expo,
      @ForAll @DoubleRange(min = 10, max = 150) double rate) {
    ResponseCurve curve = ResponseCurve.of(new Response(rate, rate, expo, expo, shape));
    double slope = curve.value(1e-7) / 1e-7;
    assertThat(slope).isCloseTo(rate / 100 * (1 - expo / 100), within(1e-4));
    assertThat(curve.value(1)).isCloseTo(rate / 100, within(1e-12));
  }

  @Property
  void evenSidesAreMirrored(
      @ForAll Shape shape,
      @ForAll @DoubleRange(min = -50, max = 95) double expo,
      @ForAll @DoubleRange(min = -1, max = 1) double stick) {
    ResponseCurve curve = ResponseCurve.of(new Response(80, 80, expo, expo, shape));
    assertThat(curve.value(-stick)).isCloseTo(-curve.value(stick), within(1e-12));
  }
}
