package hightally.app.airframe;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A model is never asked about what it does not have, at the bench, before and in flight. */
class NeverAskedTest extends ApiTest {
  /** Codes and names of the interface for programs; what is left is read by a pilot. */
  private static final Set<String> WORDS =
      Set.of("title", "words", "lines", "caution", "flown", "tells", "watch", "label", "question");

  private static final Map<String, Pattern> NAMES =
      Map.of(
          "motor",
              Pattern.compile("\\b(motors?|propellers?|throttle|(half|full) power|idle|thrust)\\b"),
          "flap", Pattern.compile("\\bflaps?\\b"),
          "rudder", Pattern.compile("\\brudder\\b"),
          "brakes", Pattern.compile("\\bbrakes?\\b"));

  private static boolean has(JsonNode setup, String what) {
    if (what.equals("motor")) {
      return !setup.at("/airframe/motors").isEmpty();
    }
    if (what.equals("rudder")) {
      return setup.get("surfaces").findValues("shares").stream()
          .anyMatch(one -> one.get("yaw").asDouble() != 0);
    }
    return NAMES.get(what).matcher(setup.toString().toLowerCase(Locale.ROOT)).find();
  }

  @Test
  void nothingIsAskedOfWhatIsNotThere() throws Exception {
    Set<String> wrong = new TreeSet<>();
    int looked = 0;
    for (JsonNode kind : get("/api/kinds").json()) {
      String name = kind.at("/airframe/kind").asText();
      ObjectNode setup = ((ObjectNode) kind.deepCopy()).put("name", "Never " + looked);
      Answer made = post("/api/aircraft", Map.of("reason", "New", "setup", setup));
      assertThat(made.status()).as(made.body()).isEqualTo(201);
      String at = "/api/aircraft/" + made.json().get("id").asLong();
      List<JsonNode> told = new ArrayList<>();
      told.add(get(at + "/checks/ahead").json());
      told.add(get(at + "/coach").json());
      told.add(post(at + "/bench-set-up", Map.of("school", "ROD_FIRST")).json());
      for (String what : NAMES.keySet()) {
        if (!has(setup, what)) {
          looked++;
          told.forEach(one -> look(name, what, one, "", wrong));
        }
      }
    }
    assertThat(looked).isGreaterThan(10);
    assertThat(wrong).isEmpty();
  }

  private static void look(
      String kind, String what, JsonNode node, String field, Set<String> wrong) {
    if (node.isTextual()) {
      String text = node.asText().toLowerCase(Locale.ROOT);
      if (WORDS.contains(field) && NAMES.get(what).matcher(text).find()) {
        wrong.add(what + ": " + kind + ": " + node.asText());
      }
      return;
    }
    node.properties().forEach(one -> look(kind, what, one.getValue(), one.getKey(), wrong));
    if (node.isArray()) {
      node.forEach(one -> look(kind, what, one, field, wrong));
    }
  }
}
