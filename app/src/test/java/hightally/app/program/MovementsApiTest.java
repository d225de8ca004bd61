package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What stands beside the bench is what the bench says, of every model that ships. */
class MovementsApiTest extends ApiTest {
  static ObjectNode atRest(ObjectMapper json) {
    ObjectNode moment = json.createObjectNode();
    moment.put("roll", 0).put("pitch", 0).put("yaw", 0).put("throttle", 0.0);
    moment.put("throttleCut", true);
    moment.putObject("trims").put("roll", 0).put("pitch", 0).put("yaw", 0);
    moment.putArray("inputs");
    ObjectNode readings = moment.putObject("readings");
    readings.put("linkPercent", 100).put("voltage", 12.6);
    readings.putArray("timerSeconds");
    readings.putArray("truths");
    return moment;
  }

  private List<JsonNode> models() throws Exception {
    List<JsonNode> all = new ArrayList<>();
    for (String demo : List.of("quillon", "larkmere", "skerrow", "brindle")) {
      all.add(json.readTree(resource("demo/" + demo + ".json")));
    }
    get("/api/kinds").json().forEach(all::add);
    return all;
  }

  private double bench(JsonNode setup, JsonNode moment, String surface) throws Exception {
    JsonNode frame =
        post("/api/bench/moment", Map.of("setup", setup, "moment", moment, "selected", surface))
            .json()
            .get("frame");
    for (int i = 0; i < setup.get("surfaces").size(); i++) {
      if (setup.at("/surfaces/" + i + "/id").asText().equals(surface)) {
        return frame.at("/positions/travelMm/" + i).asDouble();
      }
    }
    throw new IllegalArgumentException(surface);
  }

  @Test
  void everyPhaseAndEveryMixAsTheBenchAnswers() throws Exception {
    int compared = 0;
    for (JsonNode setup : models()) {
      JsonNode movements =
          post("/api/program/movements", Map.of("setup", setup, "moment", atRest(json))).json();
      for (JsonNode phase : movements.get("phases")) {
        assertThat(phase.get("reached").asBoolean()).as(phase.get("phase").asText()).isTrue();
        for (JsonNode stand : phase.get("surfaces")) {
          double bench = bench(setup, phase.get("moment"), stand.get("surface").asText());
          assertThat(stand.get("restMm").asDouble()).isCloseTo(bench, within(1e-9));
          compared++;
        }
      }
      for (JsonNode mix : movements.get("mixes")) {
        for (JsonNode end : mix.get("ends")) {
          for (JsonNode one : end.get("movements")) {
            double bench = bench(setup, end.get("moment"), one.get("surface").asText());
            assertThat(one.get("standsMm").asDouble()).isCloseTo(bench, within(1e-9));
            compared++;
          }
        }
      }
    }
    assertThat(compared).as("answers compared").isGreaterThan(150);
  }

  @Test
  void theRatesOfEveryPositionAsTheBenchAnswers() throws Exception {
    for (JsonNode setup : models()) {
      for (String control : List.of("ROLL", "PITCH", "YAW")) {
        JsonNode feel =
            post(
                    "/api/program/feel/lines",
                    Map.of(
                        "setup", setup, "moment", atRest(json), "control", control, "surface", ""))
                .json();
        for (JsonNode line : feel.get("lines")) {
          ObjectNode full = line.get("moment").deepCopy();
          full.put(control.toLowerCase(java.util.Locale.ROOT), 1);
          double bench = bench(setup, full, feel.get("surface").asText());
          JsonNode mm = line.get("mm");
          assertThat(mm.get(mm.size() - 1).asDouble()).isCloseTo(bench, within(1e-9));
        }
      }
    }
  }

  private JsonNode moved(JsonNode setup, Map<String, Object> part) throws Exception {
    Map<String, Object> wish = new LinkedHashMap<>();
    wish.put("kind", "PRESET");
    wish.put("subject", "");
    wish.put("surface", "");
    wish.put("plusSide", true);
    wish.put("value", 0);
    wish.put("minusWay", false);
    wish.put("unit", "MILLIMETRES");
    wish.put("pair", true);
    wish.put("bothSides", false);
    wish.putAll(part);
    return post(
            "/api/edits/movements", Map.of("setup", setup, "moment", atRest(json), "wish", wish))
        .json();
  }

  @Test
  void flapsTypedTwoAndAHalfMillimetresDownStandThereOnBothSides() throws Exception {
    JsonNode glider = json.readTree(resource("demo/larkmere.json"));
    JsonNode setup =
        moved(
                glider,
                Map.of(
                    "subject", "thermal-1", "surface", "flap-left", "value", 2.5, "minusWay", true))
            .get("setup");
    JsonNode movements =
        post("/api/program/movements", Map.of("setup", setup, "moment", atRest(json))).json();
    for (JsonNode phase : movements.get("phases")) {
      if (phase.get("phase").asText().equals("thermal-1")) {
        for (String flap : List.of("flap-left", "flap-right")) {
          assertThat(bench(setup, phase.get("moment"), flap)).isCloseTo(-2.5, within(0.05));
        }
      }
    }
    assertThat(setup.at("/notebook/typed")).hasSize(2);
  }

  @Test
  void whatIsOutOfReachIsRefusedByItsName() throws Exception {
    JsonNode glider = json.readTree(resource("demo/larkmere.json"));
    JsonNode problem =
        moved(glider, Map.of("subject", "thermal-1", "surface", "flap-left", "value", 400));
    assertThat(problem.at("/violations/0/field").asText()).isEqualTo("value");
    assertThat(problem.at("/violations/0/requirement").asText()).contains("mm");
    JsonNode unknown = moved(glider, Map.of("subject", "nowhere", "surface", "flap-left"));
    assertThat(unknown.at("/violations/0/field").asText()).isEqualTo("subject");
  }
}
