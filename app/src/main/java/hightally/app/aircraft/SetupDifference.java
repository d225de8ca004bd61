package hightally.app.aircraft;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.FieldCatalogue;
import hightally.core.setup.Setup;
import hightally.core.signal.Movements;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What differs between two setups: every value in words, and what it does in millimetres. */
@Component
public class SetupDifference {
  private static final List<String> KEYS =
      List.of("id", "number", "surface", "channel", "device", "input", "section", "target");
  private static final int SHORT = 60;

  private final ObjectMapper mapper;
  private final Map<String, FieldCatalogue.Field> fields;

  /**
   * Everything that differs.
   *
   * @param values value by value
   * @param movements surfaces that stand or move differently
   */
  public record Difference(List<ValueLine> values, List<Movements.MovementLine> movements) {}

  /**
   * One value.
   *
   * @param place where it is, in words
   * @param what its label
   * @param before empty where it is new
   * @param after empty where it is gone
   */
  public record ValueLine(String place, String what, String before, String after) {}

  SetupDifference(ObjectMapper mapper) {
    this.mapper = mapper;
    fields =
        FieldCatalogue.all().stream()
            .collect(
                Collectors.toMap(FieldCatalogue.Field::path, Function.identity(), (a, b) -> a));
  }

  /** Compares two checked setups. */
  public Difference of(Setup before, Setup after) {
    List<ValueLine> lines = new ArrayList<>();
    compare(mapper.valueToTree(before), mapper.valueToTree(after), "setup", "", lines);
    return new Difference(lines, Movements.differences(before, after));
  }

  private void compare(
      JsonNode before, JsonNode after, String path, String place, List<ValueLine> lines) {
    if (before.equals(after)) {
      return;
    }
    if (before.isObject() && after.isObject()) {
      Set<String> names = new LinkedHashSet<>();
      before.fieldNames().forEachRemaining(names::add);
      after.fieldNames().forEachRemaining(names::add);
      for (String name : names) {
        JsonNode one = before.path(name);
        JsonNode two = after.path(name);
        boolean leaf = !one.isContainerNode() && !two.isContainerNode();
        String inside = leaf ? place : joined(place, words(name));
        compare(one, two, path + "." + name, inside, lines);
      }
    } else if (before.isArray() && after.isArray() && keyed(before) && keyed(after)) {
      Map<String, JsonNode> one = byKey(before);
      Map<String, JsonNode> two = byKey(after);
      Set<String> keys = new LinkedHashSet<>(one.keySet());
      keys.addAll(two.keySet());
      for (String key : keys) {
        JsonNode was = one.get(key);
        JsonNode is = two.get(key);
        String name = name(is == null ? was : is, key);
        if (was == null || is == null) {
          lines.add(
              new ValueLine(place, name, was == null ? "" : "there", is == null ? "gone" : "new"));
        } else {
          compare(was, is, path + "[]", joined(place, name), lines);
        }
      }
      if (keys.equals(two.keySet())
          && one.size() == two.size()
          && !List.copyOf(one.keySet()).equals(List.copyOf(two.keySet()))) {
        lines.add(
            new ValueLine(
                place, "order", String.join(", ", one.keySet()), String.join(", ", two.keySet())));
      }
    } else {
      lines.add(new ValueLine(place, label(path), text(before, path), text(after, path)));
    }
  }

  private static boolean keyed(JsonNode array) {
    for (JsonNode one : array) {
      if (!one.isObject() || key(one).isEmpty()) {
        return false;
      }
    }
    return true;
  }

  private static String key(JsonNode one) {
    return KEYS.stream().filter(one::has).map(key -> one.get(key).asText()).findFirst().orElse("");
  }

  private static Map<String, JsonNode> byKey(JsonNode array) {
    Map<String, JsonNode> map = new LinkedHashMap<>();
    for (Iterator<JsonNode> i = array.elements(); i.hasNext(); ) {
      JsonNode one = i.next();
      map.put(key(one), one);
    }
    return map;
  }

  private static String name(JsonNode one, String key) {
    return one.path("name").isTextual() ? one.get("name").asText() : key;
  }

  private static String joined(String place, String more) {
    return place.isEmpty() ? more : place + ", " + more;
  }

  /** {@code feelSets} as {@code feel sets}. */
  private static String words(String name) {
    return name.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(java.util.Locale.ROOT);
  }

  private String label(String path) {
    FieldCatalogue.Field field = fields.get(path);
    String last = path.substring(path.lastIndexOf('.') + 1).replace("[]", "");
    return field == null ? words(last) : field.label();
  }

  private String text(JsonNode value, String path) {
    if (value.isMissingNode()) {
      return "";
    }
    FieldCatalogue.Field field = fields.get(path);
    String unit = field == null || field.unit().isEmpty() ? "" : " " + field.unit();
    if (value.isNumber()) {
      double rounded = Math.rint(value.asDouble() * 1000) / 1000;
      String number = rounded == Math.rint(rounded) ? "" + (long) rounded : "" + rounded;
      return number + unit;
    }
    String text = value.isContainerNode() ? value.toString() : value.asText();
    return text.length() > SHORT ? text.substring(0, SHORT) + " …" : text;
  }
}
