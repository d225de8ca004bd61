package hightally.app.aircraft;

import hightally.core.quantity.Said;
import java.util.Optional;

/** Something under way that a new revision would pull the ground from under. */
public interface RevisionHold {
  /** Why no revision may be saved now, in a sentence; empty where one may. */
  Optional<Said> why(long aircraftId);
}
