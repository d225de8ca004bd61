package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** The work order over the API: begun, left, moved, refused, closed, given up. */
class AdjustmentPathTest extends ApiTest {
  @Test
  void goesFromAFlightToARevisionWithTrimsAtZero() throws Exception {
    String at = newModel();
    long flight = flight(at, 6, -4, 0);
    JsonNode open = post(at + "/adjustment", begin(flight)).json();
    assertThat(post(at + "/adjustment", begin(flight)).status()).isEqualTo(201);
    int last = open.at("/plan/steps").size() - 1;
    assertThat(close(at, open.get("version").asInt()).status()).isEqualTo(422);
    assertThat(move(at, last + 1, 0).body()).contains("step is " + (last + 1));
    JsonNode moved = move(at, last, 0).json();
    assertThat(move(at, 0, 0).status()).isEqualTo(409);
    assertThat(get(at + "/adjustment").json().get("step").asInt()).isEqualTo(last);
    JsonNode made = close(at, moved.get("version").asInt()).json();
    assertThat(made.get("number").asInt()).isEqualTo(2);
    assertThat(made.get("fromAdjustment").asBoolean()).isTrue();
    assertThat(made.get("reason").asText())
        .contains("roll 6 clicks right, pitch 4 clicks nose down");
    // Half turns leave what the plan said: at most a click or two.
    JsonNode left = open.at("/plan/phases/0/after");
    assertThat(made.at("/setup/trims")).isEqualTo(left);
    assertThat(Math.abs(left.get("roll").asInt())).isLessThanOrEqualTo(2);
    assertThat(get(at + "/adjustment").status()).isEqualTo(204);
    assertThat(get(at).json().at("/loop/waiting").asText()).contains("Adjusted and not flown yet");
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(409);
  }

  @Test
  void givenUpItLeavesTheSetupAsItWas() throws Exception {
    String at = newModel();
    post(at + "/adjustment", begin(flight(at, 6, 0, 2)));
    assertThat(get(at).json().at("/loop/stage").asText()).isEqualTo("ADJUST");
    Answer gone =
        send(HttpMethod.DELETE, at + "/adjustment?version=0", MediaType.APPLICATION_JSON, "");
    assertThat(gone.status()).isEqualTo(204);
    assertThat(get(at).json().at("/newest/number").asInt()).isEqualTo(1);
  }

  /** The ruler shows half as much again as was reckoned; the pilot decides which he believes. */
  @Test
  void rulerAndArithmeticAreSettledBeforeItIsClosedAndTheNextFlightConfirms() throws Exception {
    String at = newModel();
    long flight = flight(at, 0, 12, 0);
    JsonNode open = post(at + "/adjustment", begin(flight)).json();
    JsonNode rod = rod(open, "elevator");
    double computed = rod.get("targetMm").asDouble() - rod.get("todayMm").asDouble();
    JsonNode measured = gauge(at, "elevator", 1.5 * computed, "OPEN", 0).json();
    JsonNode check = measured.at("/gauges/0/check");
    assertThat(check.get("agree").asBoolean()).isFalse();
    assertThat(check.get("explanations").toString())
        .contains("A trim click of")
        .contains("horn radius")
        .contains("behind the hinge line");
    int last = measured.at("/plan/steps").size() - 1;
    int version = move(at, last, measured.get("version").asInt()).json().get("version").asInt();
    assertThat(close(at, version).body()).contains("Ruler and arithmetic disagree at elevator");

    JsonNode ruler = gauge(at, "elevator", 1.5 * computed, "RULER", version).json();
    assertThat(Math.abs(rod(ruler, "elevator").get("exactMm").asDouble()))
        .isLessThan(1.05 * Math.abs(rod.get("exactMm").asDouble()));
    JsonNode made = close(at, ruler.get("version").asInt()).json();
    double horn = hornOf(json.valueToTree(open.at("/plan/after")), "elevator");
    assertThat(hornOf(made.get("setup"), "elevator")).isLessThan(horn / 1.4);

    ObjectNode report = (ObjectNode) get(at + "/flights").json().at("/items/0/report").deepCopy();
    report.set("trims", json.valueToTree(Map.of("roll", 0, "pitch", 4, "yaw", 0)));
    post(at + "/flights", Map.of("revisionNumber", 2, "report", report));
    JsonNode said = get(at + "/confirmation").json().at("/0/controls");
    JsonNode pitch = said.get(said.size() - 1);
    assertThat(pitch.get("done").asBoolean()).isFalse();
    int predicted = pitch.get("predicted").asInt();
    double step = made.at("/setup/transmitter/clickStepPercent").asDouble();
    assertThat(pitch.get("learnedClickPercent").asDouble())
        .isCloseTo(
            // To a hundredth of a percent, as it is typed in.
            step * (12 - predicted) / (12 - 4.0), org.assertj.core.api.Assertions.within(0.00501));
  }

