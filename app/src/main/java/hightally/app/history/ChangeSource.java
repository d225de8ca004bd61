package hightally.app.history;

import hightally.core.history.History;
import java.util.List;

/** Knows of changes that no revision shows. */
public interface ChangeSource {
  /** All of a model's. */
  List<History.Change> of(long aircraftId);
}
