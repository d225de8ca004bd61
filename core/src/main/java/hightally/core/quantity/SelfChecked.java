package hightally.core.quantity;

import java.util.function.Consumer;

/** A record with rules that no single field can state, such as one field referring to another. */
public interface SelfChecked {
  /**
   * Reports what is wrong. Called only after the fields themselves have passed.
   *
   * @param path path of this record, ending in a dot, or empty at the top
   * @param found takes each violation
   */
  void check(String path, Consumer<Violation> found);
}
