package hightally.app.platform;

import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationState;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Data of a newer program is refused, not read: what it means today's program cannot know. */
@Configuration
class NoNewerData {
  @Bean
  FlywayMigrationStrategy refuseNewer() {
    return NoNewerData::migrate;
  }

  private static void migrate(Flyway flyway) {
    for (var applied : flyway.info().all()) {
      if (applied.getState() == MigrationState.FUTURE_SUCCESS
          || applied.getState() == MigrationState.FUTURE_FAILED) {
        throw new StartFailure.NewerData();
      }
    }
    flyway.migrate();
  }
}
