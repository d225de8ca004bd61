package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** Wrong input is refused with the place, the value and the range; nothing is changed by it. */
class BadInputTest extends ApiTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          /surfaces/0/chordMm           | -52    | surfaces[0].chordMm           | 5 to 600 mm
          /surfaces/2/rod/linkage/armRadiusMm | 0 | surfaces[2].rod.linkage.armRadiusMm | 1 to 150 mm
          /transmitter/stickMode        | 5      | transmitter.stickMode         | 1 to 4
          /feel/pitch/expoPositivePercent | 101  | feel.pitch.expoPositivePercent | −50 to 100 %
          /servos/0/channel             | 3      | servos[0].channel             | a channel that carries a surface
          /channels/1/carries           | "wing" | channels[1].carries           | a surface's id, an input's id, or throttle
          /surfaces/4/rod/driverId      | "none" | surfaces[4].rod.driverId      | a servo's id
          /surfaces/0/chordMm           | "52"   | surfaces[0].chordMm           | a number
          /trims/roll                   | 2.5    | trims.roll                    | a whole number
          /feel/yaw/shape               | "ROUND" | feel.yaw.shape               | one of [CUBIC, SQUARE, EXPONENTIAL]
          /servos/0/centrePulseMicroseconds | null | servos[0].centrePulseMicroseconds | a number
          /formatVersion                | 11     | formatVersion                 | written by a newer High Tally
          /phases/0/when                | "gone" | phases[0].when                | a condition's id
          /power/curves/0/points        | [{"x":0,"y":0},{"x":0,"y":5}] | power.curves[0].points[1].x | more than 0
          /power/cutWhen                | "gone" | power.cutWhen                 | a condition's id
          /servos/0/seating/teeth       | 0      | servos[0].seating.teeth       | 1 to 120
          /surfaces/0/rod/adjustedMm    | -29    | surfaces[0].rod.adjustedMm    | a pushrod that connects both holes
          /surfaces/0/chordMm           | -5     | surfaces[0].chordMm           | 5 to 600 mm
          /wiring/leads/0/device        | "gone" | wiring.leads[0].device        | the id of a servo, a motor
          /airframe/motors/0/channel    | 1      | airframe.motors[0].channel    | a channel that carries the throttle
          /contacts/0/second            | "nose" | contacts[0].second            | a surface's id
          /balance/aftmostMm            | 10     | balance.aftmostMm             | at least the wanted point
          /transmitter/channelOrder     | ["ROLL","ROLL","YAW","PITCH"] | transmitter.channelOrder | each of the four stick functions once
          """)
  void aSetupFileIsRefusedWithThePlaceThatIsWrong(
      String pointer, String value, String field, String requirement) throws Exception {
    ObjectNode document = biplane();
    int last = pointer.lastIndexOf('/');
    JsonNode parent = document.at(pointer.substring(0, last));
    ((ObjectNode) parent).set(pointer.substring(last + 1), json.readTree(value));
    Answer answer = readFile(document.toString());
    assertThat(answer.status()).isEqualTo(422);
    JsonNode violation = answer.json().at("/violations/0");
    assertThat(violation.get("field").asText()).isEqualTo(field);
    assertThat(violation.get("requirement").asText()).contains(requirement);
  }

  @Test
  void halfAFileAMissingPartAnUnknownPartAndNoSetupAtAll() throws Exception {
    String whole = biplane().toString();
    assertThat(readFile(whole.substring(0, whole.length() / 2)).json().at("/violations/0/field"))
        .asString()
        .contains("line 1, column");
    ObjectNode missing = biplane();
    ((ObjectNode) missing.at("/surfaces/1/rod")).remove("end");
    assertThat(readFile(missing.toString()).body())
        .contains("surfaces[1].rod.end is missing; it must be given.");
    ObjectNode unknown = biplane();
    unknown.put("colour", "red");
    assertThat(readFile(unknown.toString()).body()).contains("colour is not known");
    assertThat(readFile("{\"hello\": 1}").body()).contains("is this a High Tally setup?");
    assertThat(readFile("just words").status()).isEqualTo(422);
    assertThat(readFile(" ".repeat(1_000_001)).body()).contains("at most 1,000,000");
  }

  @Test
  void yamlReadsTheSame() throws Exception {
    String yaml =
        new com.fasterxml.jackson.dataformat.yaml.YAMLMapper().writeValueAsString(biplane());
    assertThat(readFile(yaml).json()).isEqualTo(readFile(biplane().toString()).json());
  }

  @Test
  void aRefusedSaveChangesNothing() throws Exception {
    JsonNode before = get("/api/aircraft/1").json();
    ObjectNode wrong = biplane();
    wrong.put("name", "");
    Answer answer =
        post("/api/aircraft/1/revisions", Map.of("basedOn", 3, "reason", "A slip", "setup", wrong));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body()).contains("name is “”; it must be a text of 1 to 60 characters");
    assertThat(get("/api/aircraft/1").json()).isEqualTo(before);
  }

  @Test
  void theSecondOfTwoPagesIsToldAndNothingIsLost() throws Exception {
    long id =
        post("/api/aircraft", Map.of("reason", "Two pages", "setup", biplane()))
            .json()
            .get("id")
            .asLong();
    String path = "/api/aircraft/" + id + "/revisions";
    Map<String, Object> change = Map.of("basedOn", 1, "reason", "First", "setup", biplane());
    assertThat(post(path, change).status()).isEqualTo(201);
    Answer second = post(path, change);
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.body()).contains("revision 2 has been saved since");
    assertThat(get(path).json().get("items")).hasSize(2);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          linkage   | {"linkage": {"armRadius": -1, "hornRadius": 12, "rodLength": 100}, "arm": [0]} | linkage.armRadius
          linkage   | {"linkage": {"armRadius": 12, "rodLength": 100}, "arm": [0]}                   | linkage.hornRadius
          linkage   | {"linkage": {"armRadius": 12, "hornRadius": 12, "rodLength": 100}, "arm": [400]} | arm[0]
          response  | {"ratePositive": 151, "rateNegative": 100, "stick": [0]}                       | ratePositive
          response  | {"ratePositive": 100, "rateNegative": 100, "stick": [1.2]}                     | stick[0]
          response  | {"ratePositive": 100, "rateNegative": 100, "expoPositive": 100, "shape": "EXPONENTIAL", "stick": [0]} | expoPositive
          output    | {"command": [0]}                                                               | output
          linkage   | null | document
          armSeating | {"teeth": 0, "arms": 4, "wanted": 3}                                          | teeth
          balance   | {"totalMass": 900, "batteryMass": 0, "cgNow": 80, "cgWanted": 85, "ballastAt": 10} | batteryMass
          balance   | {"totalMass": 900, "batteryMass": 90, "cgNow": 80, "cgWanted": 85, "ballastAt": 85} | ballastAt
          washer    | {"angle": 2, "boltSpacing": -30}                                               | boltSpacing
          rodChange | []                                                                             | document
          """)
  void calculationsNameTheFieldTheyRefuse(String kind, String given, String field)
      throws Exception {
    Answer answer = send(HttpMethod.POST, "/api/calc/" + kind, MediaType.APPLICATION_JSON, given);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().at("/violations/0/field").asText()).isEqualTo(field);
  }

  @Test
  void flightsBeyondTheTransmitterOrFromTheFutureAreRefused() throws Exception {
    assertThat(flight("trims", Map.of("roll", 61, "pitch", 0, "yaw", 0)).body())
        .contains("trims.roll is 61; it must be -60 to 60 clicks");
    assertThat(flight("flownOn", "2999-01-01").body()).contains("flownOn is 2999-01-01");
    assertThat(flight("flownOn", "yesterday").body()).contains("report.flownOn is yesterday");
    assertThat(flight("wind", "GALE").body()).contains("one of [CALM, LIGHT, FRESH, STRONG]");
  }

  @Test
  void whatIsNotThereIsNotFound() throws Exception {
    assertThat(
            List.of(
                get("/api/aircraft/999").status(),
                get("/api/aircraft/1/revisions/99/file").status(),
                get("/api/aircraft/1/flights/99/adjustment").status(),
                get("/api/nothing").status()))
        .containsOnly(404);
    assertThat(get("/api/aircraft/one").status()).isEqualTo(400);
  }

  private Answer flight(String field, Object value) throws Exception {
    ObjectNode report =
        (ObjectNode) get("/api/aircraft/1/flights").json().at("/items/0/report").deepCopy();
    report.set(field, json.valueToTree(value));
    return post("/api/aircraft/1/flights", Map.of("revisionNumber", 3, "report", report));
  }

  private Answer readFile(String text) throws Exception {
    return send(HttpMethod.POST, "/api/setup-files/read", MediaType.TEXT_PLAIN, text);
  }
}
