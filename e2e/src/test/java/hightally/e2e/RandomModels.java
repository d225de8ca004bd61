package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Models of every kind with a program at random: phases, presets, differential, rates, endpoints,
 * sub-trims, limits, directions, trims, and whatever mixes the gallery has for them; the same for
 * the same seed.
 */
final class RandomModels {
  private static final ObjectMapper JSON = new ObjectMapper();

  private final RunningApp app;
  private final Random random;
  private ObjectNode setup;

  private RandomModels(RunningApp app, long seed) {
    this.app = app;
    random = new Random(seed);
  }

  /** A model stored in the hangar; its number. */
  static long stored(RunningApp app, JsonNode kind, long seed) {
    RandomModels made = new RandomModels(app, seed);
    made.setup = kind.deepCopy();
    made.setup.put("name", "Random " + seed);
    made.phases();
    made.mixes();
    made.figures();
    ObjectNode body = JSON.createObjectNode().put("reason", "At random");
    body.set("setup", made.setup);
    return Models.call(app, "POST", "api/aircraft", body).get("id").asLong();
  }

  private void edited(String path, ObjectNode body) {
    body.set("setup", setup);
    setup = (ObjectNode) Models.call(app, "POST", path, body).get("setup");
  }

  private void phases() {
    List<String> switches = new ArrayList<>();
    for (JsonNode input : setup.at("/transmitter/inputs")) {
      if (input.get("positions").asInt() == 3) {
        switches.add(input.get("id").asText());
      }
    }
    if (setup.get("phases").size() == 1 && switches.size() > 1 && random.nextInt(4) > 0) {
      String way = random.nextBoolean() ? "START_CRUISE_LANDING" : "SPEED_CRUISE_THERMALS_LANDING";
      edited(
          "api/edits/phases/start",
          JSON.createObjectNode()
              .put("way", way)
              .put("first", switches.get(0))
              .put("second", switches.get(1)));
    }
    for (JsonNode phase : setup.get("phases")) {
      ArrayNode presets = ((ObjectNode) phase).putArray("presets");
      ArrayNode differential = ((ObjectNode) phase).putArray("differential");
      for (JsonNode surface : setup.get("surfaces")) {
        String id = surface.get("id").asText();
        if (random.nextInt(3) == 0) {
          presets.addObject().put("surface", id).put("percent", tenths(-25, 25));
        }
        if (surface.at("/shares/roll").asDouble() != 0 && random.nextBoolean()) {
          differential.addObject().put("surface", id).put("percent", tenths(-20, 70));
        }
      }
    }
  }

  private void mixes() {
    ObjectNode asked = JSON.createObjectNode();
    asked.set("setup", setup);
    String lever = "";
    for (JsonNode input : setup.at("/transmitter/inputs")) {
      lever = input.get("kind").asText().equals("LEVER") ? input.get("id").asText() : lever;
    }
    for (JsonNode card : Models.call(app, "POST", "api/program/gallery", asked)) {
      // What must be arranged first is refused until it is.
      boolean arranged = card.get("note").asText().isEmpty();
      if (random.nextInt(3) == 0 && arranged) {
        JsonNode phase = setup.get("phases").get(random.nextInt(setup.get("phases").size()));
        ObjectNode body = JSON.createObjectNode();
        body.put("recipe", card.get("recipe").asText()).put("percent", tenths(-30, 30));
        body.put("preset", "").put("when", "");
        body.put("lever", card.get("needsLever").asBoolean() ? lever : "");
        ArrayNode phases = body.putArray("phases");
        if (random.nextBoolean()) {
          phases.add(phase.get("id").asText());
        }
        edited("api/edits/mixes", body);
      }
    }
  }

  private void figures() {
    for (String control : List.of("roll", "pitch", "yaw")) {
      ObjectNode feel = (ObjectNode) setup.at("/feel/" + control);
      for (String side : List.of("Positive", "Negative")) {
        feel.put("rate" + side + "Percent", tenths(50, 110));
        feel.put("expo" + side + "Percent", tenths(-20, 70));
      }
      ((ObjectNode) setup.get("trims")).put(control, random.nextInt(21) - 10);
    }
    for (JsonNode one : setup.get("channels")) {
      ObjectNode channel = (ObjectNode) one;
      if (!channel.get("carries").asText().equals("throttle")) {
        channel.put("subTrimMicroseconds", random.nextInt(81) - 40);
        channel.put("endpointLowPercent", tenths(70, 120));
        channel.put("endpointHighPercent", tenths(70, 120));
        channel.put("reversed", random.nextInt(4) == 0);
        channel.put("limitHighPercent", random.nextInt(4) == 0 ? tenths(60, 110) : 0);
      }
    }
  }

  private double tenths(int from, int to) {
    return from + random.nextInt(10 * (to - from) + 1) / 10.0;
  }
}
