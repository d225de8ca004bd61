package hightally.app.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import hightally.app.EveryPage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/**
 * Setup files with one value changed and files of flights with one cell changed, generated from
 * what the program itself writes: refused in words or taken, and then every page's data answers.
 * More of them by {@code -Dfiles=1500}.
 */
class FileFaultsTest extends ApiTest {
  private static final int TRIED = Integer.getInteger("files", 50);
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
  private static final List<String> DEMO = List.of("quillon", "larkmere", "brindle", "skerrow");

  private EveryPage pages;

  @BeforeEach
  void pages() throws Exception {
    pages = new EveryPage(this::get);
  }

  /** Where a value stands: the object or list it is in, and its name or number there. */
  private record Place(JsonNode in, String name, int number) {
    void put(JsonNode value) {
      if (in instanceof ObjectNode object) {
        object.set(name, value);
      } else {
        ((ArrayNode) in).set(number, value);
      }
    }

    void remove() {
      if (in instanceof ObjectNode object) {
        object.remove(name);
      } else {
        ((ArrayNode) in).remove(number);
      }
    }
  }

  private static void places(JsonNode node, List<Place> found) {
    if (node instanceof ObjectNode object) {
      object.fieldNames().forEachRemaining(name -> found.add(new Place(node, name, -1)));
    }
    for (int i = 0; node.isArray() && i < node.size(); i++) {
      found.add(new Place(node, "", i));
    }
    node.forEach(inner -> places(inner, found));
  }

  private static Map<String, JsonNode> bent() {
    Map<String, JsonNode> all = new TreeMap<>();
    all.put("null", JSON.nullNode());
    all.put("text", JSON.textNode("no such"));
    all.put("nothing", JSON.textNode(""));
    all.put("long", JSON.textNode("x".repeat(3000)));
    all.put("code", JSON.textNode("<script>alert(1)</script>"));
    all.put("yes", JSON.booleanNode(true));
    all.put("huge", JSON.numberNode(9e15));
    all.put("below", JSON.numberNode(-1));
    all.put("part", JSON.numberNode(0.5));
    all.put("object", JSON.objectNode().put("a", 1));
    all.put("list", JSON.arrayNode().add(1));
    return all;
  }

  private static List<String> waysToBend() {
    List<String> all = new ArrayList<>(bent().keySet());
    all.add("missing");
    return all;
  }

