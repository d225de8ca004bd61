package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.aircraft.OlderRevisions;
import hightally.app.platform.ConflictException;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/** Looks into archives and brings their models back; what is in the hangar is never touched. */
@Service
class Archives {
  /** So that a model beside the one it was is told apart; a name has its length. */
  private static final String BESIDE = ", from the archive";

  private static final int NAME_LONGEST = 60;
  private static final Pattern WHOLE = Pattern.compile("[1-9][0-9]{0,3}");

  private final DataSource data;
  private final ObjectMapper mapper;
  private final OlderRevisions older;
  private final EntityRows rows;
  private final ModelPages pages;
  private final TransactionOperations transaction;

  Archives(
      DataSource data,
      ObjectMapper mapper,
      OlderRevisions older,
      EntityRows rows,
      ModelPages pages,
      TransactionOperations transaction) {
    this.data = data;
    this.mapper = mapper;
    this.older = older;
    this.rows = rows;
    this.pages = pages;
    this.transaction = transaction;
  }

  /**
   * A model in an archive.
   *
   * @param number its own in there
   * @param here whether the hangar has it: one of this name that was made at the same moment
   * @param faults what is wrong with it, by table, row and field; one with any is not brought back
   */
  record InArchive(
      long number, String name, int revisions, int flights, boolean here, List<Violation> faults) {}

  /**
   * What an archive holds.
   *
   * @param writtenAt when it was written
   * @param practice how many practices of the flying school that belong to no model, and are not
   *     here
   * @param practiceFaults what is wrong with any of these
   */
  record Contents(
      String writtenAt, List<InArchive> models, int practice, List<Violation> practiceFaults) {}

  /** What is to come back: models by their numbers in the archive, and practice without a model. */
  record Wanted(Set<Long> models, Set<Long> beside, boolean practice) {}

  /** A model that was brought back, with its number in the hangar. */
  record BroughtBack(long id, String name) {}

  /**
   * What a file holds and what is wrong with it; nothing is stored.
   *
   * @param reached told how much is looked at, 0 to 1; may throw to stop
   */
  Contents look(Path file, DoubleConsumer reached) throws IOException, SQLException {
    try (ArchiveReader archive = new ArchiveReader(file, mapper);
        Connection upgraded = DriverManager.getConnection("jdbc:h2:mem:" + UUID.randomUUID())) {
      Contained contained = new Contained(archive, mapper, version(archive.about()), upgraded);
      contained.models(archive.models());
      contained.practice();
      contained.bringUp();
      List<Long> sound = contained.sound();
      for (int i = 0; i < sound.size(); i++) {
        reached.accept((double) i / sound.size());
        tried(contained, upgraded, sound.get(i));
      }
      for (int i = 0; i < contained.practised().size(); i++) {
        rows.fields(Kept.PRACTICE, i, contained.practised().get(i), contained.practiceFaults());
      }
      return contents(archive, contained);
    }
  }

  private Contents contents(ArchiveReader archive, Contained contained)
      throws IOException, SQLException {
    try (Connection hangar = data.getConnection()) {
      List<InArchive> models = new ArrayList<>();
      for (Contained.Model one : contained.all()) {
        boolean here = one.createdAt() != null && here(hangar, one.name(), one.createdAt());
        models.add(
            new InArchive(
                one.number(),
                one.name(),
                one.revisions(),
                one.flights(),
                here,
                one.faults().all()));
      }
      return new Contents(
          archive.about().path("writtenAt").asText(),
          models,
          notHere(contained.practised(), hangar).size(),
          contained.practiceFaults().all());
    }
  }

  /** Puts a model into the hangar, reads it as every page does, and takes it out again. */
  private void tried(Contained contained, Connection upgraded, long number) {
    transaction.executeWithoutResult(
        status -> {
          status.setRollbackOnly();
          Connection hangar = DataSourceUtils.getConnection(data);
          try {
            read(new Bringing(upgraded, hangar, true), number, true, contained.faults(number));
          } finally {
            DataSourceUtils.releaseConnection(hangar, data);
          }
        });
  }

  /** Out of which data a model comes, into which, and whether it is only to see if it can. */
  private record Bringing(Connection from, Connection to, boolean onTrial) {}

  /** Copies a model and reads it with everything that reads it in this program. */
  private Copied read(Bringing bringing, long number, boolean beside, RowFaults faults) {
    try {
      Rows memory = new Rows(bringing.from, mapper);
      for (Kept kept : Kept.ALL) {
        ArrayNode table = memory.read(kept.table(), kept.ofOneModel(), number);
        for (int i = 0; i < table.size(); i++) {
          rows.fields(kept.table(), i, table.get(i), faults);
        }
      }
      if (faults.none()) {
        Copied copied = copied(bringing, number, beside);
        told(copied, faults);
        return copied;
      }
    } catch (SQLException | DataAccessException e) {
      faults.add(Kept.MODEL, 0, "", notWhole());
    } catch (InvalidInputException e) {
      faults.add(Kept.MODEL, 0, "", e);
    } finally {
      rows.forget();
    }
    return null;
  }

  private void told(Copied copied, RowFaults faults) {
    for (Kept kept : Kept.ALL) {
      List<Long> ids = copied.rows.get(kept.table());
      for (int i = 0; i < ids.size() && rows.asks(kept.table()); i++) {
        rows.told(kept.table(), ids.get(i), i, faults);
      }
    }
    if (faults.none()) {
      pages.workOut(copied.id, faults);
    }
  }

