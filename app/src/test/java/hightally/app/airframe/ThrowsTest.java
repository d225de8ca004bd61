package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A throw target becomes holes and endpoints that, once taken, give that throw at full stick. */
class ThrowsTest extends ApiTest {
  @ParameterizedTest
  @CsvSource({
    "elevator, 4, PITCH, 20, 16",
    "rudder, 5, YAW, 40, 40",
    "aileron-left, 0, ROLL, 22, 14",
    "aileron-right, 1, ROLL, 22, 14"
  })
  void takenItGivesTheThrow(String surface, int index, String control, double plus, double minus)
      throws Exception {
    ObjectNode setup = biplane();
    ((ObjectNode) setup.at("/surfaces/" + index + "/rod/linkage")).put("armLeanDegrees", 0);
    for (int i = 0; i < 4; i++) {
      ((ObjectNode) setup.at("/servos/" + i)).put("armOffsetDegrees", 0);
    }
    for (JsonNode channel : setup.get("channels")) {
      ((ObjectNode) channel).put("subTrimMicroseconds", 0);
    }
    // Wishes are for the largest rate; the sheet shows the plain one, so that is made the only one.
    setup.putArray("feelSets");
    setup.putArray("mixes");
    Answer answer = post("/api/throws/search", question(setup, surface, plus, minus));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    assertThat(answer.json()).isNotEmpty();
    JsonNode edits = answer.json().at("/0/mend/edits");
    ObjectNode mended =
        (ObjectNode)
            post("/api/edits/mend", Map.of("setup", setup, "edits", edits)).json().get("setup");
    assertThat(mended.at("/notebook/goals").toString()).as("the wish is kept").contains(surface);
    JsonNode sheet = shown(mended).at("/sheets/" + index);
    JsonNode found = sheet.at("/controls/0");
    assertThat(found.get("control").asText()).isEqualTo(control);
    double high = Math.max(found.get("plusMm").asDouble(), found.get("minusMm").asDouble());
    double low = Math.min(found.get("plusMm").asDouble(), found.get("minusMm").asDouble());
    assertThat(high).isCloseTo(plus, within(0.05));
    assertThat(low).isCloseTo(-minus, within(0.05));
    assertThat(answer.json().at("/0/inTheWay").asText()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "upper-aileron-left, 10, 10, surface",
    "keel, 10, 10, surface",
    "elevator, 70, 10, plusMm",
    "elevator, 0, 10, plusMm"
  })
  void whatCannotBeAskedIsNamed(String surface, double plus, double minus, String field)
      throws Exception {
    Answer answer = post("/api/throws/search", question(biplane(), surface, plus, minus));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().at("/violations/0/field").asText()).isEqualTo(field);
  }

  private static Map<String, Object> question(
      ObjectNode setup, String surface, double plus, double minus) {
    return Map.of(
        "setup",
        setup,
        "surface",
        surface,
        "plusMm",
        plus,
        "minusMm",
        minus,
        "armHolesMm",
        List.of(8, 10, 12, 14, 16),
        "hornHolesMm",
        List.of(12, 15, 18, 21),
        "seating",
        Map.of("teeth", 25, "arms", 4),
        "inDegrees",
        false);
  }

  private JsonNode shown(ObjectNode setup) throws Exception {
    Map<String, Integer> trims = Map.of("roll", 0, "pitch", 0, "yaw", 0);
    Map<String, Object> moment =
        Map.of(
            "roll",
            0,
            "pitch",
            0,
            "yaw",
            0,
            "throttle",
            0,
            "throttleCut",
            true,
            "trims",
            trims,
            "inputs",
            List.of(),
            "readings",
            Map.of(
                "linkPercent", 100, "voltage", 12, "timerSeconds", List.of(), "truths", List.of()));
    return post("/api/bench/moment", Map.of("setup", setup, "moment", moment, "selected", "rudder"))
        .json();
  }
}
