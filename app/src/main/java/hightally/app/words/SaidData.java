package hightally.app.words;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.OneOf;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;
import hightally.core.quantity.Unit;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;

/**
 * What is said as data to be kept, so that it can be told again in other words. An enum comes back
 * as the {@link OneOf} it is.
 */
public final class SaidData {
  private static final ObjectMapper MAPPER = new ObjectMapper();
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private static final String UNIT = Unit.class.getSimpleName();

  /** What codes of before are called today. */
  static final Properties RENAMED = renamed();

  private SaidData() {}

  private static Properties renamed() {
    Properties found = new Properties();
    try (InputStream in = SaidData.class.getResourceAsStream("/words/renamed-codes.txt")) {
      found.load(in);
      return found;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What was kept, as it would be kept today: to be compared with what is said now. */
  public static String today(String kept) {
    return kept.startsWith("{") ? write(read(kept)) : kept;
  }

  /** As a text that is the same for the same thing said. */
  public static String write(Said said) {
    return said.isEmpty() ? "" : node(said).toString();
  }

  /** What was kept; a text that is no such data, as it was written before there was any. */
  public static Said read(String kept) {
    try {
      JsonNode node = kept.startsWith("{") ? MAPPER.readTree(kept) : null;
      return node == null || !node.has("say") ? Said.text(kept) : said(node);
    } catch (JsonProcessingException | RuntimeException e) {
      return Said.text(kept);
    }
  }

  private static ObjectNode node(Said said) {
    ObjectNode node = JSON.objectNode().put("say", said.code());
    said.with().forEach((name, value) -> node.set(name, value(value)));
    return node;
  }

  private static JsonNode value(Object value) {
    if (value instanceof Said said) {
      return node(said);
    }
    if (value instanceof Quantity one) {
      return JSON.objectNode()
          .put("value", one.value())
          .put("unit", one.unit().name())
          .put("decimals", one.decimals());
    }
    if (value instanceof Clicks one) {
      return JSON.objectNode().put("clicks", one.count()).put("control", one.control().name());
    }
    if (value instanceof Turns one) {
      return JSON.objectNode().put("sixths", one.sixths());
    }
    if (value instanceof Enum<?> one) {
      return value(OneOf.of(one));
    }
    if (value instanceof OneOf one) {
      return JSON.objectNode().put("kind", one.kind()).put("name", one.name());
    }
    if (value instanceof LocalDate date) {
      return JSON.objectNode().put("date", date.toString());
    }
    if (value instanceof List<?> list) {
      ArrayNode array = JSON.arrayNode();
      list.forEach(one -> array.add(value(one)));
      return array;
    }
    return MAPPER.valueToTree(value);
  }

  private static Said said(JsonNode node) {
    Map<String, Object> with = new LinkedHashMap<>();
    node.properties()
        .forEach(
            field -> {
              if (!field.getKey().equals("say")) {
                with.put(field.getKey(), value(field.getValue()));
              }
            });
    String told = node.get("say").asText();
    String code = RENAMED.getProperty(told, told);
    boolean known =
        switch (code) {
          case "" -> true;
          case "text" -> with.get("text") instanceof String;
          case "all", "list" -> with.get("parts") instanceof List<?>;
          default -> Words.of(Wording.PLAIN).has(code);
        };
    if (!known) {
      throw new IllegalArgumentException(code + " is no message");
    }
    return new Said(code, with);
  }

  private static Object value(JsonNode node) {
    if (node.isArray()) {
      List<Object> list = new ArrayList<>();
      node.forEach(one -> list.add(value(one)));
      return list;
    }
    if (node.has("say")) {
      return said(node);
    }
    if (node.has("kind")) {
      OneOf one = new OneOf(node.get("kind").asText(), node.get("name").asText());
      return one.kind().equals(UNIT) ? Unit.valueOf(one.name()) : one;
    }
    if (node.has("date")) {
      return LocalDate.parse(node.get("date").asText());
    }
    if (node.has("unit")) {
      return new Quantity(
          node.get("value").asDouble(),
          Unit.valueOf(node.get("unit").asText()),
          node.get("decimals").asInt());
    }
    if (node.has("clicks")) {
      return new Clicks(Control.valueOf(node.get("control").asText()), node.get("clicks").asInt());
    }
    if (node.has("sixths")) {
      return new Turns(node.get("sixths").asLong());
    }
    if (node.isIntegralNumber()) {
      return node.asLong();
    }
    return node.isNumber() ? node.asDouble() : node.isBoolean() ? node.asBoolean() : node.asText();
  }
}
