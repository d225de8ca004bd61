package hightally.app.story;

import hightally.app.aircraft.Revision;
import hightally.core.preflight.Clearance;

/** Knows what keeps models on the ground. */
public interface GroundingSource {
  /** What grounds a model as it was last saved. */
  Clearance of(long aircraftId, Revision newest);
}
