package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A table that an archive holds, and which of its columns name a row of another: by these a model's
 * rows find one another again under new numbers.
 *
 * @param refers column to table; every table but the first belongs to a model by one of them
 */
record Kept(String table, Map<String, String> refers) {
  static final String MODEL = "aircraft";

  /** The one table with rows that may belong to no model. */
  static final String PRACTICE = "school_run";

  static final String OF_NO_MODEL = "aircraft_id is null";
  private static final String OF_MODEL = "aircraft_id";

  /** In an order in which they can be written; only a revision names what comes after it. */
  static final List<Kept> ALL =
      List.of(
          new Kept(MODEL, Map.of()),
          ofModel("revision", Map.of("adjustment_id", "adjustment")),
          new Kept("revision_document", Map.of("revision_id", "revision")),
          ofModel("check_run", Map.of()),
          ofModel("flight", Map.of("check_run", "check_run")),
          ofModel("adjustment", Map.of("flight_id", "flight")),
          ofModel("bench_set_up", Map.of()),
          ofModel("bench_answer", Map.of("bench_set_up_id", "bench_set_up")),
          ofModel("part_change", Map.of()),
          ofModel("entered_value", Map.of()),
          ofModel("typed_change", Map.of()),
          ofModel("skipped_test", Map.of()),
          ofModel("metal_job", Map.of()),
          ofModel("wishes", Map.of()),
          ofModel("settled_word", Map.of("flight_id", "flight")),
          ofModel("bench_reading", Map.of()),
          ofModel("clearance_word", Map.of()),
          ofModel(PRACTICE, Map.of()));

  /**
   * Who was let in is a matter of this machine, and the means to come in are in no file; what a
   * search found is worked out again.
   */
  static final List<String> NOT_KEPT = List.of("device", "setup_verdict");

  private static Kept ofModel(String table, Map<String, String> more) {
    Map<String, String> refers = new HashMap<>(more);
    refers.put(OF_MODEL, MODEL);
    return new Kept(table, Map.copyOf(refers));
  }

  static Optional<Kept> named(String table) {
    return ALL.stream().filter(one -> one.table.equals(table)).findFirst();
  }

  /** Where the rows of one model are, with a place for its number. */
  String ofOneModel() {
    if (table.equals(MODEL)) {
      return "id = ?";
    }
    return refers.containsKey(OF_MODEL)
        ? OF_MODEL + " = ?"
        : "revision_id in (select id from revision where aircraft_id = ?)";
  }

  /** Whether a value names no row: a flight without a check says 0. */
  boolean none(String column, JsonNode value) {
    return column.equals("check_run") && value.asLong() == 0;
  }

  /** Whether a column names a row that is written later. */
  boolean later(String column) {
    return table.equals("revision") && column.equals("adjustment_id");
  }
}
