package hightally.app.archive;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Place;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What was deleted a month ago is taken out for good, all of it or nothing. */
@Component
class Cleared {
  private static final Logger LOG = LoggerFactory.getLogger(Cleared.class);
  private static final long HOUR_MILLIS = 3_600_000;
  private static final long SOON_MILLIS = 90_000;

  private final DataSource data;
  private final Clock clock;

  Cleared(DataSource data, Clock clock) {
    this.data = data;
    this.clock = clock;
  }

  @Scheduled(fixedDelay = HOUR_MILLIS, initialDelay = SOON_MILLIS)
  void now() {
    try (Connection connection = data.getConnection()) {
      for (long id : over(connection)) {
        clear(connection, id);
      }
    } catch (SQLException e) {
      LOG.warn("What was deleted a month ago could not be taken out: {}", e.getMessage());
    }
  }

  private List<Long> over(Connection connection) throws SQLException {
    List<Long> found = new ArrayList<>();
    try (PreparedStatement asked =
        connection.prepareStatement(
            "select id from aircraft where place = ? and place_since <= ?")) {
      asked.setString(1, Place.DELETED.name());
      asked.setTimestamp(2, Timestamp.from(clock.instant().minus(Hangar.WAY_BACK)));
      try (var rows = asked.executeQuery()) {
        while (rows.next()) {
          found.add(rows.getLong(1));
        }
      }
    }
    return found;
  }

  private static void clear(Connection connection, long id) throws SQLException {
    connection.setAutoCommit(false);
    try {
      run(connection, "update revision set adjustment_id = null where aircraft_id = ?", id);
      List<Kept> last = new ArrayList<>(Kept.ALL);
      Collections.reverse(last);
      for (Kept one : last) {
        run(connection, "delete from " + one.table() + " where " + one.ofOneModel(), id);
      }
      connection.commit();
    } catch (SQLException e) {
      connection.rollback();
      throw e;
    } finally {
      connection.setAutoCommit(true);
    }
  }

  private static void run(Connection connection, String sql, long id) throws SQLException {
    try (PreparedStatement statement = connection.prepareStatement(sql)) {
      statement.setLong(1, id);
      statement.executeUpdate();
    }
  }
}
