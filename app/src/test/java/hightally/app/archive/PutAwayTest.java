package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionOperations;

/** Models copied, set aside, deleted and brought back, and gone after a month. */
class PutAwayTest extends Pilot {
  @Autowired private JdbcTemplate jdbc;
  @Autowired private TransactionOperations whole;

  private void put(String at, String place) throws Exception {
    Answer done =
        send(
            HttpMethod.PUT,
            at + "/place",
            MediaType.APPLICATION_JSON,
            json.writeValueAsString(Map.of("place", place)));
    assertThat(done.status()).as(done.body()).isEqualTo(204);
  }

  private boolean inHangar(String at) throws Exception {
    JsonNode all = get("/api/aircraft?size=200").json().get("items");
    for (JsonNode one : all) {
      if (at.endsWith("/" + one.get("id").asLong())) {
        return true;
      }
    }
    return false;
  }

  private JsonNode putAway(String at) throws Exception {
    for (JsonNode one : get("/api/aircraft/put-away").json()) {
      if (at.endsWith("/" + one.get("id").asLong())) {
        return one;
      }
    }
    return null;
  }

  @Test
  void aModelSetAsideIsOutOfTheListAndComesBackAsItWas() throws Exception {
    String at = newModel();
    JsonNode before = get(at).json().get("newest");
    put(at, "SET_ASIDE");
    assertThat(inHangar(at)).isFalse();
    assertThat(putAway(at).get("place").asText()).isEqualTo("SET_ASIDE");
    assertThat(putAway(at).get("gone").isNull()).isTrue();
    assertThat(get(at).json().get("newest")).isEqualTo(before);
    put(at, "IN_USE");
    assertThat(inHangar(at)).isTrue();
    assertThat(putAway(at)).isNull();
  }

  @Test
  void nothingOfADeletedModelIsChangedUntilItIsBroughtBack() throws Exception {
    String at = newModel();
    put(at, "DELETED");
    assertThat(inHangar(at)).isFalse();
    JsonNode setup = get(at).json().at("/newest/setup");
    Map<String, Object> revised = Map.of("basedOn", 1, "reason", "Late", "setup", setup);
    Answer refused = post(at + "/revisions", revised);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body()).contains("was deleted", "restore it in the hangar");
    Map<String, Object> flight = Map.of("revisionNumber", 1, "report", report(1, 2, 3));
    assertThat(post(at + "/flights", flight).status()).isEqualTo(409);
    assertThat(post(at + "/checks", Map.of("kind", "FLIGHT", "pack", "")).status()).isEqualTo(409);
    assertThat(get(at + "/flights").json().get("total").asInt()).isZero();
    assertThat(post(at + "/copy", Map.of("name", "Copy of it")).status()).isEqualTo(201);
    put(at, "IN_USE");
    assertThat(post(at + "/flights", flight).status()).isEqualTo(201);
    assertThat(post(at + "/revisions", revised).status()).isEqualTo(201);
  }

  @Test
  void whatWasDeletedIsThereForAMonthAndThenGoneWithAllThatBelongsToIt() throws Exception {
    String kept = newModel();
    String gone = newModel();
    Map<String, Object> flight = Map.of("revisionNumber", 1, "report", report(1, 2, 3));
    assertThat(post(gone + "/flights", flight).status()).isEqualTo(201);
    put(gone, "DELETED");
    put(kept, "SET_ASIDE");
    Instant end = Instant.parse(putAway(gone).get("gone").asText());
    new Cleared(jdbc, whole, Clock.fixed(end.minusMillis(1), ZoneOffset.UTC)).now();
    assertThat(get(gone).status()).isEqualTo(200);
    new Cleared(jdbc, whole, Clock.fixed(end, ZoneOffset.UTC)).now();
    assertThat(get(gone).status()).isEqualTo(404);
    for (Kept table : Kept.ALL) {
      assertThat(rows(table, gone)).as(table.table()).isZero();
    }
    new Cleared(jdbc, whole, Clock.fixed(end.plus(Duration.ofDays(999)), ZoneOffset.UTC)).now();
    assertThat(get(kept).status()).as("set aside is not deleted").isEqualTo(200);
  }

  private Integer rows(Kept table, String at) {
    String sql = "select count(*) from " + table.table() + " where " + table.ofOneModel();
    return jdbc.queryForObject(
        sql, Integer.class, Long.parseLong(at.substring(at.lastIndexOf('/') + 1)));
  }

  @Test
  void aSecondAircraftOfTheTypeHasTheSetupAndNothingThatWasFoundOnTheFirst() throws Exception {
    String first = newModel();
    ObjectNode setup = (ObjectNode) get(first).json().at("/newest/setup");
    ((ObjectNode) setup.get("trims")).put("pitch", 7);
    Map<String, Object> trimmed = Map.of("basedOn", 1, "reason", "Trimmed", "setup", setup);
    assertThat(post(first + "/revisions", trimmed).status()).isEqualTo(201);
    Map<String, Object> flight = Map.of("revisionNumber", 2, "report", report(1, 2, 3));
    assertThat(post(first + "/flights", flight).status()).isEqualTo(201);

    Answer made = post(first + "/copy", Map.of("name", "Second of them"));
    assertThat(made.status()).isEqualTo(201);
    JsonNode copy = get("/api/aircraft/" + made.json().get("id").asLong()).json();
    assertThat(copy.get("flightCount").asInt()).isZero();
    assertThat(copy.at("/newest/reason").asText())
        .isEqualTo(
            "Copied from "
                + setup.get("name").asText()
                + ", revision 2, as a second model; its trims, flights, checks and"
                + " findings stayed behind.");
    ObjectNode expected = setup.deepCopy().put("name", "Second of them");
    expected.set("trims", json.readTree("{\"roll\":0,\"pitch\":0,\"yaw\":0}"));
    ((ObjectNode) expected.get("notebook")).putArray("accepted");
    expected
        .get("phases")
        .forEach(one -> ((ObjectNode) one).set("trims", expected.get("trims").deepCopy()));
    assertThat(copy.at("/newest/setup")).isEqualTo(expected);
    assertThat(post(first + "/copy", Map.of("name", "")).status()).isEqualTo(422);
  }
}
