package hightally.app.aircraft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A history that grows: headers apart from documents, parts of lists, what voids a trim. */
class HistoryTest extends Pilot {
  @Autowired private JdbcTemplate database;
  @Autowired private OlderRevisions older;

  @Test
  void revisionsAreListedInPartsAndWithoutTheirSetups() throws Exception {
    String at = newModel();
    for (int i = 0; i < 4; i++) {
      assertThat(revise(at, "/house", "rulerMm", 0.3 + 0.1 * i).status()).isEqualTo(201);
    }
    JsonNode part = get(at + "/revisions?page=1&size=2").json();
    assertThat(part.get("total").asInt()).isEqualTo(5);
    assertThat(part.get("items")).hasSize(2);
    assertThat(part.at("/items/0/number").asInt()).isEqualTo(3);
    assertThat(part.at("/items/0").has("setup")).isFalse();
    JsonNode one = get(at + "/revisions/3").json();
    assertThat(one.at("/setup/house/rulerMm").asDouble()).isEqualTo(0.4);
    assertThat(get(at + "/revisions?size=0").body()).contains("size is 0; it must be 1 to 200");
    assertThat(get(at + "/flights?size=201").status()).isEqualTo(422);
    assertThat(get("/api/aircraft?page=-1").status()).isEqualTo(422);
  }

  @Test
  void flightsAndTheHangarComeInParts() throws Exception {
    String at = newModel();
    for (int i = 0; i < 5; i++) {
      flight(at, 1, i, 0, 0);
    }
    JsonNode flights = get(at + "/flights?size=2").json();
    assertThat(flights.get("total").asInt()).isEqualTo(5);
    assertThat(flights.at("/items/0/report/trims/roll").asInt()).isEqualTo(4);
    JsonNode last = get(at + "/flights?size=2&page=2").json().get("items");
    assertThat(last).hasSize(1);
    assertThat(get(at + "/flights/" + last.at("/0/id").asLong()).json()).isEqualTo(last.get(0));
    JsonNode hangar = get("/api/aircraft?named=LARK").json();
    assertThat(hangar.get("total").asInt()).isPositive();
    assertThat(hangar.get("items").findValuesAsText("name")).contains("Larkmere");
    assertThat(hangar.at("/items/0/name").asText()).isEqualTo("Larkmere");
    assertThat(get("/api/aircraft?size=2").json().get("items")).hasSize(2);
  }

  /** What counts is whether a surface would stand or move differently. */
  @Test
  void renamingVoidsNoTrimAndAnotherArmDoes() throws Exception {
    String at = newModel();
    settled(at, 1, 6, 0, 0);
    assertThat(state(at)).isEqualTo("SETTLED");
    JsonNode newest = get(at).json().get("newest");
    ObjectNode setup = newest.get("setup").deepCopy();
    setup.put("name", "Another name");
    for (String list : new String[] {"surfaces", "servos", "channels"}) {
      for (JsonNode one : (ArrayNode) setup.get(list)) {
        ((ObjectNode) one).put("name", "Renamed " + one.get("name").asText().length());
      }
    }
    ((ObjectNode) setup.at("/wiring/leads/0")).put("label", "red tape");
    Answer renamed =
        post(at + "/revisions", Map.of("basedOn", 1, "reason", "Names", "setup", setup));
    assertThat(renamed.json().get("trimsHoldSince").asInt()).isEqualTo(1);
    assertThat(state(at)).isEqualTo("SETTLED");

    double arm = setup.at("/surfaces/0/rod/linkage/armRadiusMm").asDouble();
    Answer longer = revise(at, "/surfaces/0/rod/linkage", "armRadiusMm", arm + 2);
    assertThat(longer.json().get("trimsHoldSince").asInt()).isEqualTo(3);
    JsonNode points = get(at + "/settling").json().at("/series/0/points");
    assertThat(points.at("/0/why").asText()).isEqualTo("the rig was changed in revision 3");
  }

  @Test
  void whatOlderDataDoesNotKeepIsWorkedOutBeforeTheFirstRequest() throws Exception {
    String at = newModel();
    revise(at, "/house", "rulerMm", 0.4);
    revise(at, "/surfaces/0", "chordMm", 40);
    revise(at, "/house", "rulerMm", 0.5);
    long id = Long.parseLong(at.substring(at.lastIndexOf('/') + 1));
    database.update("update revision set trims_hold_since = null where aircraft_id = ?", id);
    older.afterSingletonsInstantiated();
    JsonNode items = get(at + "/revisions").json().get("items");
    assertThat(items.findValuesAsText("trimsHoldSince")).containsExactly("3", "3", "1", "1");
  }

  /** A phase flown long ago still stands in the transmitter as it was flown. */
  @Test
  void trimsStandFromTheNewestFlightOfEachPhaseHoweverLongAgo() throws Exception {
    JsonNode setup = json.readTree(resource("demo/larkmere.json"));
    Answer added = post("/api/aircraft", Map.of("reason", "For this test", "setup", setup));
    String glider = "/api/aircraft/" + added.json().get("id").asLong();
    ObjectNode first = report(0, 1, 0);
    first
        .putArray("phases")
        .addObject()
        .put("phase", "landing")
        .put("throttlePercent", 0)
        .put("sure", "SURE")
        .put("turnsDiffer", false)
        .putObject("trims")
        .put("roll", 0)
        .put("pitch", 9)
        .put("yaw", 0);
    assertThat(post(glider + "/flights", Map.of("revisionNumber", 1, "report", first)).status())
        .isEqualTo(201);
    for (int i = 0; i < 45; i++) {
      ObjectNode more =
          report(0, 2, 0).put("flownOn", "2026-%02d-%02d".formatted(9 + i / 28, 1 + i % 28));
      post(glider + "/flights", Map.of("revisionNumber", 1, "report", more));
    }
    JsonNode standing = get(glider + "/standing-trims").json().get("phases");
    for (JsonNode phase : standing) {
      if (phase.get("phase").asText().equals("landing")) {
        assertThat(phase.at("/trims/pitch").asInt()).isEqualTo(9);
      }
    }
    assertThat(standing.findValuesAsText("phase")).contains("landing");
  }

  private String state(String at) throws Exception {
    return get(at + "/settling").json().at("/series/0/state").asText();
  }
}
