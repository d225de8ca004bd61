package hightally.core.edit;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.setup.Setup;
import java.util.Map;
import java.util.TreeMap;

/** A setup as its document's single values, to see what an edit has changed and what not. */
final class Leaves {
  private static final ObjectMapper JSON = new ObjectMapper();

  private Leaves() {}

  static Map<String, String> of(Setup setup) {
    Map<String, String> leaves = new TreeMap<>();
    walk("", JSON.valueToTree(setup), leaves);
    return leaves;
  }

  /** Values that differ: what they were and what they are. */
  static Map<String, String> changed(Setup before, Setup after) {
    Map<String, String> one = of(before);
    Map<String, String> other = of(after);
    Map<String, String> changed = new TreeMap<>();
    one.forEach(
        (at, value) -> {
          if (!value.equals(other.get(at))) {
            changed.put(at, value + " → " + other.get(at));
          }
        });
    other.forEach(
        (at, value) -> {
          if (!one.containsKey(at)) {
            changed.put(at, "→ " + value);
          }
        });
    return changed;
  }

  private static void walk(String at, JsonNode node, Map<String, String> leaves) {
    if (node.isValueNode()) {
      leaves.put(at, node.asText());
    }
    node.properties().forEach(one -> walk(at + "/" + one.getKey(), one.getValue(), leaves));
    for (int i = 0; node.isArray() && i < node.size(); i++) {
      walk(at + "/" + i, node.get(i), leaves);
    }
  }
}
