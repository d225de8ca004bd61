package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Every kind and demo model moves the right way, and is audited as its data deserve. */
class KindsTest extends ApiTest {
  @Test
  void everyKindMovesAsThePilotExpectsAndHasNoFinding() throws Exception {
    JsonNode kinds = get("/api/kinds").json();
    assertThat(kinds).hasSizeGreaterThanOrEqualTo(7);
    for (JsonNode kind : kinds) {
      String name = kind.at("/airframe/kind").asText();
      assertThat(shown(kind, 0, 0, 0).get("findings")).as(name).isEmpty();
      for (JsonNode rest : shown(kind, 0, 0, 0).at("/frame/positions/travelMm")) {
        assertThat(rest.asDouble()).as(name + " at rest").isCloseTo(0, within(1e-9));
      }
      directions(kind, name);
    }
  }

  /**
   * Stick right raises what is right and lowers what is left; stick back raises what takes pitch.
   */
  private void directions(JsonNode kind, String name) throws Exception {
    double[] roll = travel(kind, 1, 0, 0);
    double[] pitch = travel(kind, 0, 1, 0);
    double[] yaw = travel(kind, 0, 0, 1);
    for (int i = 0; i < roll.length; i++) {
      JsonNode surface = kind.at("/surfaces/" + i);
      String what = name + ": " + surface.get("name").asText();
      JsonNode shares = surface.get("shares");
      assertThat(Math.signum(roll[i]))
          .as(what)
          .isEqualTo(Math.signum(shares.get("roll").asDouble()));
      assertThat(Math.signum(pitch[i]))
          .as(what)
          .isEqualTo(Math.signum(shares.get("pitch").asDouble()));
      double rate = kind.at("/feel/yaw/ratePositivePercent").asDouble();
      assertThat(Math.signum(yaw[i]))
          .as(what)
          .isEqualTo(rate == 0 ? 0 : Math.signum(shares.get("yaw").asDouble()));
    }
  }

  @Test
  void theDemoWingHasItsThreeFindingsAndWhatMendsThemIsOffered() throws Exception {
    ObjectNode wing = (ObjectNode) json.readTree(resource("demo/skerrow.json"));
    List<String> rules = new ArrayList<>();
    for (JsonNode finding : shown(wing, 0, 0, 0).get("findings")) {
      rules.add(finding.get("rule").asText());
      JsonNode offer = offer(wing, finding);
      if (offer.get("mends").isEmpty()) {
        assertThat(offer.get("hand").asText()).as("what hands do").isNotBlank();
        continue;
      }
      ObjectNode mended = mended(wing, offer.at("/mends/0/edits"));
      for (JsonNode left : shown(mended, 0, 0, 0).get("findings")) {
        boolean same =
            left.get("rule").equals(finding.get("rule"))
                && left.get("surface").equals(finding.get("surface"));
        assertThat(same).as(finding.get("title").asText() + " is mended").isFalse();
      }
    }
    assertThat(rules).containsExactly("large-sub-trim", "horn-off-hinge", "left-against-right");
    assertThat(shown(json.readTree(resource("demo/larkmere.json")), 0, 0, 0).get("findings"))
        .isEmpty();
    assertThat(shown(biplane(), 0, 0, 0).get("findings")).isEmpty();
  }

  @Test
  void surfacesThatShareAChannelAreMendedTogetherAndReportedOnce() throws Exception {
    for (String name : List.of("tailed-one-aileron-servo", "tailed-two-aileron-servos")) {
      ObjectNode setup = (ObjectNode) json.readTree(resource("kinds/" + name + ".json"));
      for (JsonNode servo : setup.get("servos")) {
        if (servo.get("id").asText().equals("servo-aileron-right")) {
          ((ObjectNode) servo).put("channel", 1);
          ((ArrayNode) setup.get("channels")).remove(4);
        }
      }
      ((ObjectNode) setup.at("/channels/0")).put("subTrimMicroseconds", 80);
      double[] before = travel(setup, 0, 0, 0);
      JsonNode finding = null;
      long reported = 0;
      for (JsonNode one : shown(setup, 0, 0, 0).get("findings")) {
        if (one.get("rule").asText().equals("large-sub-trim")) {
          finding = one;
          reported++;
        }
      }
      assertThat(reported).as(name).isEqualTo(1);
      JsonNode edits = offer(setup, finding).at("/mends/0/edits");
      assertThat(edits).as("the channel and two rods").hasSize(3);
      double[] after = travel(mended(setup, edits), 0, 0, 0);
      for (int i = 0; i < before.length; i++) {
        // Half a half turn of M2 is 0.1 mm of rod, at 14 mm radius and 45 mm chord 0.33 mm.
        assertThat(after[i]).as(name + " " + i).isCloseTo(before[i], within(0.34));
      }
    }
  }

  @Test
  void noDemoModelHasAHazardButTheWingBoughtSecondHand() throws Exception {
    for (String name : List.of("quillon", "larkmere", "brindle")) {
      JsonNode setup = json.readTree(resource("demo/" + name + ".json"));
      JsonNode outcome = post("/api/program/hazards", Map.of("setup", setup)).json();
      assertThat(outcome.get("ending").asText()).isEqualTo("WHOLE");
      assertThat(outcome.get("hazards"))
          .as(name)
          .allMatch(one -> !one.get("acceptedBecause").asText().isEmpty());
      assertThat(shown(setup, 0, 0, 0).get("findings")).as(name).isEmpty();
    }
  }

  /** What mends a finding, tried. */
  private JsonNode offer(JsonNode setup, JsonNode finding) throws Exception {
    for (JsonNode one : post("/api/program/mends", Map.of("setup", setup)).json()) {
      if (one.get("id").equals(finding.get("rule"))
          && one.get("subject").equals(finding.get("surface"))) {
        return one;
      }
    }
    throw new AssertionError("nothing is said of " + finding.get("rule"));
  }

  private ObjectNode mended(ObjectNode setup, JsonNode edits) throws Exception {
    Answer mended = post("/api/edits/mend", Map.of("setup", setup, "edits", edits));
    assertThat(mended.status()).as(mended.body()).isEqualTo(200);
    assertThat(mended.json().get("changed")).as("what it changed").isNotEmpty();
    return (ObjectNode) mended.json().get("setup");
  }

  private double[] travel(JsonNode setup, double roll, double pitch, double yaw) throws Exception {
    JsonNode found = shown(setup, roll, pitch, yaw).at("/frame/positions/travelMm");
    double[] travel = new double[found.size()];
    for (int i = 0; i < travel.length; i++) {
      double mm = found.get(i).asDouble();
      travel[i] = Math.abs(mm) < 1e-9 ? 0 : mm;
    }
    return travel;
  }

  private JsonNode shown(JsonNode setup, double roll, double pitch, double yaw) throws Exception {
    Map<String, Integer> trims = Map.of("roll", 0, "pitch", 0, "yaw", 0);
    Map<String, Object> moment =
        Map.of(
            "roll",
            roll,
            "pitch",
            pitch,
            "yaw",
            yaw,
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
    String selected = setup.at("/surfaces/0/id").asText();
    Answer answer =
        post("/api/bench/moment", Map.of("setup", setup, "moment", moment, "selected", selected));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    return answer.json();
  }
}
