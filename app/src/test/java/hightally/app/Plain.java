package hightally.app;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import org.assertj.core.api.ThrowingConsumer;

/** What is said, in plain English. */
public final class Plain {
  private Plain() {}

  public static String say(Said said) {
    return Words.of(Wording.PLAIN).say(said);
  }

  /** That an exception says something. */
  public static ThrowingConsumer<Throwable> saying(String part) {
    return thrown ->
        assertThat(thrown instanceof InvalidInputException e ? say(e.said()) : thrown.getMessage())
            .contains(part);
  }
}
