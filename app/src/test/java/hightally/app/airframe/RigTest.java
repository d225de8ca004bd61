package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

class RigTest extends ApiTest {
  @Test
  void aDocumentOfTheFirstFormMovesAsItDid() throws Exception {
    Answer read =
        send(
            HttpMethod.POST,
            "/api/setup-files/read",
            MediaType.TEXT_PLAIN,
            resource("older/format-1.json"));
    assertThat(read.status()).as(read.body()).isEqualTo(200);
    assertThat(read.json().get("formatVersion").asInt()).isEqualTo(Setup.FORMAT_VERSION);
    JsonNode today = json.readTree(resource("kinds/v-tail-flaps.json"));
    for (String stick : List.of("roll", "pitch", "yaw")) {
      JsonNode before = travel(read.json(), stick);
      JsonNode now = travel(today, stick);
      for (int i = 0; i < before.size(); i++) {
        assertThat(before.get(i).asDouble()).isCloseTo(now.get(i).asDouble(), within(1e-9));
      }
    }
  }

  private JsonNode travel(JsonNode setup, String stick) throws Exception {
    Map<String, Object> moment = new java.util.HashMap<>();
    List.of("roll", "pitch", "yaw", "throttle").forEach(one -> moment.put(one, 0));
    moment.put(stick, 1);
    moment.put("throttleCut", true);
    moment.put("trims", Map.of("roll", 2, "pitch", -3, "yaw", 1));
    moment.put("inputs", List.of());
    moment.put(
        "readings",
        Map.of("linkPercent", 100, "voltage", 12, "timerSeconds", List.of(), "truths", List.of()));
    Map<String, Object> asked =
        Map.of("setup", setup, "moment", moment, "selected", "aileron-left");
    return post("/api/bench/moment", asked).json().at("/frame/positions/travelMm");
  }

  @Test
  void theWiringSheetListsWhatToPlugAndWhatToBuy() throws Exception {
    JsonNode glider = json.readTree(resource("demo/larkmere.json"));
    JsonNode proposed = post("/api/rig/map/proposal", Map.of("setup", glider)).json();
    JsonNode sheet = post("/api/rig/map/sheet", Map.of("setup", proposed.get("setup"))).json();
    assertThat(sheet.get("rows")).hasSize(7);
    assertThat(sheet.at("/rows/0/device").asText()).isEqualTo("Left aileron servo");
    assertThat(sheet.get("missingSockets").asInt()).isZero();
    // Aileron horns sit a metre out: 1000 mm of lead in all, less the servo's own 250 mm.
    assertThat(sheet.get("parts").toString()).contains("2,\"what\":\"extensions, 1000 mm\"");
  }

  @Test
  void balanceAnswersForEveryPack() throws Exception {
    JsonNode asked =
        json.valueToTree(
            Map.of(
                "setup",
                biplane(),
                "wish",
                Map.of(
                    "sideDegrees",
                    1.5,
                    "downDegrees",
                    0,
                    "lateralOffsetMm",
                    4,
                    "lateralArmMm",
                    600,
                    "noseStationMm",
                    -200,
                    "tailStationMm",
                    900)));
    JsonNode advice = post("/api/rig/balance", asked).json();
    // Pack A: 3 mm aft of 115, 2415 g in all, the pack 365 g: 3 · 2415 / 365 = 19.8 mm forward.
    assertThat(advice.at("/packs/0/shiftMm").asDouble()).isCloseTo(-19.85, within(0.01));
    // Ballast at -200: 2415 · 3 / 315 = 23 g.
    assertThat(advice.at("/packs/0/ballastGrams").asDouble()).isCloseTo(23, within(0.01));
    assertThat(advice.at("/packs/0/inRange").asBoolean()).isTrue();
    // 25 mm · tan 1.5° and 2422 g · 4 / 600.
    assertThat(advice.get("sideWasherMm").asDouble()).isCloseTo(0.6546, within(1e-3));
    assertThat(advice.get("lateralGrams").asDouble()).isCloseTo(16.15, within(0.01));
  }

