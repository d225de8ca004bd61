package hightally.core.words;

import java.util.Locale;

/**
 * How a reader wants things told.
 *
 * @param language of the message file; one that is not there is told in English
 * @param length what lengths are shown in
 * @param commaDecimals whether a comma stands before the decimals
 */
public record Wording(Locale language, Length length, boolean commaDecimals) {
  /** English, millimetres, a decimal point. */
  public static final Wording PLAIN = new Wording(Locale.ENGLISH, Length.MILLIMETRES, false);

  /** The country of the made-up language, {@code en-XA}: English, each message between marks. */
  public static final String MADE_UP = "XA";

  /** What lengths are shown in. */
  public enum Length {
    MILLIMETRES,
    INCHES
  }
}
