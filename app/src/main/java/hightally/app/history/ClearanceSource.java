package hightally.app.history;

import hightally.app.aircraft.Revision;
import hightally.core.preflight.Clearance;

/** Knows what keeps models on the ground. */
public interface ClearanceSource {
  /** What grounds a model as it was last saved. */
  Clearance of(long aircraftId, Revision newest);
}
