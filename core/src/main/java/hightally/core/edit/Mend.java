package hightally.core.edit;

import hightally.core.quantity.Said;
import java.util.List;

/**
 * A change that mends something.
 *
 * @param words what it does
 * @param edits the figures it sets
 */
public record Mend(Said words, List<Edit> edits) {
  public Mend {
    edits = edits == null ? null : List.copyOf(edits);
  }
}
