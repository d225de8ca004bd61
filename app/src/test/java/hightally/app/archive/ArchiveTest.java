package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.setup.Setup;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;

/** Everything out in one file and in again, next to what is there. */
class ArchiveTest extends ArchiveCalls {
  @Autowired private DataSource data;

  /** Every table of the data is in an archive, or a new one would be lost without a word. */
  @Test
  void noTableIsForgotten() throws Exception {
    Set<String> tables = new HashSet<>();
    try (var connection = data.getConnection();
        var found =
            connection
                .createStatement()
                .executeQuery(
                    "select lower(table_name) from information_schema.tables where table_schema ="
                        + " 'PUBLIC'")) {
      while (found.next()) {
        tables.add(found.getString(1));
      }
    }
    tables.remove("flyway_schema_history");
    Kept.NOT_KEPT.forEach(tables::remove);
    assertThat(Kept.ALL.stream().map(Kept::table)).containsExactlyInAnyOrderElementsOf(tables);
  }

  /**
   * A model out and in beside itself is equal row by row: under new numbers, which lead to the same
   * rows.
   */
  @Test
  void everyModelComesBackEqualRowByRow() throws Exception {
    calledAnotherNameToday();
    byte[] before = written();
    JsonNode held = json.readTree(sent("/api/archive/look", before).getContentAsString());
    List<String> numbers = new ArrayList<>();
    for (JsonNode one : held.get("models")) {
      assertThat(one.get("here").asBoolean()).isTrue();
      numbers.add(one.get("number").asText());
    }
    assertThat(numbers).hasSizeGreaterThanOrEqualTo(4);
    // None is brought in over one that is here.
    String all = "?chosen=" + String.join(",", numbers);
    MockHttpServletResponse refused = sent("/api/archive/bring" + all, before);
    assertThat(refused.getStatus()).isEqualTo(409);
    assertThat(entries(written()).keySet()).isEqualTo(entries(before).keySet());

    MockHttpServletResponse done =
        sent("/api/archive/bring" + all + "&beside=" + String.join(",", numbers), before);
    assertThat(done.getStatus()).as(done.getContentAsString()).isEqualTo(200);
    JsonNode brought = json.readTree(done.getContentAsString());
    Map<String, byte[]> after = entries(written());
    int compared = 0;
    for (int i = 0; i < numbers.size(); i++) {
      JsonNode was = json.readTree(entries(before).get("models/" + numbers.get(i) + ".json"));
      JsonNode is = json.readTree(after.get("models/" + brought.get(i).get("id") + ".json"));
      assertThat(brought.get(i).get("name").asText()).endsWith(", from the archive");
      compared += same(was, is);
    }
    assertThat(compared).isGreaterThan(40);
  }

  private void calledAnotherNameToday() throws Exception {
    ObjectNode setup = biplane().put("name", "Wagtail");
    long id =
        post("/api/aircraft", Map.of("reason", "New", "setup", setup)).json().get("id").asLong();
    Map<String, Object> renamed =
        Map.of("basedOn", 1, "reason", "Called another name", "setup", setup.put("name", "Pipit"));
    assertThat(post("/api/aircraft/" + id + "/revisions", renamed).status()).isEqualTo(201);
  }

  /** All rows, with every number replaced by the place of the row it names. */
  private int same(JsonNode was, JsonNode is) throws Exception {
    int rows = 0;
    for (Kept kept : Kept.ALL) {
      JsonNode one = plain(was, kept);
      assertThat(plain(is, kept)).as(kept.table()).isEqualTo(one);
      rows += one.size();
    }
    return rows;
  }

  private JsonNode plain(JsonNode model, Kept kept) throws Exception {
    ArrayNode rows = model.get(kept.table()).deepCopy();
    for (JsonNode read : rows) {
      ObjectNode row = (ObjectNode) read;
      for (Map.Entry<String, String> one : kept.refers().entrySet()) {
        long named = row.path(one.getKey()).asLong();
        row.put(one.getKey(), named == 0 ? "none" : place(model, one.getValue(), named));
      }
      row.remove(List.of("id", "request_key", "attention"));
      if (kept.table().equals(Kept.MODEL)) {
        row.put("name", row.get("name").asText().replace(", from the archive", ""));
      }
      if (kept.table().equals("revision_document")) {
        ObjectNode setup = (ObjectNode) json.readTree(row.get("setup").asText());
        setup.put("name", setup.get("name").asText().replace(", from the archive", ""));
        row.set("setup", setup);
      }
    }
    return rows;
  }

  private static String place(JsonNode model, String table, long id) {
    JsonNode rows = model.get(table);
    for (int i = 0; i < rows.size(); i++) {
      if (rows.get(i).get("id").asLong() == id) {
        return table + " " + i;
      }
    }
    throw new AssertionError(table + " " + id + " is not the model's own");
  }

