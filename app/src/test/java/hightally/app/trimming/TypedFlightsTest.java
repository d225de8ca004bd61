package hightally.app.trimming;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * The coach counts a flight with what stood in the transmitter, not with what was to stand there.
 */
class TypedFlightsTest extends Pilot {
  private String model;
  private int day;

  private void tickAll() throws Exception {
    JsonNode setup = get(model).json().at("/newest/setup");
    String transmitter = setup.at("/transmitter/name").asText();
    Map<String, Object> asked = Map.of("setup", setup, "transmitter", setup.get("transmitter"));
    ArrayNode all = json.createArrayNode();
    for (JsonNode one : post(model + "/entry-sheet", asked).json().get("entries")) {
      all.addObject()
          .put("transmitter", transmitter)
          .put("key", one.get("key").asText())
          .put("data", one.get("data").asText())
          .put("readBack", false);
    }
    assertThat(put(model + "/entered", all).status()).isEqualTo(200);
  }

  private void knifeEdge(int revision, String... outcomes) throws Exception {
    ObjectNode seen = json.createObjectNode().put("check", 0).put("despite", "");
    ObjectNode result = seen.putArray("results").addObject();
    result.put("test", "KNIFE_EDGE").put("part", "");
    ArrayNode all = result.putArray("seen");
    for (String outcome : outcomes) {
      all.addObject().put("outcome", outcome).put("strength", 2).put("turn", "BOTH");
    }
    ObjectNode report = report(0, 0, 0).put("flownOn", "2026-09-0" + ++day);
    Map<String, Object> flight = Map.of("revisionNumber", revision, "report", report, "seen", seen);
    assertThat(post(model + "/flights/flown", flight).status()).isEqualTo(201);
  }

  private String state() throws Exception {
    for (JsonNode one : get(model + "/coach").json().at("/plan/tests")) {
      if (one.at("/test/test").asText().equals("KNIFE_EDGE")) {
        return one.get("state").asText();
      }
    }
    throw new AssertionError("no knife edge");
  }

  private void mixTo(double percent) throws Exception {
    assertThat(revise(model, "/mixes/0", "weightPlusPercent", percent).status()).isEqualTo(201);
    assertThat(revise(model, "/mixes/0", "weightMinusPercent", -percent).status()).isEqualTo(201);
  }

  @Test
  void aFlightWithTheChangeNotTypedSaysNothingOfTheChange() throws Exception {
    model = newModel();
    tickAll();
    knifeEdge(1, "TO_BELLY");
    assertThat(state()).isEqualTo("CHANGE");
    mixTo(6.5);
    // Flown with the mix as it was: right once, in whatever air, but the new one was not in it.
    knifeEdge(3);
    assertThat(state()).isEqualTo("VOID");
    tickAll();
    assertThat(state()).as("typed after the flight").isEqualTo("VOID");
    knifeEdge(3);
    assertThat(state()).isEqualTo("STANDS");
  }

  @Test
  void whoeverNeverTicksFliesWhatIsSaved() throws Exception {
    model = newModel();
    knifeEdge(1, "TO_BELLY");
    mixTo(6.5);
    knifeEdge(3);
    assertThat(state()).isEqualTo("STANDS");
  }

  @Test
  void whatWasTickedAfterAFlightSaysNothingAgainstIt() throws Exception {
    model = newModel();
    mixTo(6.5);
    knifeEdge(3);
    tickAll();
    assertThat(state()).isEqualTo("STANDS");
  }
}
