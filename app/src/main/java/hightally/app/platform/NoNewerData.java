package hightally.app.platform;

import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Data of a newer program is refused, not read: what it means today's program cannot know. Data of
 * an older one is kept as it is before it is brought up.
 */
@Configuration
class NoNewerData {
  @Bean
  FlywayMigrationStrategy refuseNewer(
      BeforeUpgrade before,
      @Value("${" + HighTallyProperties.TAKEN_OVER + ":}") String takenOverFrom) {
    return flyway -> migrate(flyway, before, !takenOverFrom.isEmpty());
  }

  private static void migrate(Flyway flyway, BeforeUpgrade before, boolean takenOver) {
    try (Connection connection = flyway.getConfiguration().getDataSource().getConnection()) {
      NewestSchema.make(connection);
    } catch (SQLException | IOException e) {
      throw new IllegalStateException(e);
    }
    for (var applied : flyway.info().all()) {
      if (applied.getState() == MigrationState.FUTURE_SUCCESS
          || applied.getState() == MigrationState.FUTURE_FAILED) {
        throw new StartFailure.NewerData();
      }
    }
    MigrationInfo now = flyway.info().current();
    if (now != null && (takenOver || flyway.info().pending().length > 0)) {
      try {
        before.keep(now.getVersion().getVersion());
      } catch (IOException | SQLException e) {
        throw new StartFailure.NotKept(e);
      }
    }
    flyway.migrate();
  }
}
