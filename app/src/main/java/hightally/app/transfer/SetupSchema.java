package hightally.app.transfer;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;

/** The published JSON Schema of a setup file, read off the core's own statements. */
public final class SetupSchema {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private final ObjectNode definitions = JSON.objectNode();

  private SetupSchema() {}

  /** The schema as text. */
  public static String text() {
    SetupSchema schema = new SetupSchema();
    ObjectNode root = JSON.objectNode();
    root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    root.put("title", "High Tally setup, format version " + Setup.FORMAT_VERSION);
    root.setAll(schema.record(Setup.class));
    root.set("$defs", schema.definitions);
    return new ObjectMapper().valueToTree(root).toPrettyString() + "\n";
  }

  private ObjectNode record(Class<?> type) {
    ObjectNode node = JSON.objectNode().put("type", "object").put("additionalProperties", false);
    ArrayNode required = node.putArray("required");
    ObjectNode properties = node.putObject("properties");
    for (RecordComponent component : type.getRecordComponents()) {
      required.add(component.getName());
      properties.set(component.getName(), component(component));
    }
    return node;
  }

  private static boolean listed(RecordComponent component) {
    return component.getGenericType() instanceof ParameterizedType;
  }

  private ObjectNode component(RecordComponent component) {
    Within within = component.getAnnotation(Within.class);
    Text text = component.getAnnotation(Text.class);
    if (within != null && listed(component)) {
      return list(number(within, false));
    }
    if (within != null) {
      return number(within, component.getType() == int.class);
    }
    if (text != null) {
      return text(text);
    }
    return type(component.getType(), component.getGenericType());
  }

  private static ObjectNode list(ObjectNode items) {
    ObjectNode node = JSON.objectNode().put("type", "array");
    node.set("items", items);
    return node;
  }

  private ObjectNode type(Class<?> type, Type generic) {
    if (type == String.class) {
      return JSON.objectNode().put("type", "string");
    }
    if (type == Integer.class) {
      return JSON.objectNode().put("type", "integer");
    }
    if (type == boolean.class) {
      return JSON.objectNode().put("type", "boolean");
    }
    if (type.isEnum()) {
      ObjectNode node = JSON.objectNode().put("type", "string");
      ArrayNode values = node.putArray("enum");
      for (Object value : type.getEnumConstants()) {
        values.add(value.toString());
      }
      return node;
    }
    if (generic instanceof ParameterizedType list) {
      return list(type((Class<?>) list.getActualTypeArguments()[0], null));
    }
    if (!definitions.has(type.getSimpleName())) {
      definitions.set(type.getSimpleName(), record(type));
    }
    return JSON.objectNode().put("$ref", "#/$defs/" + type.getSimpleName());
  }

  private static ObjectNode number(Within within, boolean whole) {
    ObjectNode node = JSON.objectNode().put("type", whole ? "integer" : "number");
    node.put("minimum", within.min()).put("maximum", within.max());
    String unit = within.unit().isEmpty() ? "" : ", " + within.unit();
    String hint = within.hint().isEmpty() ? "" : "; " + within.hint();
    return node.put("description", within.label() + unit + hint);
  }

  private static ObjectNode text(Text text) {
    ObjectNode node = JSON.objectNode().put("type", "string");
    node.put("minLength", text.min()).put("maxLength", text.max());
    if (!text.pattern().isEmpty()) {
      node.put("pattern", "^" + text.pattern() + "$");
    }
    return node.put("description", text.label());
  }
}
