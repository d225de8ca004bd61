package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** What the program's paths answer, worked out by hand where it is a number. */
class ProgramPathsTest extends Pilot {
  @Test
  void trimsAtSeveralSettingsBecomeTheCurveThatMakesThemUnnecessary() throws Exception {
    List<Map<String, Object>> flown =
        List.of(
            Map.of("settingPercent", 100, "clicks", -6),
            Map.of("settingPercent", -100, "clicks", 2),
            Map.of("settingPercent", 0, "clicks", 0));
    Map<String, Object> asked =
        Map.of("flown", flown, "referencePercent", 0, "clickStepPercent", 0.5);
    JsonNode curve = post("/api/program/trim-curve", asked).json();
    // Clicks less those at the reference, times half a percent, in the order of the settings.
    assertThat(curve.findValues("x").toString()).isEqualTo("[-100.0, 0.0, 100.0]");
    assertThat(curve.findValues("y").toString()).isEqualTo("[1.0, 0.0, -3.0]");
    Map<String, Object> twice =
        Map.of(
            "flown",
            List.of(flown.get(0), flown.get(0)),
            "referencePercent",
            100,
            "clickStepPercent",
            0.5);
    assertThat(post("/api/program/trim-curve", twice).status()).isEqualTo(422);
  }

  @Test
  void termsAreDrawnFromTheSetupsOwnValues() throws Exception {
    JsonNode terms = post("/api/program/terms", Map.of("setup", biplane(), "channel", 0)).json();
    assertThat(terms.findValuesAsText("term")).doesNotHaveDuplicates().hasSizeGreaterThan(4);
    for (JsonNode term : terms) {
      assertThat(term.get("places").size()).isEqualTo(term.get("now").size());
      assertThat(term.get("places").size()).isEqualTo(term.get("plain").size());
    }
    Answer none = post("/api/program/terms", Map.of("setup", biplane(), "channel", 99));
    assertThat(none.body()).contains("channel is 99; it must be 0 to 4");
  }

  @Test
  void aFeelInAnotherShapeKeepsItsCentreOrItsWholeCurve() throws Exception {
    Map<String, Object> response =
        Map.of(
            "ratePositivePercent",
            100,
            "rateNegativePercent",
            100,
            "expoPositivePercent",
            40,
            "expoNegativePercent",
            40,
            "shape",
            "CUBIC");
    Map<String, Object> asked =
        Map.of("response", response, "to", "SQUARE", "keep", "CENTRE_SLOPE");
    JsonNode centre = post("/api/program/feel/convert", asked).json();
    // The slope at the centre is 1 - e in both shapes, so the number stays; the curves differ by
    // e·(s² - s³) at most, 0.4 · 4/27 = 5.9 % at two thirds of the stick.
    assertThat(centre.at("/response/expoPositivePercent").asDouble()).isCloseTo(40, within(0.5));
    assertThat(centre.get("largestDifferencePercent").asDouble()).isCloseTo(5.9, within(0.2));
    asked = Map.of("response", response, "to", "SQUARE", "keep", "WHOLE_CURVE");
    JsonNode whole = post("/api/program/feel/convert", asked).json();
    assertThat(whole.get("largestDifferencePercent").asDouble())
        .isLessThan(centre.get("largestDifferencePercent").asDouble());
  }

  @Test
  void aSearchIsBegunWatchedAndStopped() throws Exception {
    JsonNode begun = post("/api/program/hazards/searches", Map.of("setup", biplane())).json();
    String at = "/api/program/hazards/searches/" + begun.get("id").asLong();
    JsonNode state = begun;
    for (int i = 0; i < 400 && state.get("end").isNull(); i++) {
      Thread.sleep(25);
      state = get(at).json();
    }
    assertThat(state.get("end").asText()).isEqualTo("WHOLE");
    assertThat(state.at("/outcome/hazards")).isEmpty();
    assertThat(send(HttpMethod.DELETE, at, MediaType.APPLICATION_JSON, "").status()).isEqualTo(200);
    assertThat(get("/api/program/hazards/searches/999999").status()).isEqualTo(404);
  }

  @Test
  void aSceneOfEverythingOnceIsPlayedAndComparedWithItself() throws Exception {
    JsonNode tour = post("/api/bench/scenes/tour", Map.of("setup", biplane())).json();
    assertThat(tour.get("steps").size()).isGreaterThan(5);
    JsonNode played =
        post("/api/bench/scenes/play", Map.of("setup", biplane(), "scene", tour)).json();
    assertThat(played.get("tracks")).hasSize(6);
    // Where everything stands at the end is what the bench shows for the last step by itself.
    JsonNode last = tour.get("steps").get(tour.get("steps").size() - 1).get("moment");
    JsonNode bench =
        post(
                "/api/bench/moment",
                Map.of("setup", biplane(), "moment", last, "selected", "elevator"))
            .json()
            .at("/frame/positions/travelMm");
    for (int i = 0; i < 6; i++) {
      JsonNode mm = played.get("tracks").get(i).get("mm");
      assertThat(mm.get(mm.size() - 1).asDouble()).isCloseTo(bench.get(i).asDouble(), within(1e-6));
    }
    ObjectNode other = biplane();
    JsonNode same =
        post(
                "/api/bench/scenes/compare",
                Map.of("before", biplane(), "after", other, "scene", tour))
            .json();
    assertThat(same.get("differences")).isEmpty();
    ((ObjectNode) other.at("/feel/pitch")).put("ratePositivePercent", 30);
    JsonNode less =
        post(
                "/api/bench/scenes/compare",
                Map.of("before", biplane(), "after", other, "scene", tour))
            .json();
    assertThat(less.get("differences").findValuesAsText("surface")).containsExactly("elevator");
  }

  @Test
  void aPhaseTakenOutTakesWithItWhatActedOnlyThere() throws Exception {
    ObjectNode glider = (ObjectNode) json.readTree(resource("demo/larkmere.json"));
    JsonNode removal = post("/api/edits/removal", Map.of("setup", glider, "id", "landing")).json();
    JsonNode left = removal.at("/setup/phases");
    assertThat(left.findValuesAsText("id")).doesNotContain("landing");
    assertThat(left.size()).isEqualTo(glider.get("phases").size() - 1);
  }

  private JsonNode moment(ObjectNode setup, String stick, double value) throws Exception {
    ObjectNode moment = json.createObjectNode();
    moment.put("roll", 0).put("pitch", 0).put("yaw", 0).put("throttle", 0.5);
    moment.put("throttleCut", true).put(stick, value);
    moment.putObject("trims").put("roll", 0).put("pitch", 0).put("yaw", 0);
    moment.putArray("inputs");
    ObjectNode readings = moment.putObject("readings").put("linkPercent", 100).put("voltage", 12);
    readings.putArray("timerSeconds");
    readings.putArray("truths");
    ((ArrayNode) moment.get("inputs")).removeAll();
    return post(
            "/api/bench/moment", Map.of("setup", setup, "moment", moment, "selected", "elevator"))
        .json();
  }
}
