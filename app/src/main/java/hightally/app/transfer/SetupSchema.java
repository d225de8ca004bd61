package hightally.app.transfer;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.words.FieldNames;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.List;

/** The published JSON Schema of a setup file, read off the core's own statements. */
public final class SetupSchema {
  private static final Words PLAIN = Words.of(Wording.PLAIN);
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
      return list(described(component, number(within, false)));
    }
    if (within != null) {
      return described(component, number(within, component.getType() == int.class));
    }
    if (text != null) {
      return described(component, text(text));
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
    return node;
  }

  /** The published schema is English, as these pages are. */
  private static ObjectNode described(RecordComponent component, ObjectNode node) {
    String record = component.getDeclaringRecord().getSimpleName();
    Said described = FieldNames.described(record, component.getName());
    Within within = component.getAnnotation(Within.class);
    boolean counts = within != null && within.unit() != Unit.NONE;
    Said unit = counts ? Said.list(List.of(within.unit())) : Said.NOTHING;
    return node.put("description", PLAIN.say(described) + (counts ? ", " + PLAIN.say(unit) : ""));
  }

  private static ObjectNode text(Text text) {
    ObjectNode node = JSON.objectNode().put("type", "string");
    node.put("minLength", text.min()).put("maxLength", text.max());
    if (!text.pattern().isEmpty()) {
      node.put("pattern", "^" + text.pattern() + "$");
    }
    return node;
  }
}
