package hightally.app.aircraft;

import hightally.core.flightlog.TrimsStillValid;
import hightally.core.setup.Setup;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Works out, once and before the first request, since when trims hold for revisions that were
 * stored before that was kept with them; and again when such revisions come out of an archive.
 */
@Component
public class OlderRevisions implements SmartInitializingSingleton {
  private static final int AT_ONCE = 50;

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
    workOut();
  }

  /** For every revision that does not know it yet. */
  public void workOut() {
    while (Boolean.TRUE.equals(transaction.execute(status -> some()))) {
      // Some at a time: a long history is not held in memory.
    }
  }

  private boolean some() {
    List<RevisionEntity> open =
        revisions.findByTrimsHoldSinceIsNullOrderByAircraftIdAscNumberAsc(
            PageRequest.of(0, AT_ONCE));
    open.forEach(one -> one.heldSince(since(one)));
    return !open.isEmpty();
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
