package hightally.core.signal;

import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;

/** Places along a stretch of an axis between which something bends nowhere, or one way only. */
final class Kinks {
  private static final int HALVINGS = 50;

  private final TreeSet<Double> found = new TreeSet<>();
  private final double from;
  private final double to;

  Kinks(double from, double to) {
    this.from = from;
    this.to = to;
    found.add(from);
    found.add(to);
    add(0);
  }

  /** A place, if it lies within the stretch. */
  void add(double place) {
    if (place > from && place < to) {
      found.add(place);
    }
  }

  /** Where something that never falls over a stick's way comes to a value. */
  void whereRising(DoubleUnaryOperator rising, double value) {
    double left = -1;
    double right = 1;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (left + right) / 2;
      if (rising.applyAsDouble(middle) < value) {
        left = middle;
      } else {
        right = middle;
      }
    }
    add((left + right) / 2);
  }

  /** Where something that is straight between the places found so far comes to a value. */
  void whereStraight(DoubleUnaryOperator straight, double value) {
    double[] ends = sorted();
    for (int i = 1; i < ends.length; i++) {
      double first = straight.applyAsDouble(ends[i - 1]) - value;
      double last = straight.applyAsDouble(ends[i]) - value;
      if (first * last < 0) {
        add(ends[i - 1] + (ends[i] - ends[i - 1]) * first / (first - last));
      }
    }
  }

  double[] sorted() {
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
