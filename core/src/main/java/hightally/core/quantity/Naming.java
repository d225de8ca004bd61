package hightally.core.quantity;

/**
 * Gives what is new a name in the pilot's language: what he may change it to is his own. The core
 * says what it is, who calls it knows the words.
 */
@FunctionalInterface
public interface Naming {
  /** At most {@code longest} characters. */
  String of(Said what, int longest);
}
