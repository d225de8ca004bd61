package hightally.app;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
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
    return thrown -> assertThat(words(thrown)).contains(part);
  }

  private static String words(Throwable thrown) {
    if (thrown instanceof InvalidInputException refused) {
      return say(refused.said());
    }
    if (thrown instanceof ConflictException refused) {
      return say(refused.said());
    }
    return thrown instanceof NotFoundException missing ? say(missing.said()) : thrown.getMessage();
  }
}
