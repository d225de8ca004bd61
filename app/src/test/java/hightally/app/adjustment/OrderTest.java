package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.Pilot;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** An order that was begun can always be closed, and nothing slips in under it. */
class OrderTest extends Pilot {
  @Autowired private JdbcTemplate database;

  @Test
  void anOrderBegunOnAnOlderFlightIsClosed() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    assertThat(revise(at, "/house", "rulerMm", 0.7).status()).isEqualTo(201);
    JsonNode open = post(at + "/adjustment", beginning(flight)).json();
    assertThat(open.get("revisionNumber").asInt()).isEqualTo(2);
    Answer closed = closed(at, open);
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
    assertThat(closed.json().get("number").asInt()).isEqualTo(3);
    assertThat(closed.json().at("/setup/house/rulerMm").asDouble()).isEqualTo(0.7);
    assertThat(closed.json().get("setup")).isEqualTo(open.at("/plan/after"));
  }

  @Test
  void noRevisionSlipsInUnderAnOpenOrder() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0))).json();
    Answer refused = revise(at, "/house", "rulerMm", 0.7);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body())
        .contains("work order for this model is open, on revision 1")
        .contains("still on this page");
    assertThat(closed(at, open).status()).isEqualTo(200);
    assertThat(revise(at, "/house", "rulerMm", 0.7).status()).isEqualTo(201);
  }

  /**
   * As data from before revisions were held back may have it: the rods are turned, so it closes.
   */
  @Test
  void anOrderBelowANewerRevisionIsClosedOntoIt() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0))).json();
    long order = open.get("id").asLong();
    database.update("update adjustment set state = 'CLOSED' where id = ?", order);
    assertThat(revise(at, "", "name", "Renamed meanwhile").status()).isEqualTo(201);
    database.update("update adjustment set state = 'OPEN' where id = ?", order);
    Answer closed = closed(at, open);
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
    JsonNode made = closed.json().get("setup");
    JsonNode planned = open.at("/plan/after");
    assertThat(made.get("name").asText()).isEqualTo("Renamed meanwhile");
    assertThat(made.get("surfaces")).isEqualTo(planned.get("surfaces"));
    assertThat(made.get("trims")).isEqualTo(planned.get("trims"));
  }

  @Test
  void anOrderBegunAgainIsTheSameAndAnotherIsRefused() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    JsonNode open = post(at + "/adjustment", beginning(flight)).json();
    assertThat(post(at + "/adjustment", beginning(flight)).json()).isEqualTo(open);
    long other = settled(at, 1, -6, 9, 0);
    assertThat(post(at + "/adjustment", beginning(other)).status()).isEqualTo(409);
  }

  /** What would take the model from under it waits; what does not touch it goes on. */
  @Test
  void whileOneIsOpenNothingTakesTheModelFromUnderIt() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    closed(at, post(at + "/adjustment", beginning(flight)).json());
    long second = settled(at, 2, 6, -8, 0);
    JsonNode open = post(at + "/adjustment", beginning(second)).json();
    assertThat(open.get("plan")).isNotNull();
    for (Map<String, Object> back :
        List.<Map<String, Object>>of(
            Map.of("basedOn", 2, "revision", 1, "flight", 0),
            Map.of("basedOn", 2, "revision", 1, "flight", flight))) {
      Answer refused = post(at + "/way-back", back);
      assertThat(refused.status()).as(refused.body()).isEqualTo(409);
      assertThat(refused.body()).contains("work order");
    }
    assertThat(put(at + "/place", Map.of("place", "DELETED")).status()).isEqualTo(409);
    assertThat(put(at + "/place", Map.of("place", "SET_ASIDE")).status()).isLessThan(300);
    assertThat(put(at + "/place", Map.of("place", "IN_USE")).status()).isLessThan(300);
    Answer copy = post(at + "/copy", Map.of("name", "A copy meanwhile"));
    assertThat(copy.status()).as(copy.body()).isEqualTo(201);
    String copied = "/api/aircraft/" + copy.json().get("id").asLong();
    assertThat(get(copied + "/adjustment").json()).as("a copy has no order").isNull();
    assertThat(revise(copied, "/house", "rulerMm", 0.7).status()).isEqualTo(201);
    assertThat(get(at + "/adjustment").json()).isEqualTo(open);
    assertThat(closed(at, open).status()).isEqualTo(200);
    assertThat(get(at).json().at("/newest/number").asInt()).isEqualTo(3);
  }

  /** Two windows at once: one order is begun, one step is taken, one end is made. */
  @Test
  void ofTwoAtOnceOneCountsAndTheOtherIsToldSo() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    List<Answer> begun = atOnce(() -> post(at + "/adjustment", beginning(flight)));
    JsonNode open = get(at + "/adjustment").json();
    assertThat(begun).allSatisfy(one -> assertThat(one.json()).isEqualTo(open));
    assertThat(
            database.queryForObject(
                "select count(*) from adjustment where state = 'OPEN' and aircraft_id = "
                    + at.substring(at.lastIndexOf('/') + 1),
                Integer.class))
        .isEqualTo(1);
    int version = open.get("version").asInt();
    Map<String, Object> step = Map.of("step", 1, "version", version);
    List<Integer> stepped =
        atOnce(() -> put(at + "/adjustment", step)).stream().map(Answer::status).sorted().toList();
    assertThat(stepped).containsExactly(200, 409, 409, 409);
    JsonNode further = get(at + "/adjustment").json();
    assertThat(further.get("step").asInt()).isEqualTo(1);
    assertThat(further.get("version").asInt()).isEqualTo(version + 1);
    int last = lookedAt(at, turned(at, further)).get("version").asInt();
    Map<String, Object> end = Map.of("version", last, "because", "");
    List<Integer> ended =
        atOnce(() -> post(at + "/adjustment/close", end)).stream()
            .map(Answer::status)
            .sorted()
            .toList();
    assertThat(ended.get(0)).isEqualTo(200);
    assertThat(ended.subList(1, ended.size())).allMatch(one -> one >= 400 && one < 500);
    assertThat(get(at).json().at("/newest/number").asInt()).isEqualTo(2);
  }

  private static List<Answer> atOnce(Callable<Answer> one) throws Exception {
    ExecutorService several = Executors.newFixedThreadPool(4);
    try {
      List<Answer> answers = new ArrayList<>();
      for (Future<Answer> each : several.invokeAll(Collections.nCopies(4, one))) {
        answers.add(each.get());
      }
      return answers;
    } finally {
      several.shutdownNow();
    }
  }
}
