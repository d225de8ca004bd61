package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.EveryPage;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;

/**
 * Archives with one field of one row changed, generated from the tables of the database: refused in
 * words that name table, row and field, or taken, and then every page's data answers. Nothing else
 * in the hangar is touched. All of them by {@code -Darchives=100000}.
 */
class ArchiveFaultsTest extends ArchiveCalls {
  private static final int TRIED = Integer.getInteger("archives", 100);

  /** Columns that were once refused without being named: tried first. */
  private static final Set<String> ONCE_WRONG =
      Set.of("adjustment.reference_phase", "adjustment.phases", "metal_job.closed_at");

  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  @Autowired private DataSource data;

  private final Map<String, byte[]> whole = new TreeMap<>();

  /** The demonstration's glider. */
  private ObjectNode model;

  private String file;
  private EveryPage pages;

  /** One change. */
  private record Bent(String what, String table, int row, String column, JsonNode value) {}

  @BeforeEach
  void aModelWithARowInEveryTable() throws Exception {
    JsonNode hangar = get("/api/aircraft?named=Larkmere&size=50").json().get("items");
    long id = Long.MAX_VALUE;
    for (JsonNode one : hangar) {
      id = Math.min(id, one.get("id").asLong());
    }
    workedOn("/api/aircraft/" + id, id);
    whole.putAll(entries(written()));
    file = ArchiveWriter.MODELS + id + ".json";
    whole.keySet().removeIf(one -> one.startsWith(ArchiveWriter.MODELS) && !one.equals(file));
    model = (ObjectNode) json.readTree(whole.get(file));
    everyTable();
    pages = new EveryPage(this::get);
  }

  /** A set-up under way, wishes, a practice, something ticked off. */
  private void workedOn(String at, long id) throws Exception {
    JsonNode begun = post(at + "/bench-set-up", Map.of("school", "ROD_FIRST")).json();
    JsonNode step = begun.at("/steps/0");
    Map<String, Object> answer = new LinkedHashMap<>();
    answer.put("step", step.get("id").asText());
    answer.put("choice", step.at("/choices/0/id").asText(""));
    answer.put("values", Collections.nCopies(step.get("figures").size(), 10));
    Map<String, Object> moved =
        Map.of(
            "version", begun.get("version").asInt(),
            "step", begun.at("/steps/1/id").asText(),
            "answers", List.of(answer));
    assertThat(put(at + "/bench-set-up", moved).status()).isEqualTo(200);
    JsonNode wishes = get(at + "/wishes").json();
    Map<String, Object> changed =
        Map.of("version", wishes.get("version").asInt(), "wishes", wishes.get("wishes"));
    assertThat(put(at + "/wishes", changed).status()).isEqualTo(200);
    Map<String, Object> practice = Map.of("aircraftId", id, "faults", 1, "windy", false, "seed", 5);
    Answer practised = post("/api/school/models", practice);
    assertThat(practised.status()).as(practised.body()).isEqualTo(201);
    Map<String, Object> ticked =
        Map.of("transmitter", "Sender", "key", "a", "data", "1", "readBack", false);
    assertThat(put(at + "/entered", List.of(ticked)).status()).isEqualTo(200);
  }

  private Answer put(String path, Object body) throws Exception {
    return send(HttpMethod.PUT, path, MediaType.APPLICATION_JSON, json.writeValueAsString(body));
  }

