package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.Pilot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Twenty at the same moment, and the work is done once. */
class IdempotentRequestsTest extends Pilot {
  private static final int MANY = 20;
  @Autowired private JdbcTemplate database;

  @Test
  void oneOrder() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    Set<String> ids = new TreeSet<>();
    for (MockHttpServletResponse answer : together(at + "/adjustment", beginning(flight), null)) {
      assertThat(answer.getStatus()).isEqualTo(201);
      ids.add(json.readTree(answer.getContentAsString()).get("id").asText());
    }
    assertThat(ids).hasSize(1);
    assertThat(count("adjustment", at)).isEqualTo(1);
  }

  @Test
  void oneSetUp() throws Exception {
    String at = newModel();
    together(at + "/bench-set-up", Map.of("school", "ROD_FIRST"), null)
        .forEach(answer -> assertThat(answer.getStatus()).isEqualTo(201));
    assertThat(count("bench_set_up", at)).isEqualTo(1);
  }

  @Test
  void oneFlightForOneKey() throws Exception {
    String at = newModel();
    Map<String, Object> body = Map.of("revisionNumber", 1, "report", report(1, 2, 3));
    for (MockHttpServletResponse answer : together(at + "/flights", body, "flight-of-today-1")) {
      assertThat(answer.getStatus()).isEqualTo(201);
    }
    assertThat(count("flight", at)).isEqualTo(1);
    Map<String, Object> other = Map.of("revisionNumber", 1, "report", report(3, 2, 1));
    post(at + "/flights", other);
    post(at + "/flights", other);
    assertThat(count("flight", at)).as("the same within minutes, without a key").isEqualTo(2);
  }

  @Test
  void oneModelAndOnePartChangeForOneKey() throws Exception {
    Map<String, Object> model = Map.of("reason", "Pressed often", "setup", biplane());
    Set<String> ids = new TreeSet<>();
    for (MockHttpServletResponse answer : together("/api/aircraft", model, "new-model-1")) {
      ids.add(answer.getContentAsString());
    }
    assertThat(ids).hasSize(1);
    String at = newModel();
    Map<String, Object> change = Map.of("kind", "SERVO", "subject", "Elevator servo", "note", "");
    together(at + "/part-changes", change, "new-servo-1");
    assertThat(count("part_change", at)).isEqualTo(1);
  }

  @Test
  void aKeyThatIsNoneIsRefused() throws Exception {
    MockHttpServletResponse answer =
        sent(
            "/api/aircraft/1/flights",
            Map.of("revisionNumber", 1, "report", report(0, 0, 0)),
            "; drop");
    assertThat(answer.getStatus()).isEqualTo(422);
    assertThat(answer.getContentAsString()).contains("8 to 64 letters, digits and hyphens");
  }

  /** The database itself allows no second one, whatever the program does. */
  @Test
  void theDatabaseHoldsAtMostOneOfEach() throws Exception {
    String at = newModel();
    post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0)));
    post(at + "/bench-set-up", Map.of("school", "ROD_FIRST"));
    for (String table : List.of("adjustment", "bench_set_up")) {
      String columns =
          String.join(
              ", ",
              database.queryForList(
                  "select column_name from information_schema.columns where table_name = ?"
                      + " and column_name not in ('ID', 'OPEN_FOR')",
                  String.class,
                  table.toUpperCase(java.util.Locale.ROOT)));
      String copy =
          "insert into %s (%s) select %s from %s where aircraft_id = ?"
              .formatted(table, columns, columns, table);
      org.assertj.core.api.Assertions.assertThatThrownBy(() -> database.update(copy, id(at)))
          .isInstanceOf(org.springframework.dao.DataIntegrityViolationException.class);
    }
  }

  private static long id(String at) {
    return Long.parseLong(at.substring(at.lastIndexOf('/') + 1));
  }

  private int count(String table, String at) {
    return database.queryForObject(
        "select count(*) from " + table + " where aircraft_id = ?", Integer.class, id(at));
  }

  private List<MockHttpServletResponse> together(String path, Object body, String key)
      throws Exception {
    ExecutorService pilots = Executors.newFixedThreadPool(MANY);
    try {
      CountDownLatch start = new CountDownLatch(1);
      List<Future<MockHttpServletResponse>> running = new ArrayList<>();
      for (int i = 0; i < MANY; i++) {
        Callable<MockHttpServletResponse> one =
            () -> {
              start.await();
              return sent(path, body, key);
            };
        running.add(pilots.submit(one));
      }
      start.countDown();
      List<MockHttpServletResponse> answers = new ArrayList<>();
      for (Future<MockHttpServletResponse> one : running) {
        answers.add(one.get());
      }
      return answers;
    } finally {
      pilots.shutdownNow();
    }
  }

  private MockHttpServletResponse sent(String path, Object body, String key) throws Exception {
    var request =
        MockMvcRequestBuilders.post(path)
            .contentType(MediaType.APPLICATION_JSON)
            .content(json.writeValueAsBytes(body));
    if (key != null) {
      request.header(IdempotentRequests.KEY, key);
    }
    return http.perform(request).andReturn().getResponse();
  }

  @Test
  void theSameKeyForAnotherModelIsAnotherFlight() throws Exception {
    String one = newModel();
    String other = newModel();
    Map<String, Object> body = Map.of("revisionNumber", 1, "report", report(1, 2, 3));
    JsonNode first = json.readTree(sent(one + "/flights", body, "same-key-1").getContentAsString());
    JsonNode second =
        json.readTree(sent(other + "/flights", body, "same-key-1").getContentAsString());
    assertThat(first.get("id")).isNotEqualTo(second.get("id"));
  }
}
