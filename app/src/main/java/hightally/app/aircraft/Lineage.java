package hightally.app.aircraft;

import hightally.core.flightlog.TrimsStillValid;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The revisions of an aircraft with what each did to its trims. That is worked out when a revision
 * is saved and kept in its header, so no document is read to answer.
 */
@Service
public class Lineage {
  private final RevisionRepository revisions;

  Lineage(RevisionRepository revisions) {
    this.revisions = revisions;
  }

  /** A revision with what it does to trims. */
  public record Descent(
      RevisionHeader revision, List<TrimsStillValid.Parted> parted, boolean setsTrims) {}

  /** Every revision of an aircraft, oldest first. */
  @Transactional(readOnly = true)
  public List<Descent> all(long aircraftId) {
    return revisions.findByAircraftIdOrderByNumber(aircraftId).stream()
        .map(one -> new Descent(one.header(), one.parted(), one.setsTrims()))
        .toList();
  }
}
