package hightally.app.school;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.zaxxer.hikari.HikariDataSource;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Ten practices flown at once take nothing from anybody else. */
class ParallelFlightsTest extends ApiTest {
  private static final int FLIGHTS = 10;

  @Autowired private DataSource source;

  @Test
  void tenAtOnceHoldNoConnectionWhileTheyAreWorkedOut() throws Exception {
    List<String> practices = new ArrayList<>();
    for (int i = 0; i < FLIGHTS; i++) {
      Map<String, Object> begun = Map.of("aircraftId", 1, "faults", 1, "windy", false, "seed", i);
      practices.add("/api/school/" + post("/api/school/models", begun).json().get("id").asLong());
    }
    HikariDataSource pool = source.unwrap(HikariDataSource.class);
    ExecutorService pilots = Executors.newFixedThreadPool(FLIGHTS + 1);
    try {
      List<Future<Answer>> flown = new ArrayList<>();
      for (String practice : practices) {
        JsonNode sheet = get(practice).json();
        JsonNode test = sheet.at("/tests/" + sheet.get("next").asInt() + "/test");
        Map<String, Object> fly =
            Map.of("test", test.get("test").asText(), "part", test.get("part").asText());
        flown.add(pilots.submit(() -> post(practice + "/flights", fly)));
      }
      Future<Answer> hangar = pilots.submit(() -> get("/api/aircraft"));
      int most = 0;
      int looked = 0;
      while (flown.stream().anyMatch(one -> !one.isDone())) {
        most = Math.max(most, pool.getHikariPoolMXBean().getActiveConnections());
        looked++;
        Thread.sleep(1);
      }
      assertThat(hangar.get().status()).isEqualTo(200);
      assertThat(looked).as("looks while they fly").isPositive();
      assertThat(most).as("connections taken").isLessThan(pool.getMaximumPoolSize());
      for (Future<Answer> one : flown) {
        assertThat(one.get().status()).isEqualTo(200);
      }
    } finally {
      pilots.shutdownNow();
    }
  }
}