  /** The form of the data an archive was written from. */
  private String version(JsonNode about) throws SQLException {
    String told = about.path("dataVersion").asText();
    if (!WHOLE.matcher(told).matches()) {
      throw notWhole();
    }
    try (Connection hangar = data.getConnection()) {
      MigrationVersion ours = MigrationVersion.fromVersion(ArchiveWriter.version(hangar));
      if (MigrationVersion.fromVersion(told).compareTo(ours) > 0) {
        throw InvalidInputException.of(
            "archive", Said.of("given.file"), Said.of("demand.archiveNotNewer"));
      }
    }
    return told;
  }

  /** A practice is known by the moment it was begun. */
  private static List<ObjectNode> notHere(List<ObjectNode> practised, Connection hangar)
      throws SQLException {
    List<ObjectNode> found = new ArrayList<>();
    try (PreparedStatement asked =
        hangar.prepareStatement("select 1 from school_run where created_at = ?")) {
      for (ObjectNode row : practised) {
        asked.setObject(1, OffsetDateTime.parse(row.path("created_at").asText()));
        if (!asked.executeQuery().next()) {
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
      asked.setObject(2, OffsetDateTime.parse(createdAt));
      return asked.executeQuery().next();
    }
  }

  private static InvalidInputException notWhole() {
    return InvalidInputException.of(
        "archive", Said.of("given.file"), Said.of("demand.archiveWhole"));
  }

  /**
   * Brings back what is wanted, all or none; practice that is here already only once.
   *
   * @param reached told how much is brought, 0 to 1; may throw to stop, and nothing was brought
   */
  List<BroughtBack> bring(Path file, Wanted wanted, DoubleConsumer reached)
      throws IOException, SQLException {
    try (ArchiveReader archive = new ArchiveReader(file, mapper);
        Connection upgraded = DriverManager.getConnection("jdbc:h2:mem:" + UUID.randomUUID())) {
      Contained contained = new Contained(archive, mapper, version(archive.about()), upgraded);
      contained.models(wanted.models);
      if (wanted.practice) {
        contained.practice();
      }
      contained.bringUp();
      contained.refuseFaults();
      return transaction.execute(status -> brought(contained, upgraded, wanted, reached));
    }
  }

  private List<BroughtBack> brought(
      Contained contained, Connection upgraded, Wanted wanted, DoubleConsumer reached) {
    Connection hangar = DataSourceUtils.getConnection(data);
    try {
      List<BroughtBack> done = new ArrayList<>();
      for (long number : wanted.models) {
        reached.accept((double) done.size() / wanted.models.size());
        Copied copied =
            read(
                new Bringing(upgraded, hangar, false),
                number,
                wanted.beside.contains(number),
                contained.faults(number));
        contained.refuseFaults();
        done.add(new BroughtBack(copied.id, copied.name));
      }
      List<ObjectNode> practised = notHere(contained.practised(), hangar);
      for (int i = 0; i < practised.size(); i++) {
        rows.fields(Kept.PRACTICE, i, practised.get(i), contained.practiceFaults());
      }
      contained.refuseFaults();
      for (int i = 0; i < practised.size(); i++) {
        practised(hangar, practised.get(i), i, contained.practiceFaults());
      }
      contained.refuseFaults();
      return done;
    } catch (SQLException e) {
      throw notWhole();
    } finally {
      DataSourceUtils.releaseConnection(hangar, data);
    }
  }

  private void practised(Connection hangar, ObjectNode row, int index, RowFaults faults)
      throws SQLException {
    long id = new Rows(hangar, mapper).write(Kept.PRACTICE, row.putNull("request_key"), false);
    rows.told(Kept.PRACTICE, id, index, faults);
  }

  /** What became of a model's rows: their numbers here, by table, in the order of the archive. */
  private record Copied(long id, String name, Map<String, List<Long>> rows) {}

  private Copied copied(Bringing bringing, long number, boolean beside) throws SQLException {
    Connection to = bringing.to;
    Rows there = new Rows(bringing.from, mapper);
    Rows here = new Rows(to, mapper);
    Map<String, Map<Long, Long>> numbers = new HashMap<>();
    Map<String, List<Long>> written = new HashMap<>();
    Map<Long, Long> partings = new HashMap<>();
    String name = "";
    for (Kept kept : Kept.ALL) {
      Map<Long, Long> own = numbers.computeIfAbsent(kept.table(), table -> new HashMap<>());
      List<Long> ids = written.computeIfAbsent(kept.table(), table -> new ArrayList<>());
      for (JsonNode read : there.read(kept.table(), kept.ofOneModel(), number)) {
        ObjectNode row = (ObjectNode) read;
        if (kept.table().equals(Kept.MODEL)) {
          name = named(to, row, beside, bringing.onTrial);
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
        long fresh = here.write(kept.table(), row, false);
        own.put(old, fresh);
        ids.add(fresh == 0 ? row.elements().next().asLong() : fresh);
      }
    }
    partings(to, numbers, partings);
    long id = numbers.get(Kept.MODEL).get(number);
    older.workOut(id);
    return new Copied(id, name, written);
  }

  /** The name it comes in under; one that is here already only comes in beside. */
  private static String named(Connection to, ObjectNode row, boolean beside, boolean onTrial)
      throws SQLException {
    String name = row.get("name").asText();
    if (onTrial) {
      return name;
    }
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
      row.put(column, known.get(old));
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
