package hightally.app.archive;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.util.ArrayList;
import java.util.List;

/** What is wrong with a model of an archive: by table, row and field. */
final class RowFaults {
  /** More than this is not told of one model. */
  private static final int TOLD = 50;

  private final List<Violation> found = new ArrayList<>();

  void add(String table, int row, String column, Object value, Said demand) {
    add(Violation.of(at(table, row, column), value, demand));
  }

  /** What is wrong inside of a column or of the whole row. */
  void add(String table, int row, String column, InvalidInputException inside) {
    add(at(table, row, column), inside);
  }

  /** The same at a place that is no row. */
  void add(String at, InvalidInputException inside) {
    inside
        .violations()
        .forEach(one -> add(new Violation(at + "." + one.field(), one.value(), one.requirement())));
  }

  private static String at(String table, int row, String column) {
    return table + "[" + row + "]" + (column.isEmpty() ? "" : "." + column);
  }

  void add(Violation one) {
    if (found.size() < TOLD) {
      found.add(one);
    }
  }

  boolean none() {
    return found.isEmpty();
  }

  List<Violation> all() {
    return List.copyOf(found);
  }
}
