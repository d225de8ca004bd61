package hightally.core.quantity;

import java.util.Locale;

/** Numbers as a pilot says them, always with direction words instead of bare signs. */
public final class Words {
  private static final String[] SIXTHS = {"", "⅙", "⅓", "½", "⅔", "⅚"};

  private Words() {}

  /** With a capital, for the beginning of a sentence. */
  public static String capital(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  /** One decimal, without a sign: {@code 0.8 mm}. */
  public static String millimetres(double mm) {
    return String.format(Locale.ROOT, "%.1f mm", Math.abs(mm));
  }

  /**
   * A number of turns given in sixths of a turn, so that halves and sixths read as fractions:
   * {@code 1½}.
   */
  public static String turns(long sixths) {
    long size = Math.abs(sixths);
    String whole = size >= 6 ? Long.toString(size / 6) : "";
    String text = whole + SIXTHS[(int) (size % 6)];
    return text.isEmpty() ? "0" : text;
  }

  /** {@code turn} up to one, {@code turns} above. */
  public static String turnWord(long sixths) {
    return Math.abs(sixths) <= 6 ? "turn" : "turns";
  }

  /** {@code 3 clicks right wing down}, {@code 0 clicks}. */
  public static String clicks(Control control, int clicks) {
    if (clicks == 0) {
      return "0 clicks";
    }
    String word = Math.abs(clicks) == 1 ? " click " : " clicks ";
    return Math.abs(clicks) + word + direction(control, clicks);
  }

  /** Which way a control's plus or minus points. */
  public static String direction(Control control, double sign) {
    return switch (control) {
      case ROLL -> sign > 0 ? "right" : "left";
      case PITCH -> sign > 0 ? "up" : "down";
      case YAW -> sign > 0 ? "right" : "left";
    };
  }
}