  /** What the demonstration has no row of. */
  private void everyTable() throws Exception {
    String setup = model.at("/revision_document/0/setup").asText();
    String phase = json.readTree(setup).at("/phases/0/id").asText();
    long id = model.at("/aircraft/0/id").asLong();
    long flight = model.at("/flight/0/id").asLong();
    String now = "2026-05-01T12:00:00Z";
    ObjectNode settled = row("settled_word", id).put("phase", phase).put("control", "ROLL");
    settled.put("flight_id", flight).put("because", "It is").put("created_at", now);
    ObjectNode reading = row("bench_reading", id).put("revision_number", 1);
    reading.put("surface", "elevator").put("kind", "THROW").put("control", "PITCH");
    reading
        .put("amount", 100)
        .put("mm", 10)
        .put("measured_on", "2026-05-01")
        .put("created_at", now);
    ObjectNode word = row("clearance_word", id).put("revision_number", 1).put("lacks", "NOT_FLOWN");
    word.put("because", "I know it").put("created_at", now);
    ObjectNode part = row("part_change", id).put("revision_number", 1).put("kind", "SERVO");
    part.put("subject", "elevator").put("note", "").put("done", "0").put("changed_at", now);
    part.put("changed_on", "2026-05-01").put("version", 0);
    ObjectNode typed = row("typed_change", id).put("transmitter", "One").put("entry_key", "a");
    typed.put("told", "Something").put("before_value", "1").put("after_value", "2");
    typed.put("revision_number", 1).put("changed_at", now);
    ObjectNode left = row("skipped_test", id).put("test", "LEVEL_TRIM").put("part", "");
    left.put("because", "Not today").put("created_at", now);
    ObjectNode job = row("metal_job", id).put("test", "LEVEL_TRIM").put("part", "");
    job.put("lever", "DOWN_THRUST").put("from_value", 1).put("to_value", 2).put("state", "DONE");
    job.put("result_revision", 1).put("created_at", now).put("closed_at", now).put("version", 0);
    assertThat(Kept.ALL).allSatisfy(one -> assertThat(model.path(one.table())).isNotEmpty());
  }

  private ObjectNode row(String table, long id) {
    ArrayNode rows = model.withArray(table);
    return rows.isEmpty()
        ? rows.addObject().put("id", 900_000).put("aircraft_id", id)
        : JSON.objectNode();
  }

