package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What the program answers while every address is opened, for the tests that lay the pages out
 * without it ({@code web/src/test/walk}). A sentence stands there by the field it is in and when it
 * came, not by its words, and all times are one. Written anew with {@code -Dpublish=true}.
 */
final class Recorded {
  private static final Path FILE = RunningApp.root().resolve("web/src/test/walk/recorded.json");

  /** What may have come to its end or not when the page is left. */
  private static final List<String> UNDER_WAY = List.of("/searches/", "/backups");

  /** How large an archive came out. */
  private static final String PASSING = "bytes";

  private static final ObjectMapper JSON = new ObjectMapper();

  private final Map<String, JsonNode> answers = new TreeMap<>();
  private final Map<String, ArrayNode> frames = new TreeMap<>();
  private final ArrayNode pages = JSON.createArrayNode();
  private String at = "";

  /** Listens to a page. */
  Recorded(Page page) {
    page.route("**/api/**", this::note);
    page.onWebSocket(
        socket -> {
          String key = "SOCKET " + path(socket.url()).replaceFirst("\\?.*", "") + " " + model(at);
          if (!frames.containsKey(key)) {
            ArrayNode told = JSON.createArrayNode();
            frames.put(key, told);
            socket.onFrameReceived(frame -> told.add(frame.text()));
          }
        });
  }

  /** From here on another page is laid out. */
  void page(String address) {
    at = address;
    pages.add(address);
  }

  private void note(Route route) {
    APIResponse got = route.fetch();
    Request request = route.request();
    String body = request.postData();
    String asked =
        request.method() + " " + path(request.url()) + (body == null ? "" : " " + hash(body));
    // A search is asked for again until it has come to its end.
    if (asked.contains("/searches/") || !answers.containsKey(asked)) {
      ObjectNode answer = JSON.createObjectNode().put("status", got.status());
      String text = got.text();
      answer.set("body", text.isEmpty() ? null : scrubbed(tree(text)));
      answers.put(asked, answer);
    }
    route.fulfill(new Route.FulfillOptions().setResponse(got));
  }

  /** What was read is what was published. */
  void isFresh() {
    ObjectNode all = JSON.createObjectNode();
    all.set("pages", pages);
    answers.forEach(all::set);
    ObjectNode sockets = JSON.createObjectNode();
    frames.forEach((url, told) -> sockets.set(url, kept(told)));
    StringBuilder text = new StringBuilder("{\n");
    List<String> lines = new ArrayList<>();
    all.properties().forEach(one -> lines.add(line(one)));
    sockets.properties().forEach(one -> lines.add(line(one)));
    text.append(String.join(",\n", lines)).append("\n}\n");
    try {
      if (Boolean.getBoolean("publish")) {
        Files.createDirectories(FILE.getParent());
        Files.writeString(FILE, text);
      }
      JsonNode today = JSON.readTree(text.toString());
      JsonNode published = JSON.readTree(Files.readString(FILE));
      Set<String> keys = new TreeSet<>();
      List.of(today, published).forEach(one -> one.fieldNames().forEachRemaining(keys::add));
      keys.removeIf(one -> UNDER_WAY.stream().anyMatch(one::contains));
      assertThat(keys.stream().filter(one -> !same(today.get(one), published.get(one))))
          .as("answered otherwise than published: run with -Dpublish=true")
          .isEmpty();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Where the sticks and what moves by itself happened to be is no answer to compare. */
  private static boolean same(JsonNode one, JsonNode other) {
    return Objects.equals(standing(one), standing(other));
  }

  private static List<JsonNode> standing(JsonNode one) {
    List<JsonNode> all = new ArrayList<>();
    if (one != null && one.isArray()) {
      one.forEach(
          each -> {
            if (!each.path("type").asText().equals("frame")) {
              all.add(each);
            }
          });
    } else {
      all.add(one);
    }
    return all;
  }

  private static String line(Map.Entry<String, JsonNode> one) {
    return "\"" + one.getKey() + "\": " + one.getValue();
  }

  /**
   * The last of each type of what a socket told: a setup, and where the sticks are at rest once all
   * is known; the first where it has no types.
   */
  private static ArrayNode kept(ArrayNode told) {
    Map<String, JsonNode> last = new TreeMap<>();
    for (JsonNode frame : told) {
      JsonNode one = tree(frame.asText());
      String type = one.path("type").asText();
      if (!type.isEmpty() || last.isEmpty()) {
        // How many were asked before is the page's own affair.
        last.put(type, scrubbed(((ObjectNode) one).without("number")));
      }
    }
    ArrayNode few = JSON.createArrayNode();
    last.values().forEach(few::add);
    return few;
  }

  /** The address of the model a page is of, or the page's own. */
  private static String model(String page) {
    return page.replaceFirst("^(models/\\d+)/.*", "$1");
  }

  private static String path(String url) {
    return url.replaceFirst("^\\w+://[^/]*", "");
  }

  private static String hash(String body) {
    return Integer.toHexString(body.hashCode());
  }

  private static JsonNode tree(String text) {
    try {
      return JSON.readTree(text);
    } catch (IOException e) {
      return TextNode.valueOf("not JSON");
    }
  }

  private static JsonNode scrubbed(JsonNode answer) {
    return scrubbed(answer, "", new HashMap<>());
  }

  private static JsonNode scrubbed(JsonNode one, String field, Map<String, String> said) {
    if (one.isObject()) {
      ObjectNode all = JSON.createObjectNode();
      one.properties()
          .forEach(part -> all.set(part.getKey(), scrubbed(part.getValue(), part.getKey(), said)));
      return all.has(PASSING) ? all.put(PASSING, 0) : all;
    }
    if (one.isArray()) {
      ArrayNode all = JSON.createArrayNode();
      one.forEach(part -> all.add(scrubbed(part, field, said)));
      return all;
    }
    return one.isTextual() ? text(one.asText(), field, said) : one;
  }

  private static JsonNode text(String text, String field, Map<String, String> said) {
    JsonNodeFactory make = JsonNodeFactory.instance;
    if (text.contains("⟦")) {
      return make.textNode(
          said.computeIfAbsent(text, sentence -> "«" + field + " " + (said.size() + 1) + "»"));
    }
    return make.textNode(
        text.replaceAll("\\d{4}-\\d\\d-\\d\\dT[\\d:.]+Z", "2026-09-05T10:00:00Z")
            .replaceAll("\\d{4}-\\d\\d-\\d\\d(?!T)", "2026-09-05"));
  }
}
