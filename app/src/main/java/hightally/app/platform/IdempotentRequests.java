package hightally.app.platform;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.springframework.dao.DataIntegrityViolationException;

/**
 * The same request sent twice does its work once. A request that is sent again carries the key it
 * carried before, which the database holds beside what came of it: unique, so even two at the same
 * moment make one.
 */
public final class IdempotentRequests {
  /** The header that carries the key. */
  public static final String KEY = "Idempotency-Key";

  private static final Pattern LEGAL = Pattern.compile("[A-Za-z0-9-]{8,64}");

  private IdempotentRequests() {}

  /** The key, if it is legal; null where none was sent. */
  public static String key(String sent) {
    if (sent != null && !LEGAL.matcher(sent).matches()) {
      throw InvalidInputException.of(KEY, sent, Said.of("demand.lettersDigitsHyphens"));
    }
    return sent;
  }

  /**
   * What came of the request before, or what comes of it now.
   *
   * @param key as checked; without one the work is simply done
   * @param before finds what that key made
   * @param now does it; whoever comes second at the same moment fails on a unique constraint
   */
  public static <T> T of(String key, Function<String, Optional<T>> before, Supplier<T> now) {
    if (key == null) {
      return now.get();
    }
    Optional<T> made = before.apply(key);
    if (made.isPresent()) {
      return made.get();
    }
    try {
      return now.get();
    } catch (DataIntegrityViolationException e) {
      return before.apply(key).orElseThrow(() -> e);
    }
  }
}
