package hightally.core.quantity;

import java.util.Locale;

/** The three controls of a stick pair; plus is right wing down, nose up, nose right. */
public enum Control {
  ROLL,
  PITCH,
  YAW;

  /** Its name in a sentence and in references: {@code roll}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The control of that word. */
  public static Control named(String word) {
    return valueOf(word.toUpperCase(Locale.ROOT));
  }
}
