package hightally.app.platform;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Bodies made from the published description of the API alone: what it says is legal, with whole
 * documents and the names in them taken from a demo model, so that most get past the first check.
 */
final class ApiBodies {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final List<String> WORDS =
      List.of(
          "elevator",
          "rudder",
          "upper-aileron-left",
          "flight",
          "roll",
          "pitch",
          "throttle",
          "s-elevator",
          "2026-09-05",
          "",
          "harmless",
          "CUBIC",
          "Quillon");

  private final JsonNode schemas;
  private final Map<String, JsonNode> whole;
  private final Random random;

  /**
   * @param whole schemas that are taken whole from a demo model instead of being made up
   */
  ApiBodies(JsonNode api, Map<String, JsonNode> whole, Random random) {
    schemas = api.at("/components/schemas");
    this.whole = whole;
    this.random = random;
  }

  /** The parts of a demo setup under the names of their schemas. */
  static Map<String, JsonNode> parts(ObjectNode setup, ObjectMapper json) {
    ObjectNode moment =
        json.createObjectNode()
            .put("roll", 0.4)
            .put("pitch", -0.2)
            .put("yaw", 0)
            .put("throttle", 0.3)
            .put("throttleCut", false);
    moment.set("trims", setup.get("trims"));
    moment.putArray("inputs");
    moment
        .putObject("readings")
        .put("linkPercent", 100)
        .put("voltage", 12)
        .<ObjectNode>set("timerSeconds", json.createArrayNode())
        .putArray("truths");
    return Map.of(
        "Setup",
        setup,
        "Transmitter",
        setup.get("transmitter"),
        "Moment",
        moment,
        "FlightReport",
        JsonNodeFactory.instance.objectNode());
  }

  JsonNode of(JsonNode schema) {
    return of(schema, 0);
  }

  private JsonNode of(JsonNode schema, int depth) {
    JsonNode ref = schema.get("$ref");
    if (ref != null) {
      String name = ref.asText().substring(ref.asText().lastIndexOf('/') + 1);
      JsonNode part = whole.get(name);
      return part != null && !part.isEmpty() ? part.deepCopy() : of(schemas.get(name), depth + 1);
    }
    if (schema.has("anyOf")) {
      return of(schema.get("anyOf").get(0), depth + 1);
    }
    if (schema.has("enum")) {
      return schema.get("enum").get(random.nextInt(schema.get("enum").size()));
    }
    return switch (type(schema)) {
      case "object" -> object(schema, depth);
      case "array" -> array(schema, depth);
      case "integer" -> NODES.numberNode((long) Math.rint(number(schema)));
      case "number" -> NODES.numberNode(number(schema));
      case "boolean" -> NODES.booleanNode(random.nextBoolean());
      default -> NODES.textNode(WORDS.get(random.nextInt(WORDS.size())));
    };
  }

  private static String type(JsonNode schema) {
    JsonNode type = schema.path("type");
    return type.isArray() ? type.get(0).asText() : type.asText("string");
  }

  private double number(JsonNode schema) {
    double low = schema.path("minimum").asDouble(0);
    double high = schema.path("maximum").asDouble(Math.max(low, 3));
    return Math.rint(10 * (low + random.nextDouble() * (high - low))) / 10;
  }

  private ObjectNode object(JsonNode schema, int depth) {
    ObjectNode made = NODES.objectNode();
    schema
        .path("properties")
        .properties()
        .forEach(one -> made.set(one.getKey(), of(one.getValue(), depth + 1)));
    return made;
  }

  private ArrayNode array(JsonNode schema, int depth) {
    ArrayNode made = NODES.arrayNode();
    for (int i = depth > 6 ? 0 : random.nextInt(3); i > 0; i--) {
      made.add(of(schema.get("items"), depth + 1));
    }
    return made;
  }
}
