package hightally.app.aircraft;

import hightally.core.flightlog.TrimsStillValid;
import hightally.core.setup.Setup;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Works out, once and before the first request, since when trims hold for revisions that were
 * stored before that was kept with them; and again when such revisions come out of an archive.
 */
@Component
public class OlderRevisions implements SmartInitializingSingleton {
  private static final Logger LOG = LoggerFactory.getLogger(OlderRevisions.class);

  private final RevisionRepository revisions;
  private final StoredSetups setups;
  private final TransactionTemplate transaction;

  OlderRevisions(
      RevisionRepository revisions, StoredSetups setups, TransactionTemplate transaction) {
    this.revisions = revisions;
    this.setups = setups;
    this.transaction = transaction;
  }

  @Override
  public void afterSingletonsInstantiated() {
    for (Long aircraft : revisions.aircraftWithOlderOnes()) {
      try {
        transaction.executeWithoutResult(status -> workOut(aircraft));
      } catch (RuntimeException e) {
        // Its card says so; the others are not kept waiting for it.
        LOG.warn("What model {} holds cannot be read: {}", aircraft, e.getMessage());
      }
    }
  }

  /** For every revision of a model that does not know it yet. */
  @Transactional
  public void workOut(long aircraftId) {
    List<RevisionEntity> open =
        revisions.findByAircraftIdAndTrimsHoldSinceIsNullOrderByNumberAsc(aircraftId);
    for (RevisionEntity one : open) {
      one.heldSince(since(one));
      revisions.saveAndFlush(one);
    }
  }

  private int since(RevisionEntity now) {
    if (now.number() == 1 || now.adjustmentId() != null) {
      return now.number();
    }
    RevisionEntity before =
        revisions.findByAircraftIdAndNumber(now.aircraftId(), now.number() - 1).orElseThrow();
    Setup was = setups.of(before);
    boolean holds = now.corrects() || TrimsStillValid.between(was, setups.of(now));
    return holds ? before.trimsHoldSince() : now.number();
  }
}
