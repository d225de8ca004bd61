package hightally.app.aircraft;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * From which revision on trims that were flown still mean the same. It is worked out when a
 * revision is saved and kept in its header, so no document is read to answer.
 */
@Service
public class Lineage {
  private static final String TURNED = "rods were turned in revision ";
  private static final String CHANGED = "the rig was changed in revision ";

  private final Hangar hangar;
  private final RevisionRepository revisions;

  Lineage(Hangar hangar, RevisionRepository revisions) {
    this.hangar = hangar;
    this.revisions = revisions;
  }

  /** A revision that voids the trims flown before it, and why. */
  public record Parting(RevisionHeader revision, String why) {}

  /**
   * The revisions that void trims, oldest first. One that only corrects the description from what a
   * flight has taught is none: the model flew as it is.
   *
   * @param after the last revision that is not asked about, at least 1: the first voids nothing
   */
  @Transactional(readOnly = true)
  public List<Parting> partings(long aircraftId, int after) {
    return revisions.partings(aircraftId, Math.max(1, after)).stream()
        .map(RevisionEntity::header)
        .map(one -> new Parting(one, (one.fromAdjustment() ? TURNED : CHANGED) + one.number()))
        .toList();
  }

  /** The revision since which trims mean what they mean on the newest one. */
  @Transactional(readOnly = true)
  public int since(long aircraftId) {
    return hangar.newestHeader(aircraftId).trimsHoldSince();
  }

  /** Whether a flight has corrected the description after a revision. */
  @Transactional(readOnly = true)
  public boolean correctedAfter(long aircraftId, int number) {
    return revisions.existsByAircraftIdAndNumberGreaterThanAndCorrectsTrue(aircraftId, number);
  }
}
