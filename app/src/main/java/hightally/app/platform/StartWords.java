package hightally.app.platform;

import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.util.Locale;

/** What is printed where the program is started: in the language of the machine. */
public final class StartWords {
  private StartWords() {}

  /** In words. */
  public static String say(Said said) {
    return Words.of(new Wording(Locale.getDefault(), Wording.Length.MILLIMETRES, false)).say(said);
  }
}
