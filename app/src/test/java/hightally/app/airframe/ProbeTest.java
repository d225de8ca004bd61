package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import org.junit.jupiter.api.Test;

/** What a rig is, found out over HTTP. */
class ProbeTest extends ApiTest {
  /** The elevator's servo turns the other way: its channel is reversed, its servo noted. */
  @Test
  void anElevatorThatGoesTheOtherWayIsOneChannelToReverse() throws Exception {
    ObjectNode asked = asked("kinds/tailed-two-aileron-servos.json");
    JsonNode told = answered(asked, true);
    assertThat(told.get("stage").asText()).isEqualTo("MENDING");
    assertThat(told.get("changes")).hasSize(1);
    assertThat(told.at("/changes/0/change/part").asText()).isEqualTo("CHANNEL_SIGN");
    assertThat(told.at("/changes/0/words").asText()).startsWith("Reverse channel 2, ");
    assertThat(told.get("notes")).hasSize(2);

    JsonNode mended = post("/api/rig/probe/mended", asked).json();
    JsonNode setup = mended.get("setup");
    assertThat(reversed(setup, 2)).isNotEqualTo(reversed(asked.get("setup"), 2));
    assertThat(pulls(setup, 2)).isNotEqualTo(pulls(asked.get("setup"), 2));
    int kept = mended.get("answers").size();
    assertThat(kept).isEqualTo(asked.get("answers").size() - 1);

    asked.set("setup", setup);
    asked.set("answers", mended.get("answers"));
    told = answered(asked, false);
    assertThat(told.get("stage").asText()).isEqualTo("AGREED");
    assertThat(asked.get("answers")).hasSize(kept + 1);
  }

  private static boolean reversed(JsonNode setup, int number) {
    for (JsonNode channel : setup.get("channels")) {
      if (channel.get("number").asInt() == number) {
        return channel.get("reversed").asBoolean();
      }
    }
    throw new AssertionError("no channel " + number);
  }

  private static boolean pulls(JsonNode setup, int channel) {
    for (JsonNode servo : setup.get("servos")) {
      if (servo.get("channel").asInt() == channel) {
        return servo.get("pullsOnIncrease").asBoolean();
      }
    }
    throw new AssertionError("no servo on " + channel);
  }

  @Test
  void anAnswerToNoLookOrAboutNoSurfaceIsRefusedByItsField() throws Exception {
    ObjectNode asked = asked("kinds/elevons.json");
    ObjectNode answer = json.createObjectNode().put("look", "stick/nose");
    answer.putArray("seen");
    ((ArrayNode) asked.get("answers")).add(answer);
    Answer refused = post("/api/rig/probe", asked);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("answers[0].look", "stick/nose", "stick/roll");

    answer.put("look", "stick/roll");
    answer.putArray("seen").addObject().put("surface", "beak").put("way", 1);
    refused = post("/api/rig/probe", asked);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("answers[0].seen[0].surface", "beak");

    answer.putArray("seen").addObject().put("surface", "beak").put("way", 2);
    refused = post("/api/rig/probe", asked);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("answers[0].seen[0].way");
  }

  @Test
  void whatNoRigCanDoIsAskedAgain() throws Exception {
    ObjectNode asked = asked("kinds/tailed-two-aileron-servos.json");
    ObjectNode answer = ((ArrayNode) asked.get("answers")).addObject();
    answer.put("look", "motor/motor");
    answer.putArray("seen").addObject().put("surface", "elevator").put("way", 1);
    JsonNode told = post("/api/rig/probe", asked).json();
    assertThat(told.get("stage").asText()).isEqualTo("CONTRADICTED");
    assertThat(told.at("/next/look/id").asText()).isEqualTo("motor/motor");
    assertThat(told.get("words").asText()).contains(told.at("/next/title").asText());
  }

  private ObjectNode asked(String file) throws Exception {
    ObjectNode asked = json.createObjectNode();
    asked.set("setup", json.readTree(resource(file)));
    asked.putArray("answers");
    return asked;
  }

  /** Looked at until nothing is to be looked at any more. */
  private JsonNode answered(ObjectNode asked, boolean turned) throws Exception {
    JsonNode told = post("/api/rig/probe", asked).json();
    for (int looks = 0; told.get("stage").asText().equals("LOOKING"); looks++) {
      assertThat(looks).isLessThan(12);
      assertThat(told.at("/next/instruction").asText()).isNotEmpty();
      assertThat(told.at("/next/lines")).isNotEmpty();
      answer(asked, told.at("/next/look"), turned);
      told = post("/api/rig/probe", asked).json();
    }
    return told;
  }

  /** What is drawn, the elevator turned round or not. */
  private static void answer(ObjectNode asked, JsonNode look, boolean turned) {
    ObjectNode answer = ((ArrayNode) asked.get("answers")).addObject();
    answer.put("look", look.get("id").asText());
    ArrayNode seen = answer.putArray("seen");
    for (JsonNode drawn : look.get("picture")) {
      String surface = drawn.get("surface").asText();
      int way = drawn.get("way").asInt();
      boolean other = turned && surface.equals("elevator");
      seen.addObject().put("surface", surface).put("way", other ? -way : way);
    }
  }
}
