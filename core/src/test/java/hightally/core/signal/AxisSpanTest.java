package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** Extremes along an axis, and the places where something bends. */
class AxisSpanTest {
  private static final double FINE = 1e-9;

  /** A straight line and a softened stick against each other: one turning point on each side. */
  @Property
  void theExtremesAreThoseOfAFineComb(
      @ForAll @DoubleRange(min = -2, max = 2) double straight,
      @ForAll @DoubleRange(min = -3, max = 3) double cubic,
      @ForAll @DoubleRange(min = -1, max = 0.5) double from,
      @ForAll @DoubleRange(min = 0.1, max = 0.5) double width) {
    DoubleUnaryOperator part = x -> straight * x + cubic * x * x * x + 5;
    double to = from + width;
    AxisSpan span = new AxisSpan(2, 7);
    Kinks kinks = new Kinks(from, to);
    span.find(1, part, kinks.sorted());
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i <= 2000; i++) {
      double value = part.applyAsDouble(from + width * i / 2000);
      least = Math.min(least, value);
      most = Math.max(most, value);
    }
    assertThat(span.low[1]).isBetween(least - 1e-5, least + FINE);
    assertThat(span.high[1]).isBetween(most - FINE, most + 1e-5);
    assertThat(part.applyAsDouble(span.lowAt[1])).isEqualTo(span.low[1]);
    assertThat(part.applyAsDouble(span.highAt[1])).isEqualTo(span.high[1]);
    assertThat(span.lowAt[1]).isBetween(from, to);
    assertThat(span.highAt[1]).isBetween(from, to);
  }

  /** {@code x - x³} turns at ±1/√3. */
  @Example
  void aTurningPointIsClosedInOnFromBothSides() {
    DoubleUnaryOperator part = x -> x - x * x * x;
    AxisSpan span = new AxisSpan(1, 0);
    span.find(0, part, new double[] {-1, 0, 1});
    double turn = 1 / Math.sqrt(3);
    assertThat(span.highAt[0]).isCloseTo(turn, within(1e-7));
    assertThat(span.lowAt[0]).isCloseTo(-turn, within(1e-7));
    assertThat(span.high[0]).isCloseTo(2 * turn / 3, within(FINE));
    assertThat(span.low[0]).isCloseTo(-2 * turn / 3, within(FINE));
  }

  @Example
  void ofEqualValuesTheFirstPlaceIsKept() {
    AxisSpan span = new AxisSpan(1, 0.25);
    assertThat(span.lowAt[0]).isEqualTo(0.25);
    assertThat(span.highAt[0]).isEqualTo(0.25);
    span.find(0, x -> 3, new double[] {-1, 0, 1});
    assertThat(span.lowAt[0]).isEqualTo(-1);
    assertThat(span.highAt[0]).isEqualTo(-1);
    assertThat(span.moves(1)).isFalse();
    span.find(0, x -> x, new double[] {-1, 0, 1});
    assertThat(span.moves(0)).isFalse();
    assertThat(span.moves(1)).isTrue();
  }

  @Example
  void endsAndZeroAreBendsAndNothingOutsideIs() {
    Kinks kinks = new Kinks(-0.5, 0.75);
    kinks.add(-0.5);
    kinks.add(0.75);
    kinks.add(0.8);
    kinks.add(-0.6);
    kinks.add(0.25);
    assertThat(kinks.sorted()).containsExactly(-0.5, 0, 0.25, 0.75);
    assertThat(new Kinks(0.1, 1).sorted()).containsExactly(0.1, 1);
  }

  @Example
  void whereSomethingRisingComesToAValue() {
    Kinks kinks = new Kinks(-1, 1);
    kinks.whereRising(x -> x * x * x, 0.125);
    assertThat(kinks.sorted()).hasSize(4);
    assertThat(kinks.sorted()[2]).isCloseTo(0.5, within(1e-12));
    Kinks never = new Kinks(0, 1);
    never.whereRising(x -> x * x * x, -0.125);
    assertThat(never.sorted()).as("outside the stretch").containsExactly(0, 1);
  }

  @Example
  void whereSomethingStraightComesToAValue() {
    Kinks kinks = new Kinks(-1, 1);
    kinks.whereStraight(x -> x < 0 ? -x : 3 * x, 0.75);
    assertThat(kinks.sorted()).containsExactly(-1, -0.75, 0, 0.25, 1);
    kinks.whereStraight(x -> x, 1);
    kinks.whereStraight(x -> x, 2);
    kinks.whereStraight(x -> 0.5, 0.5);
    assertThat(kinks.sorted()).containsExactly(-1, -0.75, 0, 0.25, 1);
  }
}