  /**
   * What was flown is learned from; the model is as it was, so the same flight goes on to count.
   */
  @Test
  void whatAFlightTeachesIsTakenIntoTheDescriptionForASecondRound() throws Exception {
    String at = newModel();
    adjusted(at, flight(at, 0, 12, 0));
    long second = flight(at, 0, 4, 0, 2);
    JsonNode said = get(at + "/confirmation").json().at("/0/controls");
    JsonNode pitch = said.get(said.size() - 1);
    JsonNode arm = pitch.at("/learnedArms/0");
    assertThat(arm.get("surface").asText()).isEqualTo("elevator");
    double factor = (12.0 - pitch.get("predicted").asInt()) / (12 - 4);
    // To a tenth of a millimetre, as it is typed in.
    assertThat(arm.get("learnedMm").asDouble())
        .isCloseTo(
            factor * arm.get("radiusMm").asDouble(),
            org.assertj.core.api.Assertions.within(0.0501));
    String plan = at + "/flights/" + second + "/adjustment";
    double before = rod(plan(plan), "elevator").get("exactMm").asDouble();

    JsonNode made = learn(at, "elevator", arm.get("learnedMm").asDouble()).json();
    assertThat(made.get("corrects").asBoolean()).isTrue();
    assertThat(get(at).json().get("trimsHoldSince").asInt()).isEqualTo(2);
    assertThat(get(at + "/confirmation").json()).isEmpty();
    // The same clicks move the rod by as much more as the arm is longer than it was taken to be.
    assertThat(rod(plan(plan), "elevator").get("exactMm").asDouble() / before)
        .isBetween(0.97 * factor, 1.03 * factor);
    assertThat(learn(at, "nowhere", 12).body()).contains("arms is nowhere");
    assertThat(learn(at, "elevator", 0.5).body()).contains("1 to 100 mm");
  }

