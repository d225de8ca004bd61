package hightally.app.archive;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Place;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionOperations;

/** What was deleted a month ago is taken out for good, all of it or nothing. */
@Component
class Cleared {
  private static final Logger LOG = LoggerFactory.getLogger(Cleared.class);
  private static final long HOUR_MILLIS = 3_600_000;
  private static final long SOON_MILLIS = 90_000;

  private final JdbcTemplate data;
  private final TransactionOperations whole;
  private final Clock clock;

  Cleared(JdbcTemplate data, TransactionOperations whole, Clock clock) {
    this.data = data;
    this.whole = whole;
    this.clock = clock;
  }

  @Scheduled(fixedDelay = HOUR_MILLIS, initialDelay = SOON_MILLIS)
  void now() {
    try {
      List<Long> over =
          data.queryForList(
              "select id from aircraft where place = ? and place_since <= ?",
              Long.class,
              Place.DELETED.name(),
              Timestamp.from(clock.instant().minus(Hangar.WAY_BACK)));
      over.forEach(id -> whole.executeWithoutResult(status -> clear(id)));
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("What was deleted a month ago could not be taken out: {}", e.getMessage());
    }
  }

  private void clear(long id) {
    data.update("update revision set adjustment_id = null where aircraft_id = ?", id);
    List<Kept> last = new ArrayList<>(Kept.ALL);
    Collections.reverse(last);
    last.forEach(
        one -> data.update("delete from " + one.table() + " where " + one.ofOneModel(), id));
  }
}
