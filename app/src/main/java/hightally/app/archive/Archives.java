package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.aircraft.OlderRevisions;
import hightally.app.platform.ConflictException;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.stereotype.Service;

/** Looks into archives and brings their models back; what is in the hangar is never touched. */
@Service
class Archives {
  /** So that a model beside the one it was is told apart; a name has its length. */
  private static final String BESIDE = ", from the archive";

  private static final int NAME_LONGEST = 60;

  private final DataSource data;
  private final ObjectMapper mapper;
  private final OlderRevisions older;

  Archives(DataSource data, ObjectMapper mapper, OlderRevisions older) {
    this.data = data;
    this.mapper = mapper;
    this.older = older;
  }

  /**
   * A model in an archive.
   *
   * @param number its own in there
   * @param here whether the hangar has it: one of this name that was made at the same moment
   */
  record InArchive(long number, String name, int revisions, int flights, boolean here) {}

  /**
   * What an archive holds.
   *
   * @param writtenAt when it was written
   * @param practice how many practices of the flying school that belong to no model, and are not
   *     here
   */
  record Contents(String writtenAt, List<InArchive> models, int practice) {}

  /** What is to come back: models by their numbers in the archive, and practice without a model. */
  record Wanted(Set<Long> models, Set<Long> beside, boolean practice) {}

  /** A model that was brought back, with its number in the hangar. */
  record BroughtBack(long id, String name) {}

  /** What a file holds; nothing is stored. */
  Contents look(Path file) throws IOException, SQLException {
    try (ArchiveReader archive = new ArchiveReader(file, mapper);
        Connection connection = data.getConnection()) {
      JsonNode about = archive.about();
      notNewer(about, connection);
      List<InArchive> models = new ArrayList<>();
      for (JsonNode one : about.get("models")) {
        models.add(
            new InArchive(
                one.path("number").asLong(),
                one.path("name").asText(),
                one.path("revisions").asInt(),
                one.path("flights").asInt(),
                here(connection, one.path("name").asText(), one.path("createdAt").asText())));
      }
      int practice = practiceNotHere(archive, connection).size();
      return new Contents(about.path("writtenAt").asText(), models, practice);
    }
  }

  private static void notNewer(JsonNode about, Connection connection) throws SQLException {
    MigrationVersion theirs = MigrationVersion.fromVersion(about.path("dataVersion").asText("0"));
    MigrationVersion ours = MigrationVersion.fromVersion(ArchiveWriter.version(connection));
    if (theirs.compareTo(ours) > 0) {
      throw InvalidInputException.of(
          "archive", Said.of("given.file"), Said.of("demand.archiveNotNewer"));
    }
  }

  /** A practice is known by the moment it was begun. */
  private static List<ObjectNode> practiceNotHere(ArchiveReader archive, Connection hangar)
      throws IOException, SQLException {
    List<ObjectNode> found = new ArrayList<>();
    try (PreparedStatement asked =
        hangar.prepareStatement("select 1 from school_run where created_at = ?")) {
      for (JsonNode one : archive.practice().path(Kept.PRACTICE)) {
        asked.setObject(1, moment(one.path("created_at").asText()));
        if (one instanceof ObjectNode row && !asked.executeQuery().next()) {
          found.add(row);
        }
      }
    }
    return found;
  }

  private static boolean here(Connection connection, String name, String createdAt)
      throws SQLException {
    try (PreparedStatement asked =
        connection.prepareStatement("select 1 from aircraft where name = ? and created_at = ?")) {
      asked.setString(1, name);
      asked.setObject(2, moment(createdAt));
      return asked.executeQuery().next();
    }
  }

  private static OffsetDateTime moment(String told) {
    try {
      return OffsetDateTime.parse(told);
    } catch (DateTimeException e) {
      throw notWhole();
    }
  }

  private static InvalidInputException notWhole() {
    return InvalidInputException.of(
        "archive", Said.of("given.file"), Said.of("demand.archiveWhole"));
  }

  /** Brings back what is wanted, all or none; practice that is here already only once. */
  List<BroughtBack> bring(Path file, Wanted wanted) throws IOException, SQLException {
    try (ArchiveReader archive = new ArchiveReader(file, mapper);
        Connection hangar = data.getConnection();
        Connection upgraded = DriverManager.getConnection("jdbc:h2:mem:" + UUID.randomUUID())) {
      JsonNode about = archive.about();
      notNewer(about, hangar);
      List<ObjectNode> practice = wanted.practice ? practiceNotHere(archive, hangar) : List.of();
      broughtUp(archive, about, wanted.models, practice, upgraded);
      hangar.setAutoCommit(false);
      try {
        List<BroughtBack> done = new ArrayList<>();
        for (long number : wanted.models) {
          done.add(copied(upgraded, hangar, number, wanted.beside.contains(number)));
        }
        practised(upgraded, hangar);
        hangar.commit();
        older.workOut();
        return done;
      } catch (SQLException | RuntimeException e) {
        hangar.rollback();
        throw e;
      } finally {
        hangar.setAutoCommit(true);
      }
    }
  }