  @Test
  void onlyTheChosenControlsGoIntoTheRodsAndTheOthersKeepTheirClicks() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", begin(flight(at, 6, -8, 0), "PITCH")).json();
    for (JsonNode rod : open.at("/plan/rods")) {
      boolean elevator = rod.get("surface").asText().equals("elevator");
      assertThat(rod.get("steps").asInt() != 0).as(rod.toString()).isEqualTo(elevator);
    }
    assertThat(open.at("/plan/phases/0/after/roll").asInt()).isEqualTo(6);
    assertThat(Math.abs(open.at("/plan/phases/0/after/pitch").asInt())).isLessThanOrEqualTo(2);
    assertThat(open.at("/plan/steps/1/detail").asText())
        .contains("stays in throughout: roll 6 clicks right");
    assertThat(post(at + "/adjustment", begin(1)).body()).contains("open already");
  }

  @Test
  void whatMovesNoSurfaceLeavesTheFlightsTrimsStanding() throws Exception {
    String at = newModel();
    long flight = flight(at, 6, 0, 0);
    ObjectNode setup = (ObjectNode) get(at).json().at("/newest/setup");
    assertThat(revise(at, 1, setup.put("name", "Renamed")).status()).isEqualTo(201);
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(200);
    ((ObjectNode) setup.at("/channels/0")).put("subTrimMicroseconds", 25);
    assertThat(revise(at, 2, setup).status()).isEqualTo(201);
    Answer refused = get(at + "/flights/" + flight + "/adjustment");
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body()).contains("since revision 3 its trims no longer fit");
  }

  @Test
  void aSurfaceSeenToGoTheWrongWayKeepsTheOrderOpenAndGivingUpNamesWhatToTurnBack()
      throws Exception {
    String at = newModel();
    post(at + "/adjustment", begin(flight(at, 0, 12, 0)));
    JsonNode open = get(at + "/adjustment").json();
    assertThat(open.get("undo")).isEmpty();
    int last = open.at("/plan/steps").size() - 1;
    int version = move(at, last, 0).json().get("version").asInt();
    JsonNode wrong = verified(at, 14, 14, false, version).json();
    assertThat(wrong.get("undo").toString()).contains("Elevator").contains("turn");
    int now = wrong.get("version").asInt();
    assertThat(close(at, now).body()).contains("Seen to move the wrong way: Elevator");
    JsonNode shown = wrong.at("/verification");
    JsonNode expected = null;
    for (JsonNode one : shown) {
      expected = one.get("surface").asText().equals("elevator") ? one : expected;
    }
    double up = expected.get("plusMm").asDouble();
    double down = expected.get("minusMm").asDouble();
    JsonNode right = verified(at, up, down, true, now).json();
    assertThat(right.get("verification").toString()).contains("As expected.");
    assertThat(close(at, right.get("version").asInt()).status()).isEqualTo(200);
  }

  private Map<String, Object> begin(long flight) {
    return begin(flight, "ROLL", "PITCH", "YAW");
  }

  private static Map<String, Object> begin(long flight, String... controls) {
    return Map.of(
        "flightId", flight, "reference", "", "presetsTakeUp", false, "controls", controls);
  }

  private void adjusted(String at, long flight) throws Exception {
    JsonNode open = post(at + "/adjustment", begin(flight)).json();
    JsonNode moved = move(at, open.at("/plan/steps").size() - 1, 0).json();
    assertThat(close(at, moved.get("version").asInt()).status()).isEqualTo(200);
  }

  private JsonNode plan(String path) throws Exception {
    return json.createObjectNode().set("plan", get(path).json());
  }

  private Answer revise(String at, int basedOn, JsonNode setup) throws Exception {
    return post(
        at + "/revisions", Map.of("basedOn", basedOn, "reason", "For this test", "setup", setup));
  }

  private Answer learn(String at, String surface, double radius) throws Exception {
    JsonNode newest = get(at).json().get("newest");
    return post(
        at + "/learned",
        Map.of(
            "basedOn", newest.get("number"),
            "clickStepPercent", newest.at("/setup/transmitter/clickStepPercent"),
            "arms", java.util.List.of(Map.of("surface", surface, "armRadiusMm", radius))));
  }

  private Answer verified(String at, double plus, double minus, boolean rightWay, int version)
      throws Exception {
    Map<String, Object> seen =
        Map.of("surface", "elevator", "plusMm", plus, "minusMm", minus, "rightWay", rightWay);
    String body = json.writeValueAsString(Map.of("verified", seen, "version", version));
    return send(HttpMethod.PUT, at + "/adjustment/verified", MediaType.APPLICATION_JSON, body);
  }

  private static JsonNode rod(JsonNode open, String surface) {
    for (JsonNode rod : open.at("/plan/rods")) {
      if (rod.get("surface").asText().equals(surface)) {
        return rod;
      }
    }
    throw new AssertionError(surface);
  }

  private static double hornOf(JsonNode setup, String surface) {
    for (JsonNode one : setup.get("surfaces")) {
      if (one.get("id").asText().equals(surface)) {
        return one.at("/rod/linkage/hornRadiusMm").asDouble();
      }
    }
    throw new AssertionError(surface);
  }

  private Answer gauge(String at, String surface, double mm, String choice, int version)
      throws Exception {
    Map<String, Object> gauge = Map.of("surface", surface, "mm", mm, "choice", choice);
    String body = json.writeValueAsString(Map.of("gauge", gauge, "version", version));
    return send(HttpMethod.PUT, at + "/adjustment/gauge", MediaType.APPLICATION_JSON, body);
  }

  private String newModel() throws Exception {
    Answer added = post("/api/aircraft", Map.of("reason", "For this test", "setup", biplane()));
    return "/api/aircraft/" + added.json().get("id").asLong();
  }

  private long flight(String at, int roll, int pitch, int yaw) throws Exception {
    return flight(at, roll, pitch, yaw, 1);
  }

  private long flight(String at, int roll, int pitch, int yaw, int revision) throws Exception {
    ObjectNode report =
        (ObjectNode) get("/api/aircraft/1/flights").json().at("/items/0/report").deepCopy();
    report.set("trims", json.valueToTree(Map.of("roll", roll, "pitch", pitch, "yaw", yaw)));
    Answer added = post(at + "/flights", Map.of("revisionNumber", revision, "report", report));
    assertThat(added.status()).as(added.body()).isEqualTo(201);
    return added.json().get("id").asLong();
  }

  private Answer move(String at, int step, int version) throws Exception {
    String body = json.writeValueAsString(Map.of("step", step, "version", version));
    return send(HttpMethod.PUT, at + "/adjustment", MediaType.APPLICATION_JSON, body);
  }

  private Answer close(String at, int version) throws Exception {
    return post(at + "/adjustment/close", Map.of("version", version));
  }
}
