package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.Said;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;

/**
 * Rows of an archive as they lie in its file, held against the tables of the version that wrote
 * them: every column there, of its type, within its length and time; every number of a row its own,
 * every reference to a row that came along.
 */
final class RawRows {
  private static final String ID = "id";

  /** Columns that name a revision of the same model by its number. */
  private static final Set<String> OF_REVISION =
      Set.of("revision_number", "result_revision", "trims_hold_since", "newest_revision");

  private final Rows rows;

  /** Numbers that are taken, by table: an archive has each once, whichever model it is of. */
  private final Map<String, Set<Long>> taken = new HashMap<>();

  RawRows(Rows rows) {
    this.rows = rows;
  }

  /** Everything wrong in a model. */
  RowFaults of(long number, ObjectNode model) throws SQLException {
    RowFaults faults = new RowFaults();
    for (Iterator<String> all = model.fieldNames(); all.hasNext(); ) {
      String table = all.next();
      if (Kept.named(table).isEmpty()) {
        faults.add(table, 0, "", Said.of("given.notKnown"), Said.of("demand.leftOut"));
      }
    }
    for (Kept kept : Kept.ALL) {
      JsonNode table = model.path(kept.table());
      if (!rows.columns(kept.table()).isEmpty() && !table.isArray()) {
        faults.add(kept.table(), 0, "", Said.of("given.missing"), Said.of("demand.list"));
        continue;
      }
      for (int i = 0; i < table.size(); i++) {
        row(kept, i, table.get(i), faults);
      }
    }
    if (faults.none()) {
      together(number, model, faults);
    }
    return faults;
  }

  /** A practice that belongs to no model. */
  RowFaults practice(int index, JsonNode row) throws SQLException {
    RowFaults faults = new RowFaults();
    row(Kept.named(Kept.PRACTICE).orElseThrow(), index, row, faults);
    if (faults.none() && !row.path("aircraft_id").isNull()) {
      faults.add(
          Kept.PRACTICE,
          index,
          "aircraft_id",
          row.path("aircraft_id").toString(),
          Said.of("demand.leftOut"));
    }
    return faults;
  }

  private void row(Kept kept, int index, JsonNode row, RowFaults faults) throws SQLException {
    String table = kept.table();
    if (!row.isObject()) {
      faults.add(table, index, "", Said.of("given.wrongKind"), Said.of("demand.object"));
      return;
    }
    Map<String, StoredColumn> columns = rows.columns(table);
    for (Iterator<String> all = row.fieldNames(); all.hasNext(); ) {
      String name = all.next();
      if (!columns.containsKey(name)) {
        faults.add(table, index, name, Said.of("given.notKnown"), Said.of("demand.leftOut"));
      }
    }
    for (Map.Entry<String, StoredColumn> one : columns.entrySet()) {
      String name = one.getKey();
      StoredColumn column = one.getValue();
      JsonNode value = row.path(name);
      if (value.isMissingNode()) {
        if (name.equals(ID) || !column.nullable() && !column.filled()) {
          faults.add(table, index, name, Said.of("given.missing"), Said.of("demand.given"));
        }
        continue;
      }
      column
          .wanted(value)
          .ifPresent(demand -> faults.add(table, index, name, shown(value), demand));
    }
    long id = row.path(ID).asLong();
    if (columns.containsKey(ID)
        && row.path(ID).isIntegralNumber()
        && (id < 1 || !taken.computeIfAbsent(table, one -> new HashSet<>()).add(id))) {
      faults.add(table, index, ID, id, Said.of("demand.numberOnce"));
    }
  }

  private static Object shown(JsonNode value) {
    if (value.isNumber()) {
      return value.isIntegralNumber() ? value.bigIntegerValue().toString() : value.asText();
    }
    String text = value.isTextual() ? value.textValue() : value.toString();
    return Said.of("given.text", "text", text.length() > 40 ? text.substring(0, 40) + "…" : text);
  }

  private void together(long number, ObjectNode model, RowFaults faults) throws SQLException {
    Map<String, Set<Long>> ids = new HashMap<>();
    for (Kept kept : Kept.ALL) {
      Set<Long> own = ids.computeIfAbsent(kept.table(), table -> new HashSet<>());
      model.path(kept.table()).forEach(row -> own.add(row.path(ID).asLong()));
    }
    if (model.path(Kept.MODEL).size() != 1
        || model.path(Kept.MODEL).path(0).path(ID).asLong() != number) {
      faults.add(
          Kept.MODEL,
          0,
          ID,
          Said.of("given.values", "count", model.path(Kept.MODEL).size()),
          Said.of("demand.oneModelNumbered", "number", String.valueOf(number)));
    }
    Set<Long> numbers = revisions(model, faults);
    for (Kept kept : Kept.ALL) {
      JsonNode table = model.path(kept.table());
      for (int i = 0; i < table.size(); i++) {
        refers(kept, i, table.get(i), ids, faults);
        for (String column : OF_REVISION) {
          JsonNode named = table.get(i).path(column);
          if (named.isIntegralNumber() && !numbers.contains(named.asLong())) {
            faults.add(kept.table(), i, column, named.asLong(), Said.of("demand.revisionThatCame"));
          }
        }
      }
    }
  }

  /** They are counted from 1 without a gap up to the newest, each with its document. */
  private Set<Long> revisions(ObjectNode model, RowFaults faults) throws SQLException {
    Set<Long> numbers = new HashSet<>();
    Set<Long> documents = new HashSet<>();
    model.path("revision_document").forEach(one -> documents.add(one.path("revision_id").asLong()));
    boolean apart = !rows.columns("revision_document").isEmpty();
    JsonNode table = model.path("revision");
    int newest = table.size();
    if (newest == 0 || model.path(Kept.MODEL).path(0).path("newest_revision").asInt() != newest) {
      faults.add(
          Kept.MODEL,
          0,
          "newest_revision",
          model.path(Kept.MODEL).path(0).path("newest_revision").asText(),
          Said.of("demand.revisionsCounted", "count", newest));
    }
    for (int i = 0; i < newest; i++) {
      long number = table.get(i).path("number").asLong();
      if (number < 1 || number > newest || !numbers.add(number)) {
        faults.add(
            "revision", i, "number", number, Said.of("demand.revisionsCounted", "count", newest));
      }
      if (apart && !documents.contains(table.get(i).path(ID).asLong())) {
        faults.add("revision", i, "setup", Said.of("given.missing"), Said.of("demand.given"));
      }
    }
    return numbers;
  }

  private static void refers(
      Kept kept, int index, JsonNode row, Map<String, Set<Long>> ids, RowFaults faults) {
    kept.refers()
        .forEach(
            (column, table) -> {
              JsonNode named = row.path(column);
              boolean none = named.isNull() || named.isMissingNode() || kept.none(column, named);
              if (!none && !ids.get(table).contains(named.asLong())) {
                faults.add(
                    kept.table(),
                    index,
                    column,
                    named.asLong(),
                    Said.of("demand.rowThatCame", "table", table));
              }
            });
  }
}
