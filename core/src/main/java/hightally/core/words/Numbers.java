package hightally.core.words;

import hightally.core.quantity.Quantity;
import hightally.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;

/** Numbers as a reader wants them: his units, his decimal mark, and a true minus. */
final class Numbers {
  private static final String NUMBER = "#";
  private static final double INCH_MM = 25.4;

  /** A hundredth of an inch is a quarter of a millimetre: two digits more tell as much. */
  private static final int MORE_DIGITS_IN_INCHES = 2;

  /** Digits of a number that is told as it was given. */
  private static final int AS_GIVEN = 6;

  private final Wording wording;
  private final Messages messages;

  Numbers(Wording wording, Messages messages) {
    this.wording = wording;
    this.messages = messages;
  }

  /** A number with its unit: {@code 2.5 mm}, {@code 80 %}, {@code −3°}. */
  String told(Quantity quantity) {
    String number = bare(quantity);
    if (quantity.unit() == Unit.NONE) {
      return number;
    }
    return quantity.unit() == Unit.CLICKS
        ? messages.filled("unit.CLICKS", Map.of("count", quantity.value(), "number", number))
        : messages.pattern(key(quantity.unit())).replace(NUMBER, number);
  }

  /** Its number in the reader's unit, without the unit. */
  String bare(Quantity quantity) {
    boolean inches = inInches(quantity.unit());
    double value = inches ? quantity.value() / INCH_MM : quantity.value();
    if (quantity.decimals() < 0 || !Double.isFinite(value)) {
      return asGiven(value);
    }
    int decimals = quantity.decimals() + (inches ? MORE_DIGITS_IN_INCHES : 0);
    return text(decimal(value, decimals).toPlainString());
  }

  /** The sign of a unit alone: {@code mm}. */
  String symbol(Unit unit) {
    return messages.pattern(key(unit)).replace(NUMBER, "").strip();
  }

  private boolean inInches(Unit unit) {
    return unit == Unit.MILLIMETRES && wording.length() == Wording.Length.INCHES;
  }

  private String key(Unit unit) {
    return inInches(unit) ? "unit.INCHES" : "unit." + unit.name();
  }

  /** A number as it was given: no digit that says nothing. */
  String asGiven(double value) {
    if (!Double.isFinite(value)) {
      return Double.toString(value);
    }
    BigDecimal stripped = decimal(value, AS_GIVEN).stripTrailingZeros();
    return text(stripped.toPlainString());
  }

  private static BigDecimal decimal(double value, int decimals) {
    BigDecimal rounded = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
    return rounded.signum() == 0 ? BigDecimal.ZERO.setScale(decimals) : rounded;
  }

  private String text(String plain) {
    String marked = wording.commaDecimals() ? plain.replace('.', ',') : plain;
    return marked.replace('-', '−');
  }
}
