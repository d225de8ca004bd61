package hightally.core.quantity;

/**
 * A number with its unit, to be told.
 *
 * @param value in the unit
 * @param decimals digits behind the point that mean something; -1 for as many as there are
 */
public record Quantity(double value, Unit unit, int decimals) {
  /** To a tenth of a millimetre, as a ruler is read. */
  public static Quantity mm(double value) {
    return mm(value, 1);
  }

  public static Quantity mm(double value, int decimals) {
    return new Quantity(value, Unit.MILLIMETRES, decimals);
  }

  public static Quantity degrees(double value, int decimals) {
    return new Quantity(value, Unit.DEGREES, decimals);
  }

  /** In whole percent. */
  public static Quantity percent(double value) {
    return percent(value, 0);
  }

  public static Quantity percent(double value, int decimals) {
    return new Quantity(value, Unit.PERCENT, decimals);
  }

  public static Quantity microseconds(double value) {
    return new Quantity(value, Unit.MICROSECONDS, 0);
  }

  public static Quantity seconds(double value, int decimals) {
    return new Quantity(value, Unit.SECONDS, decimals);
  }

  public static Quantity grams(double value) {
    return new Quantity(value, Unit.GRAMS, 0);
  }

  /** A plain number. */
  public static Quantity plain(double value, int decimals) {
    return new Quantity(value, Unit.NONE, decimals);
  }

  /** The same without its sign, where a word says which way. */
  public Quantity size() {
    return new Quantity(Math.abs(value), unit, decimals);
  }
}
