package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.github.benmanes.caffeine.cache.Cache;
import hightally.app.aircraft.OlderRevisions;
import hightally.app.aircraft.StoredDocument;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A model of which something stored cannot be read is one card; everything else goes on. */
class UnreadableTest extends ArchiveCalls {
  /** The demonstration's gliders of that name, whatever else was put into the hangar. */
  private static final String NAMED = "/api/aircraft?named=Larkmere&size=200";

  @Autowired private JdbcTemplate jdbc;
  @Autowired private DataSource data;
  @Autowired private OlderRevisions older;
  @Autowired private ApplicationContext context;

  private record Place(String table, String column) {}

  private long model() throws Exception {
    long found = Long.MAX_VALUE;
    for (JsonNode one : get(NAMED).json().get("items")) {
      found = Math.min(found, one.get("id").asLong());
    }
    return found;
  }

  /** Nothing read before is remembered, as after a start. */
  private void startedAnew() {
    Object setups = context.getBean("storedSetups");
    ((Cache<?, ?>) ReflectionTestUtils.getField(setups, "read")).invalidateAll();
  }

  private List<Place> texts() throws Exception {
    List<Place> found = new ArrayList<>();
    try (var connection = data.getConnection()) {
      Rows rows = new Rows(connection, json);
      for (Kept kept : Kept.ALL) {
        rows.columns(kept.table())
            .forEach(
                (name, column) -> {
                  if (column.type().equals("CHARACTER VARYING")) {
                    found.add(new Place(kept.table(), name));
                  }
                });
      }
    }
    return found;
  }

  /** A table that nothing here reads would be believed whatever it holds. */
  @Test
  void everyTableThatIsKeptIsAskedWhatItTells() {
    List<String> documents =
        context.getBeansOfType(StoredDocument.class).values().stream()
            .map(StoredDocument::table)
            .toList();
    EntityRows rows = context.getBean(EntityRows.class);
    assertThat(Kept.ALL).allMatch(one -> rows.asks(one.table()) || documents.contains(one.table()));
  }

  /** What was ticked off is told as it stands where it is no message. */
  @Test
  void whatIsNoMessageIsShownAsItStands() throws Exception {
    String at = "/api/aircraft/" + model() + "/entered";
    for (String data :
        List.of("{\"say\": \"no.such.message\"}", "{\"say\": {}}", "{\"say\": \"list\"}")) {
      Map<String, Object> ticked =
          Map.of("transmitter", "Other", "key", "a", "data", data, "readBack", false);
      Answer done =
          send(
              HttpMethod.PUT,
              at,
              MediaType.APPLICATION_JSON,
              json.writeValueAsString(List.of(ticked)));
      assertThat(done.status()).as(done.body()).isEqualTo(200);
      assertThat(get(at + "?transmitter=Other").status()).as(data).isEqualTo(200);
    }
  }

  @Test
  void whateverTextCannotBeReadIsOneCardAndTheOthersAreThere() throws Exception {
    long id = model();
    String at = "/api/aircraft/" + id;
    int cards = 0;
    List<Place> texts = texts();
    assertThat(texts.size()).isGreaterThan(40);
    for (Place place : texts) {
      String where = Kept.named(place.table).orElseThrow().ofOneModel().replace("?", "" + id);
      String all = "select " + place.column + " from " + place.table + " where " + where;
      List<String> before = jdbc.queryForList(all, String.class);
      if (before.isEmpty() || place.table.equals(Kept.MODEL)) {
        continue; // The row that makes it a model: its name and where it is.
      }
      boolean key = place.column.equals("request_key");
      if (key) {
        continue;
      }
      jdbc.update("update " + place.table + " set " + place.column + " = '{]' where " + where);
      startedAnew();
      try {
        cards += lookedAt(place, id, at);
      } finally {
        String one = before.stream().distinct().count() == 1 ? before.get(0) : null;
        restored(place, where, before, one);
        startedAnew();
      }
    }
    assertThat(cards).as("columns that make a card").isGreaterThan(8);
    assertThat(get(NAMED).json().get("unreadable")).isEmpty();
  }

  /** Row by row as it was, in the order of the rows. */
  private void restored(Place place, String where, List<String> before, String same) {
    if (same != null) {
      jdbc.update("update " + place.table + " set " + place.column + " = ? where " + where, same);
      return;
    }
    String id = place.table.equals("revision_document") ? "revision_id" : "id";
    List<Long> ids =
        jdbc.queryForList("select " + id + " from " + place.table + " where " + where, Long.class);
    for (int i = 0; i < ids.size(); i++) {
      jdbc.update(
          "update " + place.table + " set " + place.column + " = ? where " + id + " = ?",
          before.get(i),
          ids.get(i));
    }
  }

  private int lookedAt(Place place, long id, String at) throws Exception {
    Answer hangar = get(NAMED);
    assertThat(hangar.status()).as(place + hangar.body()).isEqualTo(200);
    JsonNode unreadable = hangar.json().get("unreadable");
    assertThat(hangar.json().get("items").size() + unreadable.size())
        .isEqualTo(hangar.json().get("total").asInt());
    assertThat(unreadable.size()).as(place.toString()).isLessThanOrEqualTo(1);
    assertThat(get("/api/school").status()).as(place.toString()).isEqualTo(200);
    assertThat(get("/api/aircraft/put-away").status()).as(place.toString()).isEqualTo(200);
    older.afterSingletonsInstantiated();
    if (unreadable.isEmpty()) {
      assertThat(get(at).status()).as(place.toString()).isEqualTo(200);
      return 0;
    }
    JsonNode card = unreadable.get(0);
    assertThat(card.get("id").asLong()).isEqualTo(id);
    assertThat(card.get("name").asText()).isNotEmpty();
    String field = card.at("/faults/0/field").asText();
    assertThat(field).as(place.toString()).matches("(" + place.table + "|history|coach)\\b.*");
    for (String page : List.of("", "/coach", "/flights", "/checks", "/settling")) {
      Answer answer = get(at + page);
      assertThat(answer.status()).as(place + page + answer.body()).isIn(200, 422);
    }
    Answer asked = get(at);
    assertThat(asked.status()).isEqualTo(422);
    assertThat(asked.body()).contains(field, "cannot be read").doesNotContain("hightally.");
    var saved = http.perform(MockMvcRequestBuilders.get("/api/archive/models/" + id)).andReturn();
    Map<String, byte[]> entries = entries(saved.getResponse().getContentAsByteArray());
    assertThat(entries.keySet())
        .containsExactlyInAnyOrder("archive.json", "school.json", "models/" + id + ".json");
    assertThat(new String(entries.get("models/" + id + ".json"))).contains("{]");
    assertThat(http.perform(MockMvcRequestBuilders.get("/api/archive")).andReturn().getResponse())
        .extracting(one -> one.getStatus())
        .isEqualTo(200);
    put(at, "DELETED");
    assertThat(get(NAMED).json().get("unreadable")).isEmpty();
    put(at, "IN_USE");
    return 1;
  }

  private void put(String at, String place) throws Exception {
    String body = json.writeValueAsString(Map.of("place", place));
    Answer done = send(HttpMethod.PUT, at + "/place", MediaType.APPLICATION_JSON, body);
    assertThat(done.status()).as(done.body()).isEqualTo(204);
  }
}