  @Test
  void measuredThrowsAreExplainedAndAnImpossibleOneIsQuestioned() throws Exception {
    ObjectNode setup = biplane();
    Map<String, Object> full = Map.of("stick", 1, "travelMm", 19);
    Map<String, Object> back = Map.of("stick", -1, "travelMm", -19);
    JsonNode answer =
        post(
                "/api/rig/measured",
                Map.of("setup", setup, "surface", "elevator", "readings", List.of(full, back)))
            .json();
    assertThat(answer.at("/answer/expectedMm/0").asDouble()).isCloseTo(24, within(1.5));
    assertThat(answer.at("/answer/explanations/0/explains").asBoolean()).isTrue();
    assertThat(answer.at("/mends/0/hand").asText()).as("a note is never held back").isEmpty();
    Map<String, Object> tenfold = Map.of("stick", 1, "travelMm", 240);
    Answer refused =
        post(
            "/api/rig/measured",
            Map.of("setup", setup, "surface", "elevator", "readings", List.of(tenfold, back)));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body())
        .contains("readings[0].travelMm")
        .contains("is that mm, and not another unit?");
  }

  @Test
  void aGuidedSetUpIsLeftAndTakenUpAgainAndKeepsEveryReading() throws Exception {
    String at = "/api/aircraft/2/bench-set-up";
    assertThat(get(at).status()).isEqualTo(204);
    JsonNode open = post(at, Map.of("school", "ROD_FIRST")).json();
    assertThat(post(at, Map.of("school", "SUB_TRIM_FIRST")).status()).isEqualTo(409);
    assertThat(post(at, Map.of("school", "ROD_FIRST")).json()).isEqualTo(open);
    open =
        move(at, open, 1, Map.of("step", "harmless", "choice", "leads-apart", "values", List.of()));
    open =
        move(at, open, 2, Map.of("step", "seat/aileron-left", "choice", "", "values", List.of(5)));
    open =
        move(at, open, 2, Map.of("step", "seat/aileron-left", "choice", "", "values", List.of(4)));
    JsonNode later = get(at).json();
    assertThat(later).isEqualTo(open);
    assertThat(later.get("step").asInt()).isEqualTo(2);
    assertThat(later.at("/answers/1/values/0").asDouble()).isEqualTo(4);
    assertThat(later.at("/verdicts/0/words").asText()).contains("0.4° is left");
    assertThat(get("/api/aircraft/2/measurements").json()).hasSize(3);
    Answer wrong =
        send(
            HttpMethod.PUT,
            at,
            MediaType.APPLICATION_JSON,
            json.writeValueAsString(
                Map.of("version", later.get("version"), "step", "nowhere", "answers", List.of())));
    assertThat(wrong.body()).contains("a step of this set-up");
    post(at + "/close", Map.of("version", later.get("version")));
    assertThat(get(at).status()).isEqualTo(204);
    assertThat(get("/api/aircraft/2/measurements").json()).hasSize(3);
  }

  private JsonNode move(String at, JsonNode open, int step, Map<String, Object> answer)
      throws Exception {
    Map<String, Object> moved =
        Map.of(
            "version", open.get("version"),
            "step", open.at("/steps/" + step + "/id").asText(),
            "answers", List.of(answer));
    Answer found =
        send(HttpMethod.PUT, at, MediaType.APPLICATION_JSON, json.writeValueAsString(moved));
    assertThat(found.status()).as(found.body()).isEqualTo(200);
    return found.json();
  }

  @Test
  void aNewReceiverSaysWhatMustBeDoneAgain() throws Exception {
    String at = "/api/aircraft/3/part-changes";
    JsonNode noted =
        post(at, Map.of("kind", "RECEIVER", "subject", "six sockets", "note", "")).json();
    assertThat(noted.get("checks")).hasSize(4);
    assertThat(noted.toString()).contains("Failsafe").contains("Range check");
    send(
        HttpMethod.PUT,
        at + "/" + noted.get("id").asLong(),
        MediaType.APPLICATION_JSON,
        "{\"check\":1,\"done\":true}");
    assertThat(get(at).json().at("/0/checks/1/done").asBoolean()).isTrue();
    assertThat(get(at).json().at("/0/checks/0/done").asBoolean()).isFalse();
  }
}