  /** The chosen models in a database in memory, brought up to today's form of the data. */
  private void broughtUp(
      ArchiveReader archive,
      JsonNode about,
      Set<Long> chosen,
      List<ObjectNode> practice,
      Connection upgraded)
      throws IOException, SQLException {
    String version = about.path("dataVersion").asText();
    migrated(upgraded, MigrationVersion.fromVersion(version));
    try (Statement statement = upgraded.createStatement()) {
      statement.execute("set referential_integrity false");
      Rows rows = new Rows(upgraded, mapper);
      for (long number : chosen) {
        ObjectNode model = archive.model(number);
        for (Kept kept : Kept.ALL) {
          for (JsonNode row : model.path(kept.table())) {
            rows.write(kept.table(), ((ObjectNode) row).deepCopy(), true);
          }
        }
      }
      for (ObjectNode row : practice) {
        rows.write(Kept.PRACTICE, row, true);
      }
      statement.execute("set referential_integrity true");
    } catch (SQLException | ClassCastException | DateTimeException e) {
      throw notWhole();
    }
    migrated(upgraded, MigrationVersion.LATEST);
  }

  private static void migrated(Connection connection, MigrationVersion to) {
    Flyway.configure()
        .dataSource(new SingleConnectionDataSource(connection, true))
        .locations("classpath:db/migration")
        .target(to)
        .load()
        .migrate();
  }

  private BroughtBack copied(Connection from, Connection to, long number, boolean beside)
      throws SQLException {
    Rows there = new Rows(from, mapper);
    Rows here = new Rows(to, mapper);
    Map<String, Map<Long, Long>> numbers = new HashMap<>();
    Map<Long, Long> partings = new HashMap<>();
    String name = "";
    for (Kept kept : Kept.ALL) {
      Map<Long, Long> own = numbers.computeIfAbsent(kept.table(), table -> new HashMap<>());
      for (JsonNode read : there.read(kept.table(), kept.ofOneModel(), number)) {
        ObjectNode row = (ObjectNode) read;
        if (kept.table().equals(Kept.MODEL)) {
          name = named(to, row, beside);
        }
        if (row.has("request_key")) {
          row.putNull("request_key");
        }
        for (Map.Entry<String, String> one : kept.refers().entrySet()) {
          refer(row, one.getKey(), kept, numbers.get(one.getValue()), partings);
        }
        if (kept.table().equals("revision_document") && beside) {
          renamed(row);
        }
        long old = row.path("id").asLong();
        own.put(old, here.write(kept.table(), row, false));
      }
    }
    partings(to, numbers, partings);
    return new BroughtBack(numbers.get(Kept.MODEL).get(number), name);
  }

  private void practised(Connection from, Connection to) throws SQLException {
    Rows here = new Rows(to, mapper);
    for (JsonNode read : new Rows(from, mapper).read(Kept.PRACTICE, Kept.OF_NO_MODEL)) {
      here.write(Kept.PRACTICE, ((ObjectNode) read).putNull("request_key"), false);
    }
  }

  /** The name it comes in under; one that is here already only comes in beside. */
  private static String named(Connection to, ObjectNode row, boolean beside) throws SQLException {
    String name = row.get("name").asText();
    if (beside) {
      name = besideOf(name);
      row.put("name", name);
    } else if (here(to, name, row.get("created_at").asText())) {
      throw new ConflictException(Said.of("refused.inTheHangar", "name", name));
    }
    return name;
  }

  private static String besideOf(String name) {
    int room = NAME_LONGEST - BESIDE.length();
    return name.substring(0, Math.min(room, name.length())) + BESIDE;
  }

  /** What it was called in each revision, which may not be what it is called today. */
  private void renamed(ObjectNode document) {
    try {
      ObjectNode setup = (ObjectNode) mapper.readTree(document.get("setup").asText());
      setup.put("name", besideOf(setup.path("name").asText()));
      document.put("setup", mapper.writeValueAsString(setup));
    } catch (IOException e) {
      throw notWhole();
    }
  }

  private static void refer(
      ObjectNode row, String column, Kept kept, Map<Long, Long> known, Map<Long, Long> partings) {
    if (!row.hasNonNull(column)) {
      return;
    }
    long old = row.get(column).asLong();
    if (kept.later(column)) {
      partings.put(row.get("id").asLong(), old);
      row.putNull(column);
    } else if (old != 0) {
      row.put(column, known.getOrDefault(old, old));
    }
  }

  /** Which adjustment each revision came from, once both are there. */
  private static void partings(
      Connection to, Map<String, Map<Long, Long>> numbers, Map<Long, Long> partings)
      throws SQLException {
    try (PreparedStatement set =
        to.prepareStatement("update revision set adjustment_id = ? where id = ?")) {
      for (Map.Entry<Long, Long> one : partings.entrySet()) {
        set.setObject(1, numbers.get("adjustment").get(one.getValue()));
        set.setObject(2, numbers.get("revision").get(one.getKey()));
        set.executeUpdate();
      }
    }
  }
}
