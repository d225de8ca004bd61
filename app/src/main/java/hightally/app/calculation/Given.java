package hightally.app.calculation;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import java.util.List;

/**
 * Turns the given values of a calculation into the core's records, with the caller's field names.
 */
final class Given {
  private static final int MOST_VALUES = 10_000;

  private Given() {}

  /** The value, or a refusal that names the field. */
  static <T> T need(String field, T value) {
    if (value == null) {
      throw InvalidInputException.of(field, Said.of("given.missing"), Said.of("demand.given"));
    }
    return value;
  }

  /** The value, or what stands in for it when it is left out. */
  static <T> T or(T value, T standard) {
    return value == null ? standard : value;
  }

  /** A number within its range. */
  static double number(String field, Double value, double min, double max, Unit unit) {
    double number = need(field, value);
    if (!(number >= min && number <= max)) {
      throw InvalidInputException.of(
          field,
          number,
          Said.of(
              "demand.range",
              "min",
              new Quantity(min, unit, -1),
              "max",
              new Quantity(max, unit, -1)));
    }
    return number;
  }

  /** A list of numbers, each within the same range. */
  static double[] numbers(String field, List<Double> values, double min, double max, Unit unit) {
    List<Double> given = need(field, values);
    if (given.size() > MOST_VALUES) {
      throw InvalidInputException.of(
          field,
          Said.of("given.values", "count", given.size()),
          Said.of("demand.mostValues", "most", MOST_VALUES));
    }
    double[] numbers = new double[given.size()];
    for (int i = 0; i < numbers.length; i++) {
      numbers[i] = number(field + "[" + i + "]", given.get(i), min, max, unit);
    }
    return numbers;
  }

  /**
   * Checks a record; its violations carry the names the caller used, which have no unit in them.
   */
  static <T extends Record> T checked(String path, T record) {
    List<Violation> violations =
        Validation.violations(record).stream()
            .map(one -> new Violation(path + plain(one.field()), one.value(), one.requirement()))
            .toList();
    if (!violations.isEmpty()) {
      throw new InvalidInputException(violations);
    }
    return record;
  }

  private static String plain(String field) {
    return field.replaceAll("(Mm|Degrees|Percent|Microseconds)$", "");
  }
}
