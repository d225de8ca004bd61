package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What the rig's paths answer, and what the log's smaller ones do. */
class RigPathsTest extends Pilot {
  @Test
  void aPartIsAddedCompleteAndTakenOffAgain() throws Exception {
    Map<String, Object> wish =
        Map.of(
            "kind", "SURFACE",
            "name", "Tail wheel",
            "rightName", "",
            "role", "TAIL_WHEEL",
            "panel", "OTHER",
            "side", "CENTRE",
            "mirrored", false,
            "at", "fin");
    Answer answer = post("/api/edits/parts", Map.of("setup", biplane(), "wish", wish));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    JsonNode with = answer.json().get("setup");
    JsonNode added = with.get("surfaces").get(with.get("surfaces").size() - 1);
    assertThat(added.get("name").asText()).isEqualTo("Tail wheel");
    assertThat(with.get("servos").size()).isEqualTo(biplane().get("servos").size() + 1);
    assertThat(with.get("channels").size()).isEqualTo(biplane().get("channels").size() + 1);
    JsonNode without =
        post("/api/edits/parts/remove", Map.of("setup", with, "id", added.get("id").asText()))
            .json()
            .get("setup");
    assertThat(without).isEqualTo(asRead(biplane()));
    assertThat(post("/api/edits/parts/remove", Map.of("setup", biplane(), "id", "keel")).status())
        .isEqualTo(422);
  }

  /** The same setup as the program writes it: every number in one form. */
  private JsonNode asRead(JsonNode setup) throws Exception {
    return send(
            org.springframework.http.HttpMethod.POST,
            "/api/setup-files/read",
            org.springframework.http.MediaType.TEXT_PLAIN,
            setup.toString())
        .json();
  }

  @Test
  void twoChannelsBecomeOneOnlyWhereThatIsOffered() throws Exception {
    JsonNode proposed = post("/api/rig/map/proposal", Map.of("setup", biplane())).json();
    JsonNode sharing = proposed.get("sharing");
    Answer refused = post("/api/rig/map/share", Map.of("setup", biplane(), "keep", 1, "drop", 63));
    assertThat(refused.body()).contains("drop is 63; it must be one of the channels offered");
    if (!sharing.isEmpty()) {
      int keep = sharing.at("/0/keep").asInt();
      int drop = sharing.at("/0/drop").asInt();
      JsonNode shared =
          post("/api/rig/map/share", Map.of("setup", biplane(), "keep", keep, "drop", drop)).json();
      assertThat(shared.get("channels").size()).isEqualTo(biplane().get("channels").size() - 1);
    }
  }

  @Test
  void onItsOwnTransmitterAMovedModelStandsWhereItStood() throws Exception {
    ObjectNode setup = biplane();
    ObjectNode other = setup.get("transmitter").deepCopy();
    other.put("centreMicroseconds", 1520).put("clickStepPercent", 0.25);
    JsonNode moved = post("/api/rig/map/move", Map.of("setup", setup, "transmitter", other)).json();
    assertThat(moved.get("lines")).isNotEmpty();
    for (JsonNode line : moved.get("lines")) {
      assertThat(line.get("afterMm").asDouble())
          .as(line.toString())
          .isCloseTo(line.get("beforeMm").asDouble(), within(0.1));
    }
    assertThat(moved.get("largestMm").asDouble()).isLessThan(0.1);
  }

  @Test
  void whatWasChangedIsNotedWithItsChecksAndTickedOff() throws Exception {
    String at = newModel();
    Map<String, Object> change =
        Map.of("kind", "SERVO", "subject", "Elevator servo", "note", "stripped gear");
    JsonNode noted = post(at + "/part-changes", change).json();
    assertThat(noted.get("checks")).isNotEmpty();
    assertThat(noted.at("/checks/0/done").asBoolean()).isFalse();
    String path = at + "/part-changes/" + noted.get("id").asLong();
    JsonNode ticked = put(path, Map.of("check", 0, "done", true)).json();
    assertThat(ticked.at("/checks/0/done").asBoolean()).isTrue();
    assertThat(get(at + "/part-changes").json().get(0)).isEqualTo(ticked);
    assertThat(put(path, Map.of("check", 99, "done", true)).body())
        .contains("check is 99; it must be 0 to");
    String elsewhere = newModel() + "/part-changes/" + noted.get("id").asLong();
    assertThat(put(elsewhere, Map.of("check", 0, "done", true)).status()).isEqualTo(404);
  }

