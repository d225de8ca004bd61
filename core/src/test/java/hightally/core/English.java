package hightally.core;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.util.List;
import org.assertj.core.api.ThrowingConsumer;

/** What is said, in plain English. */
public final class English {
  private static final Words WORDS = Words.of(Wording.PLAIN);

  /** Names for new parts. */
  public static final Naming NAMES = (what, longest) -> WORDS.say(what);

  private English() {}

  public static String say(Said said) {
    return WORDS.say(said);
  }

  /** Whether there are words for a code. */
  public static boolean has(String code) {
    return WORDS.has(code);
  }

  /** That an exception says something, in plain English. */
  public static ThrowingConsumer<Throwable> saying(String part) {
    return thrown ->
        assertThat(thrown instanceof InvalidInputException e ? say(e.said()) : thrown.getMessage())
            .contains(part);
  }

  public static List<String> say(List<Said> said) {
    return said.stream().map(English::say).toList();
  }
}