  @Test
  void oneFieldChangedIsRefusedInWordsOrEveryPageAnswers() throws Exception {
    List<Bent> all = all();
    assertThat(all.size()).as("changes").isGreaterThan(1500);
    Collections.shuffle(all, new Random(7));
    all.sort(Comparator.comparing(one -> !ONCE_WRONG.contains(one.table + "." + one.column)));
    // As it is it is taken, or nothing below says anything.
    tried(new Bent("as it is", "aircraft", 0, "", null), model, true);
    Map<String, Integer> became = new TreeMap<>();
    List<String> wrong = new ArrayList<>();
    for (Bent one : all.subList(0, Math.min(TRIED, all.size()))) {
      ObjectNode bent = model.deepCopy();
      ObjectNode row = (ObjectNode) bent.get(one.table).get(one.row);
      if (one.value == null) {
        row.remove(one.column);
      } else {
        row.set(one.column, one.value);
      }
      try {
        became.merge(tried(one, bent, false) ? "taken" : "refused", 1, Integer::sum);
      } catch (AssertionError e) {
        wrong.add(e.getMessage());
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(became.get("refused")).as(became.toString()).isGreaterThan(TRIED / 3);
  }

  private boolean tried(Bent one, ObjectNode bent, boolean must) throws Exception {
    Map<String, byte[]> entries = new TreeMap<>(whole);
    entries.put(file, json.writeValueAsBytes(bent));
    byte[] archive = zipped(entries);
    String number = file.replaceAll("\\D", "");
    MockHttpServletResponse looked = sent("/api/archive/look", archive);
    assertThat(looked.getStatus()).as(one + " " + looked.getContentAsString()).isEqualTo(200);
    JsonNode found = JSON.missingNode();
    for (JsonNode each : json.readTree(looked.getContentAsString()).get("models")) {
      found = each.get("number").asText().equals(number) ? each : found;
    }
    boolean sound = found.get("faults").isEmpty();
    MockHttpServletResponse done =
        sent("/api/archive/bring?chosen=" + number + "&beside=" + number, archive);
    String answer = done.getContentAsString(StandardCharsets.UTF_8);
    assertThat(done.getStatus())
        .as(one + " " + found.get("faults") + " " + answer)
        .isEqualTo(sound ? 200 : 422);
    if (!sound) {
      assertThat(must).as(answer).isFalse();
      assertThat(answer).as("names the place: " + one).contains(one.table);
      assertThat(answer).doesNotContain("hightally.", "Exception");
      return false;
    }
    long id = json.readTree(answer).at("/0/id").asLong();
    everyPageAnswers(one, id);
    assertThat(
            send(
                    HttpMethod.PUT,
                    "/api/aircraft/" + id + "/place",
                    MediaType.APPLICATION_JSON,
                    "{\"place\": \"DELETED\"}")
                .status())
        .as(one.toString())
        .isLessThan(300);
    return true;
  }

  private void everyPageAnswers(Bent one, long id) throws Exception {
    pages.answers(one.toString(), id);
    assertThat(get("/api/aircraft?named=from the archive&size=50").status())
        .as(one.toString())
        .isEqualTo(200);
    assertThat(get("/api/aircraft/put-away").status()).as(one.toString()).isEqualTo(200);
    Answer school = get("/api/school");
    assertThat(school.status()).as(one.toString()).isEqualTo(200);
    String newest = "/api/school/" + school.json().at("/runs/0/id").asText();
    Answer practice = get(newest);
    assertThat(practice.status()).as(one + " " + practice.body()).isEqualTo(200);
  }

  private List<Bent> all() throws Exception {
    List<Bent> found = new ArrayList<>();
    try (var connection = data.getConnection()) {
      Rows rows = new Rows(connection, json);
      for (Kept kept : Kept.ALL) {
        int last = model.path(kept.table()).size() - 1;
        for (int row : last > 0 ? List.of(0, last) : List.of(0)) {
          for (var column : rows.columns(kept.table()).entrySet()) {
            JsonNode now = model.get(kept.table()).get(row).path(column.getKey());
            for (var value : bent(now, column.getValue()).entrySet()) {
              found.add(
                  new Bent(value.getKey(), kept.table(), row, column.getKey(), value.getValue()));
            }
          }
        }
      }
    }
    return found;
  }

  /** Every way to be wrong: missing, null, of another type, out of range, unknown, dangling. */
  private Map<String, JsonNode> bent(JsonNode now, StoredColumn column) {
    Map<String, JsonNode> found = new LinkedHashMap<>();
    found.put("missing", null);
    found.put("null", JSON.nullNode());
    found.put("object", JSON.objectNode().put("a", 1));
    found.put("list", JSON.arrayNode().add(1));
    found.put("yes", JSON.booleanNode(true));
    found.put("text", JSON.textNode("no such"));
    found.put("huge", JSON.numberNode(9_000_000_000_000_000L));
    found.put("below", JSON.numberNode(-1));
    found.put("part", JSON.numberNode(0.5));
    found.put("dangling", JSON.numberNode(777));
    found.put("first year", JSON.textNode("0001-01-01"));
    found.put("far moment", JSON.textNode("9999-12-31T23:59:59Z"));
    found.put("long", JSON.textNode("x".repeat((int) Math.min(column.longest() + 1, 2_000_000))));
    found.put("empty", JSON.textNode(""));
    if (now.isTextual() && (now.textValue().startsWith("[") || now.textValue().startsWith("{"))) {
      found.put("no list", JSON.textNode("{}"));
      found.put("list of nothing", JSON.textNode("[null]"));
      found.put("list of numbers", JSON.textNode("[7]"));
      found.put("half", JSON.textNode(now.textValue().substring(0, now.textValue().length() / 2)));
      String text = now.textValue();
      found.put("null inside", JSON.textNode(text.replaceFirst(":\\s*[^,{}\\[\\]]+", ": null")));
      found.put("text inside", JSON.textNode(text.replaceFirst(":\\s*[^,{}\\[\\]]+", ": \"x\"")));
      found.put("huge inside", JSON.textNode(text.replaceFirst(":\\s*-?[0-9.]+", ": 999999999")));
    }
    return found;
  }
}
