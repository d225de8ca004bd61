package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ProgramApiTest extends ApiTest {
  private ObjectNode glider() throws Exception {
    return (ObjectNode) json.readTree(resource("demo/larkmere.json"));
  }

  @Test
  void oneRateAndOneMixChangedGiveAnEntrySheetOfExactlyThoseValues() throws Exception {
    ObjectNode changed = glider();
    ((ObjectNode) changed.at("/feel/roll")).put("ratePositivePercent", 90);
    ((ObjectNode) changed.at("/mixes/2")).put("weightPlusPercent", 31);
    JsonNode entries =
        post("/api/program/entry-sheet/changes", Map.of("entered", glider(), "setup", changed))
            .json();
    assertThat(entries).hasSize(2);
    assertThat(entries.get(0).get("what").asText()).isEqualTo("roll, rate");
    assertThat(entries.get(0).get("before").asText()).isEqualTo("85 %");
    assertThat(entries.get(0).get("value").asText()).isEqualTo("right 90 %, left 85 %");
    assertThat(entries.get(1).get("place").asText()).isEqualTo("Mix: Aileron to rudder");
    assertThat(entries.get(1).get("value").asText()).isEqualTo("right 31 %, left 28 %");
    JsonNode whole = post("/api/program/entry-sheet", Map.of("setup", glider())).json();
    List<String> twins = new ArrayList<>();
    whole.forEach(one -> twins.add(one.get("twin").asText()));
    assertThat(twins).contains("channel-1/high", "channel-6/low");
    assertThat(
            post("/api/program/entry-sheet/changes", Map.of("entered", glider(), "setup", glider()))
                .json())
        .isEmpty();
  }

  @Test
  void aPhaseMadeSeparateMovesNothingUntilItIsChanged() throws Exception {
    ObjectNode biplane = biplane();
    JsonNode wish =
        json.valueToTree(
            Map.of(
                "setup", biplane,
                "name", "Landing",
                "role", "LANDING",
                "from", "flight",
                "input", "front-right-switch",
                "position", 3));
    JsonNode separate = post("/api/edits/phases", wish).json().get("setup");
    assertThat(separate.at("/phases/0/name").asText()).isEqualTo("Landing");
    JsonNode sheet = post("/api/program/sheet", Map.of("setup", separate)).json();
    assertThat(sheet.at("/phases/0/when").asText()).isEqualTo("front right switch at position 3");
    JsonNode movements =
        post(
                "/api/program/movements",
                Map.of("setup", separate, "moment", MovementsApiTest.atRest(json)))
            .json();
    for (int i = 0; i < movements.at("/phases/0/surfaces").size(); i++) {
      double base = movements.at("/phases/1/surfaces/" + i + "/restMm").asDouble();
      double here = movements.at("/phases/0/surfaces/" + i + "/restMm").asDouble();
      assertThat(here).isCloseTo(base, within(1e-9));
    }
  }

  @Test
  void fullUpElevatorBringsTheFlapsToTheThermalPreset() throws Exception {
    ObjectNode glider = glider();
    glider.putArray("mixes");
    JsonNode built =
        post(
                "/api/edits/mixes",
                Map.of(
                    "setup",
                    glider,
                    "recipe",
                    "ELEVATOR_TO_FLAP",
                    "when",
                    "",
                    "percent",
                    0,
                    "lever",
                    "",
                    "preset",
                    "thermal-1",
                    "phases",
                    List.of("cruise")))
            .json()
            .get("setup");
    // Thermal 1 has the flaps 8 % down; full up elevator comes to 80 %: a weight of 10 %.
    assertThat(built.at("/mixes/0/weightPlusPercent").asDouble()).isEqualTo(10);
    assertThat(built.at("/mixes/0/targets").toString()).contains("flap-left").contains("-1");
  }

  @Test
  void theSwitchPlanSaysWhatHangsOnEachPosition() throws Exception {
    JsonNode sheet = post("/api/program/sheet", Map.of("setup", glider())).json();
    List<String> landing = new ArrayList<>();
    for (JsonNode row : sheet.get("switches")) {
      if (row.get("input").asText().equals("front-right-switch")
          && row.get("position").asText().equals("3")) {
        row.get("hangs").forEach(one -> landing.add(one.asText()));
      }
    }
    assertThat(landing).containsExactly("phase Landing");
    assertThat(sheet.get("conditions").toString())
        .contains(
            "rear left switch at position 2 and (not in phase Landing and not in phase Speed)");
  }

  @Test
  void theLadderPutsThreeWaysOnOneSwitch() throws Exception {
    ObjectNode biplane = biplane();
    JsonNode ladder =
        post(
                "/api/edits/feel",
                Map.of("setup", biplane, "way", "LADDER", "input", "front-left-switch"))
            .json()
            .get("setup");
    assertThat(ladder.get("feelSets")).hasSize(2);
    Answer refused =
        post("/api/edits/feel", Map.of("setup", biplane, "way", "LADDER", "input", "left-lever"));
    assertThat(refused.body()).contains("a switch with three positions");
  }
}
