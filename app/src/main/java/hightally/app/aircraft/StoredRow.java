package hightally.app.aircraft;

import java.util.stream.Stream;

/**
 * A row of a model as the pages read it. What comes in from outside is asked for all of this before
 * it stays.
 */
public interface StoredRow {
  /** Every record that is made of the row; making them may fail, and each has rules of its own. */
  Stream<? extends Record> told();
}
