package hightally.app.platform;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The connections to the database. */
@Component
class Connections {
  private static final Logger LOG = LoggerFactory.getLogger(Connections.class);
  private final DataSource source;

  Connections(DataSource source) {
    this.source = source;
  }

  /**
   * Lets go of all of them. When a write fails the database closes itself, and every connection to
   * it is dead; the next one opens it again, if the disk has room by then.
   */
  void renew() {
    try {
      if (source.isWrapperFor(HikariDataSource.class)) {
        source.unwrap(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
      }
    } catch (SQLException e) {
      LOG.warn("The connections could not be renewed", e);
    }
  }
}
