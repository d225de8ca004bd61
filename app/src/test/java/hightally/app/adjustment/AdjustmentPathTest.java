package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** The work order over the API: begun, left, moved, refused, closed, given up. */
class AdjustmentPathTest extends Pilot {
  @Test
  void goesFromSettledFlightsToARevisionWithTrimsAtZero() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    assertThat(get(at).json().at("/loop/next").asText()).isEqualTo("ADJUST");
    JsonNode open = post(at + "/adjustment", beginning(flight)).json();
    assertThat(post(at + "/adjustment", beginning(flight)).status()).isEqualTo(201);
    int last = open.at("/plan/steps").size() - 1;
    assertThat(close(at, open.get("version").asInt()).status()).isEqualTo(422);
    assertThat(move(at, last + 1, 0).body()).contains("step is " + (last + 1));
    Answer unseen = move(at, last, 0);
    assertThat(unseen.status()).isEqualTo(409);
    assertThat(unseen.body()).contains("how many turns did it take");
    JsonNode turned = turned(at, open);
    JsonNode moved = move(at, last, turned.get("version").asInt()).json();
    Answer unlooked = close(at, moved.get("version").asInt());
    assertThat(unlooked.status()).isEqualTo(409);
    assertThat(unlooked.body()).contains("Not checked yet").contains("Rudder");
    JsonNode looked = lookedAt(at, moved);
    assertThat(move(at, 0, 0).status()).isEqualTo(409);
    assertThat(get(at + "/adjustment").json().get("step").asInt()).isEqualTo(last);
    for (JsonNode done : looked.get("done")) {
      assertThat(done.asBoolean()).isTrue();
    }
    JsonNode made = close(at, looked.get("version").asInt()).json();
    assertThat(made.get("number").asInt()).isEqualTo(2);
    assertThat(made.get("fromAdjustment").asBoolean()).isTrue();
    assertThat(made.get("reason").asText())
        .contains("roll 6 clicks right, pitch 8 clicks nose down");
    // Half turns leave what the plan said: at most a click or two.
    JsonNode left = open.at("/plan/phases/0/after");
    assertThat(made.at("/setup/trims")).isEqualTo(left);
    assertThat(Math.abs(left.get("roll").asInt())).isLessThanOrEqualTo(2);
    assertThat(get(at + "/adjustment").status()).isEqualTo(204);
    assertThat(get(at).json().at("/loop/next").asText()).isEqualTo("MAKE_READY");
    flownAtMyWord(at);
    assertThat(get(at).json().at("/loop/waiting").asText()).contains("Adjusted, not flown yet");
    assertThat(get(at).json().at("/loop/next").asText()).isEqualTo("CONFIRM");
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(409);
    assertThat(get(at + "/flights/" + flight + "/followed").body()).isEqualTo("[2]");
    assertThat(get(at + "/standing-trims").json().at("/phases/0/trims")).isEqualTo(left);
  }

  @Test
  void givenUpItLeavesTheSetupAsItWas() throws Exception {
    String at = newModel();
    post(at + "/adjustment", beginning(settled(at, 1, 6, 0, 0)));
    assertThat(get(at).json().at("/loop/next").asText()).isEqualTo("FINISH_ORDER");
    Answer gone =
        send(HttpMethod.DELETE, at + "/adjustment?version=0", MediaType.APPLICATION_JSON, "");
    assertThat(gone.status()).isEqualTo(204);
    assertThat(get(at).json().at("/newest/number").asInt()).isEqualTo(1);
  }

  @Test
  void whatHasNotSettledOrIsNotWorthItIsRefusedBeforeTheFirstTurn() throws Exception {
    String at = newModel();
    long flight = flight(at, 1, 6, -8, 0);
    Answer early = post(at + "/adjustment", beginning(flight));
    assertThat(early.status()).isEqualTo(409);
    assertThat(early.body()).contains("No pushrod is worth turning");
    Map<String, Object> word =
        Map.of("phase", "flight", "control", "PITCH", "because", "flies as on rails");
    JsonNode standing = post(at + "/settled-words", word).json();
    assertThat(standing.get("turn").toString()).isEqualTo("[\"PITCH\"]");
    assertThat(post(at + "/adjustment", beginning(flight)).status()).isEqualTo(201);

    String other = newModel();
    long settled = settled(other, 1, 1, 1, 1);
    JsonNode plan =
        post(
                other + "/adjustment/plan",
                Map.of(
                    "reference",
                    "",
                    "presetsTakeUp",
                    false,
                    "leave",
                    List.of(),
                    "means",
                    List.of()))
            .json();
    assertThat(plan.get("plan").isNull()).isTrue();
    assertThat(plan.get("worth").toString()).contains("cannot do better than");
    assertThat(post(other + "/adjustment", beginning(settled)).body())
        .contains("cannot do better than");
    assertThat(get(other).json().at("/loop/waiting").asText()).contains("may stay on the trims");
  }

  /** A gauge that shows half as much again stops the step until the pilot has decided. */
  @Test
  void aReadingThatDisagreesStopsTheStepUntilItIsSettled() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 0, 12, 0))).json();
    double computed = rod(open, "elevator").get("zeroingMm").asDouble();
    JsonNode measured = gauge(at, "elevator", 1.5 * computed, "OPEN", 0).json();
    JsonNode check = measured.at("/gauges/0/check");
    assertThat(check.get("agree").asBoolean()).isFalse();
    assertThat(check.get("explanations").toString())
        .contains("A trim click of")
        .contains("horn radius");
    assertThat(get(at).json().at("/loop/next").asText()).isEqualTo("SETTLE_READING");
    assertThat(get(at).json().at("/loop/waiting").asText()).contains("Elevator");
    int version = measured.get("version").asInt();
    Answer stopped = move(at, 4, version);
    assertThat(stopped.status()).isEqualTo(409);
    assertThat(stopped.body()).contains("disagree at Elevator");
    JsonNode opposite = gauge(at, "elevator", -computed, "OPEN", version).json();
    assertThat(opposite.at("/gauges/0/check/explanations").toString())
        .contains("Check the direction first");
    Answer centimetres =
        gauge(at, "elevator", 20 * computed, "OPEN", opposite.get("version").asInt());
    assertThat(centimetres.status()).isEqualTo(422);
    assertThat(centimetres.body()).contains("millimetres at the trailing edge");
    JsonNode ruler =
        gauge(at, "elevator", 1.5 * computed, "RULER", opposite.get("version").asInt()).json();
    // It went half as far again as computed, so it has half as far again to come back.
    double steps = rod(open, "elevator").get("steps").asDouble();
    assertThat(rod(ruler, "elevator").get("steps").asDouble())
        .isNotEqualTo(steps)
        .isCloseTo(1.5 * steps, within(1.0));
    double horn = hornOf(open.at("/plan/after"), "elevator");
    JsonNode made = closed(at, ruler).json();
    assertThat(hornOf(made.get("setup"), "elevator")).isEqualTo(horn);
  }

  /**
   * What the rods were really turned is what stands in the description, and what is turned back.
   */
  @Test
  void theTurnsItTookAreKept() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 0, 12, 0))).json();
    JsonNode rod = rod(open, "elevator");
    long steps = rod.get("steps").asLong();
    Map<String, Object> mark =
        Map.of("surface", "elevator", "steps", steps + 1, "offMm", 0, "way", "SAME");
    JsonNode marked = put(at + "/adjustment/mark", Map.of("mark", mark, "version", 0)).json();
    assertThat(marked.at("/marks/0/steps").asLong()).isEqualTo(steps + 1);
    JsonNode made =
        post(
                at + "/adjustment/close",
                Map.of("version", lookedAt(at, marked).get("version").asInt(), "because", ""))
            .json();
    double adjusted = 0;
    for (JsonNode one : made.at("/setup/surfaces")) {
      adjusted =
          one.get("id").asText().equals("elevator")
              ? one.at("/rod/adjustedMm").asDouble()
              : adjusted;
    }
    double step = rod.get("appliedMm").asDouble() / steps;
    assertThat(adjusted)
        .isCloseTo((steps + 1) * step, org.assertj.core.api.Assertions.within(1e-9));
    Map<String, Object> bad = Map.of("surface", "elevator", "steps", 1, "offMm", 1, "way", "RIGHT");
    assertThat(put(at + "/adjustment/mark", Map.of("mark", bad, "version", 0)).status())
        .isEqualTo(404);
  }

  @Test
  void onlyTheChosenControlsGoIntoTheRodsAndTheOthersKeepTheirClicks() throws Exception {
    String at = newModel();
    Map<String, Object> pitch = new HashMap<>(beginning(settled(at, 1, 6, -8, 0)));
    pitch.put("controls", List.of("PITCH"));
    JsonNode open = post(at + "/adjustment", pitch).json();
    for (JsonNode rod : open.at("/plan/rods")) {
      boolean elevator = rod.get("surface").asText().equals("elevator");
      assertThat(rod.get("steps").asInt() != 0).as(rod.toString()).isEqualTo(elevator);
    }
    assertThat(open.at("/plan/phases/0/after/roll").asInt()).isEqualTo(6);
    assertThat(Math.abs(open.at("/plan/phases/0/after/pitch").asInt())).isLessThanOrEqualTo(2);
    assertThat(open.at("/plan/steps/1/detail").asText())
        .contains("stays on the trims all the time: roll 6 clicks right");
    // Of pitch nothing is said by the order: its flights go on to count for roll.
    closed(at, open);
    JsonNode settling = get(at + "/settling").json();
    assertThat(settling.at("/series/0/agreeing").asInt()).isEqualTo(3);
    assertThat(settling.at("/series/1/agreeing").asInt()).isZero();
  }

  @Test
  void whatMovesNoSurfaceLeavesTheFlightsTrimsStanding() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, 0, 0);
    ObjectNode setup = (ObjectNode) get(at).json().at("/newest/setup");
    assertThat(revise(at, 1, setup.put("name", "Renamed")).status()).isEqualTo(201);
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(200);
    ((ObjectNode) setup.at("/channels/0")).put("subTrimMicroseconds", 25);
    assertThat(revise(at, 2, setup).status()).isEqualTo(201);
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(409);
    assertThat(get(at + "/settling").json().at("/series/0/points/0/why").asText())
        .contains("the rig was changed in revision 3");
  }

  @Test
  void aSurfaceSeenToGoTheWrongWayKeepsTheOrderOpenAndGivingUpNamesWhatToTurnBack()
      throws Exception {
    String at = newModel();
    JsonNode begun = post(at + "/adjustment", beginning(settled(at, 1, 0, 12, 0))).json();
    assertThat(begun.get("undo")).isEmpty();
    JsonNode looked = lookedAt(at, turned(at, begun));
    JsonNode wrong = verified(at, 14, 14, false, looked.get("version").asInt()).json();
    assertThat(wrong.get("undo").toString()).contains("Elevator").contains("turn");
    int now = wrong.get("version").asInt();
    assertThat(close(at, now).body()).contains("Moved the wrong way: Elevator");
    JsonNode expected = null;
    for (JsonNode one : wrong.at("/verification")) {
      expected = one.get("surface").asText().equals("elevator") ? one : expected;
    }
    double up = expected.get("plusMm").asDouble();
    double down = expected.get("minusMm").asDouble();
    JsonNode right = verified(at, up, down, true, now).json();
    assertThat(right.get("verification").toString()).contains("As expected.");
    assertThat(close(at, right.get("version").asInt()).status()).isEqualTo(200);
  }

  /** A turnbuckle in place of the clevis: the order says so, and follows it. */
  @Test
  void anotherEndAndAToothOverAreFollowed() throws Exception {
    String at = newModel();
    settled(at, 1, 0, 12, 0);
    long flight = get(at + "/flights").json().at("/items/0/id").asLong();
    Map<String, Object> end = Map.of("kind", "TURNBUCKLE", "pitchMm", 0.4);
    Map<String, Object> wish =
        Map.of(
            "reference",
            "",
            "presetsTakeUp",
            false,
            "leave",
            List.of(),
            "means",
            List.of(Map.of("surface", "elevator", "teeth", 0, "end", end)));
    JsonNode open =
        post(at + "/adjustment/planned", Map.of("flightId", flight, "wish", wish)).json();
    assertThat(open.at("/plan/steps").findValuesAsText("kind")).contains("FIT");
    assertThat(Math.abs(rod(open, "elevator").get("errorMm").asDouble())).isLessThan(0.24);
    JsonNode made = closed(at, open).json();
    for (JsonNode one : made.at("/setup/surfaces")) {
      if (one.get("id").asText().equals("elevator")) {
        assertThat(one.at("/rod/end/kind").asText()).isEqualTo("TURNBUCKLE");
      }
    }
  }

  /** A page whose answer was lost sends the same again; one that would move on is told. */
  @Test
  void theSamePieceOfWorkSentTwiceIsDoneOnce() throws Exception {
    String at = newModel();
    int version =
        post(at + "/adjustment", beginning(settled(at, 1, 0, 12, 0))).json().get("version").asInt();
    JsonNode once = move(at, 1, version).json();
    assertThat(move(at, 1, version).json()).isEqualTo(once);
    assertThat(move(at, 2, version).status()).isEqualTo(409);
    int next = once.get("version").asInt();
    JsonNode gauged = gauge(at, "elevator", 1.4, "OPEN", next).json();
    assertThat(gauge(at, "elevator", 1.4, "OPEN", next).json()).isEqualTo(gauged);
    assertThat(gauge(at, "elevator", 1.5, "OPEN", next).status()).isEqualTo(409);
    assertThat(gauged.get("version").asInt()).isEqualTo(next + 1);
  }

  private Answer revise(String at, int basedOn, JsonNode setup) throws Exception {
    return post(
        at + "/revisions", Map.of("basedOn", basedOn, "reason", "For this test", "setup", setup));
  }

  private Answer verified(String at, double plus, double minus, boolean rightWay, int version)
      throws Exception {
    Map<String, Object> seen =
        Map.of(
            "surface",
            "elevator",
            "by",
            "PITCH",
            "rightWay",
            rightWay,
            "measured",
            true,
            "plusMm",
            plus,
            "minusMm",
            minus);
    return put(at + "/adjustment/verified", Map.of("verified", seen, "version", version));
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
    Map<String, Object> gauge =
        Map.of(
            "surface",
            surface,
            "sizeMm",
            Math.abs(mm),
            "way",
            mm > 0 ? "UP" : "DOWN",
            "choice",
            choice);
    return put(at + "/adjustment/gauge", Map.of("gauge", gauge, "version", version));
  }

  private Answer move(String at, int step, int version) throws Exception {
    return put(at + "/adjustment", Map.of("step", step, "version", version));
  }

  private Answer close(String at, int version) throws Exception {
    return post(at + "/adjustment/close", Map.of("version", version, "because", ""));
  }
}