  @Test
  void aSetupFileWithOneValueChangedIsRefusedInWordsOrEveryPageAnswers() throws Exception {
    List<String> changes = new ArrayList<>();
    for (String name : DEMO) {
      List<Place> places = new ArrayList<>();
      places(json.readTree(resource("demo/" + name + ".json")), places);
      for (int i = 0; i < places.size(); i++) {
        for (String way : waysToBend()) {
          changes.add(name + " " + i + " " + way);
        }
      }
    }
    assertThat(changes).hasSizeGreaterThan(1500);
    Collections.shuffle(changes, new Random(30));
    List<String> wrong = new ArrayList<>();
    int refused = 0;
    for (String change : changes.subList(0, Math.min(TRIED, changes.size()))) {
      try {
        refused += taken(change) ? 0 : 1;
      } catch (AssertionError e) {
        wrong.add(e.getMessage());
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(refused).isGreaterThan(TRIED / 3);
  }

  private boolean taken(String change) throws Exception {
    String[] parts = change.split(" ");
    JsonNode document = json.readTree(resource("demo/" + parts[0] + ".json"));
    List<Place> places = new ArrayList<>();
    places(document, places);
    Place place = places.get(Integer.parseInt(parts[1]));
    String why = change + " (" + place.name + ")";
    if (parts[2].equals("missing")) {
      place.remove();
    } else {
      place.put(bent().get(parts[2]));
    }
    Answer read =
        send(
            HttpMethod.POST,
            "/api/setup-files/read",
            MediaType.TEXT_PLAIN,
            json.writeValueAsString(document));
    if (read.status() == 422) {
      assertThat(read.json().get("violations")).as(why + " " + read.body()).isNotEmpty();
      assertThat(read.body()).as(why).doesNotContain("hightally.", "Exception");
      return false;
    }
    assertThat(read.status()).as(why + " " + read.body()).isEqualTo(200);
    everyPageAnswers(why, read.json(), id -> {});
    return true;
  }

  /** What is done with a model before its pages are asked. */
  private interface Before {
    void of(long id) throws Exception;
  }

  private void everyPageAnswers(String why, JsonNode setup, Before before) throws Exception {
    Answer made = post("/api/aircraft", Map.of("reason", "From a file", "setup", setup));
    assertThat(made.status()).as(why + " " + made.body()).isEqualTo(201);
    long id = made.json().get("id").asLong();
    before.of(id);
    pages.answers(why, id);
    assertThat(get("/api/aircraft?size=50").status()).as(why).isEqualTo(200);
    send(
        HttpMethod.PUT,
        "/api/aircraft/" + id + "/place",
        MediaType.APPLICATION_JSON,
        "{\"place\": \"DELETED\"}");
  }

  @Test
  void aFileOfFlightsWithOneCellChangedIsTakenRowByRowAndEveryPageAnswers() throws Exception {
    JsonNode models = get("/api/aircraft?named=Larkmere&size=50").json().get("items");
    long glider = models.get(models.size() - 1).get("id").asLong();
    for (JsonNode one : models) {
      glider = Math.min(glider, one.get("id").asLong());
    }
    JsonNode setup = get("/api/aircraft/" + glider).json().at("/newest/setup");
    String[] lines = get("/api/aircraft/" + glider + "/flights.csv").body().split("\r?\n");
    List<String> cells =
        List.of(
            "",
            "no such",
            "-1",
            "0.5",
            "9000000000000000",
            "0001-01-01",
            "2026-13-40",
            "=1+1",
            "@x",
            "\"half",
            "x".repeat(3000),
            "\u0000",
            "a,b");
    List<int[]> changes = new ArrayList<>();
    for (int line = 0; line < Math.min(lines.length, 14); line++) {
      for (int cell = 0; cell < lines[0].split(",", -1).length; cell++) {
        for (int way = 0; way < cells.size(); way++) {
          changes.add(new int[] {line, cell, way});
        }
      }
    }
    assertThat(changes).hasSizeGreaterThan(1500);
    Collections.shuffle(changes, new Random(31));
    List<String> wrong = new ArrayList<>();
    for (int[] change : changes.subList(0, Math.min(TRIED, changes.size()))) {
      String why = Arrays.toString(change) + " " + cells.get(change[2]);
      String[] bent = lines.clone();
      String[] row = bent[change[0]].split(",", -1);
      row[Math.min(change[1], row.length - 1)] = cells.get(change[2]);
      bent[change[0]] = String.join(",", row);
      try {
        everyPageAnswers(why, setup, id -> imported(why, id, String.join("\n", bent)));
      } catch (AssertionError e) {
        wrong.add(e.getMessage());
      }
    }
    assertThat(wrong).isEmpty();
  }

  private void imported(String why, long id, String file) throws Exception {
    String at = "/api/aircraft/" + id + "/flights.csv";
    MediaType csv = MediaType.parseMediaType("text/csv");
    Answer done = send(HttpMethod.POST, at, csv, file);
    assertThat(done.status()).as(why + " " + done.body()).isIn(200, 422);
    assertThat(done.body()).as(why).doesNotContain("hightally.", "Exception");
    if (done.status() == 200) {
      // Every row is told of: taken, or why not.
      assertThat(done.json().get("taken").asInt() + done.json().get("problems").size())
          .as(why + " " + done.body())
          .isPositive();
      String out = get(at).body();
      Answer again = send(HttpMethod.POST, at, csv, out);
      assertThat(again.json().get("taken").asInt()).as(why + " " + out).isZero();
    }
  }
}