  /** Data of years ago, kept then: brought up in memory by the migrations since. */
  @Test
  void anArchiveOfAnOlderFormIsBroughtUp() throws Exception {
    JdbcDataSource old = new JdbcDataSource();
    old.setURL("jdbc:h2:mem:kept-then;DB_CLOSE_DELAY=-1");
    Flyway.configure().dataSource(old).target("6").load().migrate();
    String setup =
        Files.readString(Path.of("src/test/resources/older/format-4/brindle.json"))
            .replace("\"Brindle\"", "\"Wheatear\"");
    try (var connection = old.getConnection();
        var document = connection.prepareStatement("insert into revision_document values (1, ?)")) {
      connection
          .createStatement()
          .execute(
              "insert into aircraft (name, newest_revision, created_at, version) values"
                  + " ('Wheatear', 1, current_timestamp, 0); insert into revision (aircraft_id,"
                  + " number, reason, created_at) values (1, 1, 'Then', current_timestamp);"
                  + " insert into flight (aircraft_id, revision_number, flown_on, wind, air, field,"
                  + " battery, cg_mm, remarks, roll_clicks, pitch_clicks, yaw_clicks, created_at,"
                  + " version) values (1, 1, date '2023-05-01', 'CALM', 'SMOOTH', '', '', 0, '', 3,"
                  + " 0, 0, current_timestamp, 0)");
      document.setString(1, setup);
      document.execute();
    }
    Path file = Files.createTempDirectory("high-tally").resolve("old.zip");
    new ArchiveWriter(old, json).write(file, Instant.parse("2023-05-02T12:00:00Z"));
    byte[] whole = Files.readAllBytes(file);
    MockHttpServletResponse done = sent("/api/archive/bring?chosen=1", whole);
    assertThat(done.getStatus()).as(done.getContentAsString()).isEqualTo(200);
    String at = "/api/aircraft/" + json.readTree(done.getContentAsString()).at("/0/id").asLong();
    JsonNode standing = get(at).json();
    assertThat(standing.at("/newest/setup/formatVersion").asInt()).isEqualTo(Setup.FORMAT_VERSION);
    assertThat(standing.at("/newest/setup/name").asText()).isEqualTo("Wheatear");
    assertThat(standing.get("trimsHoldSince").asInt()).isEqualTo(1);
    JsonNode flight = get(at + "/flights").json().at("/items/0");
    assertThat(flight.findValue("flownOn").asText()).isEqualTo("2023-05-01");
    // Once more it is known, and comes in only beside itself.
    assertThat(sent("/api/archive/bring?chosen=1", whole).getStatus()).isEqualTo(409);
  }

  /** Practice with a bundled trainer is nobody's, and came back with no model until it did. */
  @Test
  void practiceThatBelongsToNoModelComesBackOnce() throws Exception {
    Answer begun = post("/api/school/lessons", Map.of("lesson", "GLIDER", "seed", 7));
    assertThat(begun.status()).as(begun.body()).isEqualTo(201);
    byte[] kept = written();
    JsonNode runs = practice(kept);
    try (var connection = data.getConnection();
        var statement = connection.createStatement()) {
      statement.execute("delete from school_run where aircraft_id is null");
    }
    assertThat(practice(written())).isEmpty();
    JsonNode held = json.readTree(sent("/api/archive/look", kept).getContentAsString());
    assertThat(held.get("practice").asInt()).isEqualTo(runs.size());

    assertThat(sent("/api/archive/bring?practice=false", kept).getStatus()).isEqualTo(200);
    assertThat(practice(written())).isEmpty();
    for (int time = 0; time < 2; time++) {
      MockHttpServletResponse done = sent("/api/archive/bring?practice=true", kept);
      assertThat(done.getStatus()).as(done.getContentAsString()).isEqualTo(200);
      assertThat(practice(written())).isEqualTo(runs);
    }
    held = json.readTree(sent("/api/archive/look", kept).getContentAsString());
    assertThat(held.get("practice").asInt()).isZero();
  }

  private JsonNode practice(byte[] archive) throws Exception {
    JsonNode runs = json.readTree(entries(archive).get("school.json")).get("school_run");
    runs.forEach(run -> ((ObjectNode) run).remove(List.of("id", "request_key")));
    return runs;
  }

  @Test
  void whatIsNoArchiveIsRefusedAndChangesNothing() throws Exception {
    byte[] good = written();
    Map<String, byte[]> newer = new HashMap<>(entries(good));
    ObjectNode about = (ObjectNode) json.readTree(newer.get("archive.json"));
    newer.put("archive.json", json.writeValueAsBytes(about.deepCopy().put("dataVersion", "9999")));
    Map<String, byte[]> torn = new HashMap<>(entries(good));
    torn.remove("models/1.json");
    Map<String, byte[]> bent = new HashMap<>(entries(good));
    bent.put(
        "models/1.json",
        new String(bent.get("models/1.json"), StandardCharsets.UTF_8)
            .replaceFirst("\"created_at\" : \"[^\"]*\"", "\"created_at\" : \"yesterday\"")
            .getBytes(StandardCharsets.UTF_8));
    Map<String, byte[]> idle = new HashMap<>(entries(good));
    idle.put(
        "school.json",
        "{\"school_run\": [{\"created_at\": \"one day\"}]}".getBytes(StandardCharsets.UTF_8));
    byte[] none = "no zip".getBytes(StandardCharsets.UTF_8);
    for (byte[] bad : List.of(none, zipped(newer), zipped(torn), zipped(bent), zipped(idle))) {
      MockHttpServletResponse answer =
          sent("/api/archive/bring?chosen=1&beside=1&practice=true", bad);
      assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(422);
      assertThat(answer.getContentAsString()).contains("archive");
    }
    assertThat(entries(written()).keySet()).isEqualTo(entries(good).keySet());
  }
}
