package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** What was typed into transmitters, and what differs between two setups. */
class EntryAndDifferenceTest extends ApiTest {
  private ObjectNode glider() throws Exception {
    return (ObjectNode) json.readTree(resource("demo/larkmere.json"));
  }

  private JsonNode entry(JsonNode sheet, String key) {
    for (JsonNode one : sheet.get("entries")) {
      if (one.get("key").asText().equals(key)) {
        return one;
      }
    }
    throw new AssertionError("no entry " + key);
  }

  private JsonNode sheet(JsonNode setup, JsonNode transmitter) throws Exception {
    return post("/api/aircraft/2/entry-sheet", Map.of("setup", setup, "transmitter", transmitter))
        .json();
  }

  @Test
  void theSheetSpeaksTheTransmittersWordsAndRemembersWhatWasEntered() throws Exception {
    ObjectNode setup = glider();
    ObjectNode word = ((ObjectNode) setup.get("transmitter")).withArray("words").addObject();
    word.put("section", "SUB_TRIM").put("name", "Centre point").put("menu", "Outputs");
    word.put("unit", "steps").put("perUnit", 0.25);
    ((ObjectNode) setup.at("/channels/0")).put("subTrimMicroseconds", 14);
    JsonNode sheet = sheet(setup, setup.get("transmitter"));
    JsonNode first = sheet.get("entries").get(0);
    assertThat(first.get("menu").asText()).isEqualTo("Outputs: Centre point");
    assertThat(first.get("value").asText()).isEqualTo("3.5 steps");
    assertThat(first.get("before").asText()).isEmpty();

    String name = setup.at("/transmitter/name").asText();
    String key = first.get("key").asText();
    String ticked =
        json.writeValueAsString(
            List.of(
                Map.of(
                    "transmitter",
                    name,
                    "key",
                    key,
                    "data",
                    first.get("data").asText(),
                    "readBack",
                    false)));
    send(HttpMethod.PUT, "/api/aircraft/2/entered", MediaType.APPLICATION_JSON, ticked);
    ((ObjectNode) setup.at("/channels/0")).put("subTrimMicroseconds", 16);
    JsonNode after = entry(sheet(setup, setup.get("transmitter")), key);
    assertThat(after.get("before").asText()).isEqualTo("3.5 steps");
    assertThat(after.get("value").asText()).isEqualTo("4 steps");
  }

  @Test
  void aSecondTransmitterGetsItsOwnSheetOfTheSameDesign() throws Exception {
    JsonNode setup = glider();
    ObjectNode other = setup.get("transmitter").deepCopy();
    other.put("name", "Second").put("centreMicroseconds", 1520).put("clickStepPercent", 0.8);
    JsonNode sheet = sheet(setup, other);
    assertThat(sheet.get("transmitter").asText()).isEqualTo("Second");
    assertThat(entry(sheet, "channel-1/sub-trim").get("value").asText()).isEqualTo("−20 µs");
    // 7 clicks of 0.4 % are 3.5 of 0.8 %: whole clicks are typed, the rest is a preset.
    assertThat(entry(sheet, "phase-thermal-2/trim-pitch").get("value").asText())
        .isEqualTo("4 clicks");
  }

  @Test
  void whatDiffersIsNamedInWordsAndMillimetres() throws Exception {
    JsonNode before = glider();
    ObjectNode after = before.deepCopy();
    ((ObjectNode) after.at("/surfaces/0")).put("chordMm", 60);
    after.withArray("mixes").remove(0);
    JsonNode found =
        post("/api/setups/difference", Map.of("before", before, "after", after)).json();
    assertThat(found.get("values").findValuesAsText("what")).contains("Brakes");
    JsonNode chord = found.get("values").get(0);
    assertThat(chord.get("place").asText()).isEqualTo("surfaces, Left aileron");
    assertThat(chord.get("after").asText()).isEqualTo("60 mm");
    assertThat(found.get("movements").findValuesAsText("surface"))
        .contains("Left aileron", "Left flap");
  }
}
