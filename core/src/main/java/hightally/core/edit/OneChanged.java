package hightally.core.edit;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** A list with what is meant in it changed. */
final class OneChanged {
  private OneChanged() {}

  /**
   * The list with every meant entry changed.
   *
   * @param named what was named to find it, told where nothing is meant
   */
  static <T> List<T> of(List<T> all, String named, Predicate<T> which, UnaryOperator<T> change) {
    if (all.stream().noneMatch(which)) {
      throw InvalidInputException.of("subject", named, Said.of("demand.whatFigureHas"));
    }
    return all.stream().map(one -> which.test(one) ? change.apply(one) : one).toList();
  }
}
