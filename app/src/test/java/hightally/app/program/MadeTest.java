package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A change is made when it is ticked as typed, with before and after and a way back. */
class MadeTest extends Pilot {
  private String model;
  private String transmitter;

  private JsonNode sheet() throws Exception {
    JsonNode setup = get(model).json().at("/newest/setup");
    transmitter = setup.at("/transmitter/name").asText();
    return post(
            model + "/entry-sheet", Map.of("setup", setup, "transmitter", setup.get("transmitter")))
        .json()
        .get("entries");
  }

  private void tick(JsonNode... entries) throws Exception {
    ArrayNode all = json.createArrayNode();
    for (JsonNode one : entries) {
      all.addObject()
          .put("transmitter", transmitter)
          .put("key", one.get("key").asText())
          .put("data", one.get("data").asText())
          .put("readBack", false);
    }
    assertThat(put(model + "/entered", all).status()).isEqualTo(200);
  }

  private JsonNode made() throws Exception {
    return get(model + "/made").json();
  }

  private boolean lacksTyping() throws Exception {
    JsonNode grounding = get(model).json().get("grounding");
    return grounding.get("missing").toString().contains("NOT_TYPED");
  }

  private void saveRate(double percent) throws Exception {
    JsonNode standing = get(model).json();
    ObjectNode setup = (ObjectNode) standing.at("/newest/setup");
    ((ObjectNode) setup.at("/feel/roll")).put("ratePositivePercent", percent);
    assertThat(
            post(
                    model + "/revisions",
                    Map.of(
                        "basedOn",
                        standing.at("/newest/number").asInt(),
                        "reason",
                        "another rate",
                        "setup",
                        setup))
                .status())
        .isEqualTo(201);
  }

  private JsonNode rate() throws Exception {
    for (JsonNode one : sheet()) {
      if (one.get("what").asText().equals("roll, rate")) {
        return one;
      }
    }
    throw new AssertionError("no rate on the sheet");
  }

  @Test
  void itIsMadeWhenItIsTickedAndNotWhenARevisionIsSaved() throws Exception {
    model = newModel();
    assertThat(lacksTyping()).as("nothing was ever ticked here").isFalse();
    JsonNode sheet = sheet();
    tick(
        java.util.stream.StreamSupport.stream(sheet.spliterator(), false).toArray(JsonNode[]::new));
    assertThat(made()).as("a first entry is no change").isEmpty();
    assertThat(lacksTyping()).isFalse();
    String before = rate().get("value").asText();

    saveRate(71);
    assertThat(made()).as("a revision changes nothing on the model").isEmpty();
    assertThat(lacksTyping()).as("The model flies with what is in the transmitter").isTrue();
    JsonNode open = rate();
    assertThat(open.get("before").asText()).isEqualTo(before);

    tick(open);
    assertThat(lacksTyping()).isFalse();
    JsonNode change = made().get(0);
    assertThat(made()).hasSize(1);
    assertThat(change.get("where").asText()).isEqualTo("TRANSMITTER");
    assertThat(change.get("before").asText()).isEqualTo(before);
    assertThat(change.get("after").asText()).contains("71 %");

    // The way back: what stood there stands there again, and the sheet asks for the change anew.
    long id = change.get("id").asLong();
    post(model + "/typed-changes/" + id + "/back", Map.of());
    assertThat(made()).hasSize(2);
    assertThat(made().get(0).get("after").asText()).isEqualTo(before);
    assertThat(made().get(0).get("back").asBoolean()).isTrue();
    assertThat(made().get(1).get("back").asBoolean()).as("only the last").isFalse();
    assertThat(rate().get("before").asText()).isEqualTo(before);
    assertThat(lacksTyping()).isTrue();
  }

  @Test
  void aTickTakenBackLeavesWhatStoodThere() throws Exception {
    model = newModel();
    tick(rate());
    String before = rate().get("value").asText();
    saveRate(64);
    tick(rate());
    ObjectNode none = (ObjectNode) rate();
    none.put("data", "");
    tick(none);
    assertThat(rate().get("before").asText()).isEqualTo(before);
    assertThat(made()).isEmpty();
  }
}
