package hightally.app.platform;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * A part of a list that may grow.
 *
 * @param items the part asked for
 * @param total how many there are in all
 * @param <T> what the list holds
 */
public record Page<T>(List<T> items, long total) {
  /** So many at most are answered at once. */
  public static final int MOST = 200;

  /** Which part: pages of {@code size}, counted from 0. */
  public record Asked(int page, int size) {
    private static final int LAST = 1_000_000;

    public Asked {
      if (page < 0 || page > LAST) {
        throw InvalidInputException.of("page", page, Said.of("demand.zeroToLeast", "least", LAST));
      }
      if (size < 1 || size > MOST) {
        throw InvalidInputException.of("size", size, Said.of("demand.oneToMost", "most", MOST));
      }
    }
  }
}
