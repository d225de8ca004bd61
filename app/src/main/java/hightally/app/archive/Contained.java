package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/**
 * What came of an archive: its models in a database in memory, brought up to today's form, and
 * beside them what is wrong with those that are not whole.
 */
final class Contained {
  private final ArchiveReader archive;
  private final ObjectMapper mapper;
  private final Connection memory;
  private final Rows rows;
  private final RawRows raw;
  private final Map<Long, Model> models = new LinkedHashMap<>();
  private final List<ObjectNode> practice = new ArrayList<>();
  private final RowFaults practiceFaults = new RowFaults();

  /** A model, or what can be told of one that is not whole. */
  record Model(
      long number, String name, String createdAt, int revisions, int flights, RowFaults faults) {}

  Contained(ArchiveReader archive, ObjectMapper mapper, String version, Connection memory)
      throws SQLException {
    this.archive = archive;
    this.mapper = mapper;
    this.memory = memory;
    migrated(memory, MigrationVersion.fromVersion(version));
    referring(false);
    rows = new Rows(memory, mapper);
    raw = new RawRows(rows);
  }

  private void referring(boolean checked) throws SQLException {
    try (Statement statement = memory.createStatement()) {
      statement.execute("set referential_integrity " + checked);
    }
  }

  private static void migrated(Connection connection, MigrationVersion to) {
    Flyway.configure()
        .dataSource(new SingleConnectionDataSource(connection, true))
        .locations("classpath:db/migration")
        .target(to)
        .load()
        .migrate();
  }

  /** Takes models in, those that are whole. */
  void models(Collection<Long> numbers) throws IOException, SQLException {
    for (long number : numbers) {
      try {
        model(number, archive.model(number));
      } catch (InvalidInputException e) {
        RowFaults faults = new RowFaults();
        e.violations().forEach(faults::add);
        models.put(number, new Model(number, String.valueOf(number), null, 0, 0, faults));
      }
    }
  }

  private void model(long number, ObjectNode found) throws SQLException {
    RowFaults faults = raw.of(number, found);
    if (faults.none()) {
      write(found, faults);
    }
    JsonNode row = found.path(Kept.MODEL).path(0);
    models.put(
        number,
        new Model(
            number,
            row.path("name").asText(String.valueOf(number)),
            faults.none() ? row.path("created_at").asText() : null,
            found.path("revision").size(),
            found.path("flight").size(),
            faults));
  }

  private void write(ObjectNode model, RowFaults faults) {
    for (Kept kept : Kept.ALL) {
      JsonNode table = model.path(kept.table());
      for (int i = 0; i < table.size(); i++) {
        try {
          rows.write(kept.table(), ((ObjectNode) table.get(i)).deepCopy(), true);
        } catch (SQLException e) {
          faults.add(
              kept.table(), i, "", Said.of("given.notPossible"), Said.of("demand.besideOthers"));
        }
      }
    }
  }

  /** Takes practice in that belongs to no model. */
  void practice() throws IOException, SQLException {
    JsonNode table = archive.practice().path(Kept.PRACTICE);
    for (int i = 0; i < table.size(); i++) {
      RowFaults faults = raw.practice(i, table.get(i));
      faults.all().forEach(practiceFaults::add);
      if (faults.none()) {
        rows.write(Kept.PRACTICE, ((ObjectNode) table.get(i)).deepCopy(), true);
      }
    }
  }

  /** Brings all of it up to today's form. */
  void bringUp() throws SQLException {
    for (Model one : models.values()) {
      if (!one.faults.none()) {
        remove(one.number);
      }
    }
    referring(true);
    migrated(memory, MigrationVersion.LATEST);
    for (JsonNode row : new Rows(memory, mapper).read(Kept.PRACTICE, Kept.OF_NO_MODEL)) {
      practice.add((ObjectNode) row);
    }
  }

  private void remove(long number) throws SQLException {
    List<Kept> last = new ArrayList<>(Kept.ALL);
    Collections.reverse(last);
    for (Kept kept : last) {
      if (rows.columns(kept.table()).isEmpty()) {
        continue;
      }
      try (var delete =
          memory.prepareStatement("delete from " + kept.table() + " where " + kept.ofOneModel())) {
        delete.setLong(1, number);
        delete.executeUpdate();
      }
    }
  }

  /** Numbers of those nothing is known to be wrong with. */
  List<Long> sound() {
    return models.values().stream().filter(one -> one.faults.none()).map(Model::number).toList();
  }

  /** What is known to be wrong with one; more may be added. */
  RowFaults faults(long number) {
    return models.get(number).faults;
  }

  List<Model> all() {
    return List.copyOf(models.values());
  }

  List<ObjectNode> practised() {
    return practice;
  }

  RowFaults practiceFaults() {
    return practiceFaults;
  }

  /** Refuses all of it where anything is wrong with any of it. */
  void refuseFaults() {
    List<Violation> all = new ArrayList<>();
    for (Model one : models.values()) {
      for (Violation each : one.faults.all()) {
        all.add(new Violation(one.name + ": " + each.field(), each.value(), each.requirement()));
      }
    }
    all.addAll(practiceFaults.all());
    if (!all.isEmpty()) {
      throw new InvalidInputException(all);
    }
  }
}