  @Test
  void aSetUpIsClosedAndWhatWasMeasuredStays() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/bench-set-up", Map.of("school", "ROD_FIRST")).json();
    Map<String, Object> answer =
        Map.of("step", "harmless", "choice", "propeller-off", "values", List.of());
    JsonNode moved = answered(at, open, "power", answer);
    assertThat(post(at + "/bench-set-up/close", Map.of("version", 99)).status()).isEqualTo(409);
    assertThat(
            post(at + "/bench-set-up/close", Map.of("version", moved.get("version").asInt()))
                .status())
        .isEqualTo(204);
    assertThat(get(at + "/bench-set-up").status()).isEqualTo(204);
    JsonNode measured = get(at + "/measurements").json();
    assertThat(measured.at("/0/step").asText()).isEqualTo("harmless");
    assertThat(measured.at("/0/choice").asText()).isEqualTo("propeller-off");
    assertThat(measured.at("/0/revisionNumber").asInt()).isEqualTo(1);
  }

  @Test
  void theSimulatedModelNeedsWhatItsFaultsMakeAndNothingIsStored() throws Exception {
    String at = newModel();
    Map<String, Object> none =
        Map.of("faults", List.of(), "cgMm", 105, "unsteady", false, "seed", 1);
    JsonNode straight = post(at + "/simulated-flight", none).json();
    assertThat(straight.at("/0/trims/pitch").asInt()).as("rigged to fly level").isZero();
    Map<String, Object> fault = Map.of("kind", "TAIL_INCIDENCE", "subject", "", "size", 0.5);
    Map<String, Object> faulty =
        Map.of("faults", List.of(fault), "cgMm", 105, "unsteady", false, "seed", 1);
    JsonNode pitched = post(at + "/simulated-flight", faulty).json();
    assertThat(pitched.at("/0/trims/pitch").asInt()).as("its tail lifts").isPositive();
    assertThat(pitched.at("/0/trims/roll")).isEqualTo(straight.at("/0/trims/roll"));
    Map<String, Object> lost = Map.of("kind", "HORN", "subject", "keel", "size", 5);
    Answer refused =
        post(
            at + "/simulated-flight",
            Map.of("faults", List.of(lost), "cgMm", 105, "unsteady", false, "seed", 1));
    assertThat(refused.json().at("/violations/0/field").asText()).isEqualTo("faults[0].subject");
    JsonNode practice = get(at + "/simulated-flight?cgMm=105&seed=2").json();
    assertThat(practice).isNotEmpty();
    assertThat(get(at + "/flights").json().get("total").asInt()).isZero();
  }

  @Test
  void aRevisionIsDownloadedUnderItsModelsName() throws Exception {
    String at = newModel();
    var response =
        http.perform(
                org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(
                    at + "/revisions/1/file"))
            .andReturn()
            .getResponse();
    assertThat(response.getHeader("Content-Disposition")).contains("Quillon-revision-1.json");
    assertThat(json.readTree(response.getContentAsString()))
        .isEqualTo(get(at).json().at("/newest/setup"));
  }

  @Test
  void everyFieldAPilotTypesHasALabelAndARange() throws Exception {
    JsonNode fields = get("/api/fields").json();
    assertThat(fields.findValuesAsText("path")).doesNotHaveDuplicates().hasSizeGreaterThan(100);
    for (JsonNode field : fields) {
      assertThat(field.get("label").asText()).as(field.toString()).isNotBlank();
      assertThat(field.get("min").asDouble()).isLessThanOrEqualTo(field.get("max").asDouble());
    }
  }

  private JsonNode answered(String at, JsonNode open, String goTo, Map<String, Object> answer)
      throws Exception {
    int version = open.get("version").asInt();
    Map<String, Object> moved =
        Map.of("version", version, "step", goTo, "answers", List.of(answer));
    return put(at + "/bench-set-up", moved).json();
  }
}
