package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** Every mend that is offered for models spoilt at random, made through the API. */
class MendsApiTest extends ApiTest {
  /** {@code -Dmends=500} for the long run. */
  private static final int SETUPS = Integer.getInteger("mends", 24);

  private static final List<String> MODELS =
      List.of(
          "demo/brindle",
          "demo/larkmere",
          "demo/quillon",
          "demo/skerrow",
          "kinds/elevons-motor",
          "kinds/v-tail-flaps",
          "kinds/tailed-two-aileron-servos",
          "kinds/twin-motor");

  private static void put(ObjectNode where, String field, double value) {
    where.put(field, Math.rint(value * 10) / 10);
  }

  /** Some figures of it otherwise than they should be, within their ranges. */
  private static void spoil(ObjectNode setup, Random random) {
    for (JsonNode channel : setup.get("channels")) {
      if (random.nextInt(3) == 0) {
        put((ObjectNode) channel, "endpointLowPercent", 50 + random.nextInt(80));
      }
      if (random.nextInt(5) == 0) {
        put((ObjectNode) channel, "subTrimMicroseconds", random.nextInt(160) - 80);
      }
    }
    for (JsonNode surface : setup.get("surfaces")) {
      ObjectNode linkage = (ObjectNode) surface.at("/rod/linkage");
      if (random.nextInt(3) == 0) {
        put(linkage, "armLeanDegrees", random.nextInt(24) - 12);
      }
    }
    for (JsonNode mix : setup.get("mixes")) {
      if (random.nextInt(3) == 0) {
        put((ObjectNode) mix, "weightPlusPercent", random.nextInt(160) - 80);
      }
    }
    if (random.nextInt(2) == 0) {
      ((ObjectNode) setup.get("power")).put("cutPercent", random.nextInt(200) - 100);
    }
  }

  private Map<String, JsonNode> offers(JsonNode setup) throws Exception {
    Map<String, JsonNode> offers = new TreeMap<>();
    for (JsonNode one : post("/api/program/mends", Map.of("setup", setup)).json()) {
      offers.put(one.get("id").asText() + "/" + one.get("subject").asText(), one);
    }
    return offers;
  }

  @Test
  void eachIsGoneAndNothingIsNew() throws Exception {
    int mends = 0;
    int faults = 0;
    for (int seed = 0; seed < SETUPS; seed++) {
      Random random = new Random(seed);
      ObjectNode setup =
          (ObjectNode) json.readTree(resource(MODELS.get(random.nextInt(MODELS.size())) + ".json"));
      spoil(setup, random);
      Map<String, JsonNode> before = offers(setup);
      faults += before.size();
      for (Map.Entry<String, JsonNode> offer : before.entrySet()) {
        JsonNode one = offer.getValue();
        assertThat(one.get("hand").asText().isEmpty()).isEqualTo(!one.get("mends").isEmpty());
        for (JsonNode mend : one.get("mends")) {
          mends++;
          JsonNode made =
              post("/api/edits/mend", Map.of("setup", setup, "edits", mend.get("edits")))
                  .json()
                  .get("setup");
          Set<String> after = new TreeSet<>(offers(made).keySet());
          assertThat(after).as("seed " + seed).doesNotContain(offer.getKey());
          assertThat(before.keySet()).as("seed " + seed).containsAll(after);
          JsonNode moves =
              post("/api/setups/difference", Map.of("before", setup, "after", made))
                  .json()
                  .get("movements");
          assertThat(mend.get("moves")).as("what moves is told").isEqualTo(moves);
        }
      }
    }
    assertThat(mends).isGreaterThan(SETUPS / 2);
    assertThat(faults).isGreaterThan(mends / 4);
  }
}
