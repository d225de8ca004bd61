package hightally.app.history;

import hightally.core.history.History;
import java.util.List;
import java.util.Optional;

/** Knows of work orders. */
public interface OrderSource {
  /** A model's closed ones, oldest first. */
  List<History.Order> closed(long aircraftId);

  /** The one that is begun. */
  Optional<History.OpenOrder> open(long aircraftId);
}
