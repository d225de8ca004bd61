package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.function.DoubleConsumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;

/**
 * Writes everything into one ZIP: {@code archive.json} says what it is, {@code models/N.json} holds
 * one model each with all its rows, {@code school.json} what belongs to none. Read in one view of
 * the data, so that what is saved meanwhile is in it wholly or not at all; of any version of the
 * data, since tables and columns are asked of the database itself.
 */
@Component
class ArchiveWriter {
  static final int FORMAT = 1;
  static final String ABOUT = "archive.json";
  static final String SCHOOL = "school.json";
  static final String MODELS = "models/";

  private static final long EVERY = 0;

  private final DataSource data;
  private final ObjectMapper mapper;

  ArchiveWriter(DataSource data, ObjectMapper mapper) {
    this.data = data;
    this.mapper = mapper;
  }

  /** Writes a file that is there only when it is whole. */
  void write(Path file, Instant now) throws IOException, SQLException {
    write(file, now, done -> {});
  }

  /**
   * The same, telling how much is written, 0 to 1.
   *
   * @param reached told before each model; may throw to stop
   */
  void write(Path file, Instant now, DoubleConsumer reached) throws IOException, SQLException {
    Files.createDirectories(file.toAbsolutePath().getParent());
    Path part = file.resolveSibling(file.getFileName() + ".part");
    try {
      try (OutputStream out = Files.newOutputStream(part)) {
        write(out, now, EVERY, reached);
      }
      try {
        Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
      } catch (AtomicMoveNotSupportedException e) {
        Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
      }
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** Writes one model alone, as it lies in the data. */
  void write(OutputStream out, Instant now, long only) throws IOException, SQLException {
    write(out, now, only, done -> {});
  }

  private void write(OutputStream out, Instant now, long only, DoubleConsumer reached)
      throws IOException, SQLException {
    try (Connection connection = data.getConnection()) {
      isolate(connection, "SNAPSHOT");
      connection.setAutoCommit(false);
      try (ZipOutputStream zip = new ZipOutputStream(out)) {
        write(zip, connection, now, only, reached);
      } finally {
        connection.rollback();
        connection.setAutoCommit(true);
        isolate(connection, "READ COMMITTED");
      }
    }
  }

  private static void isolate(Connection connection, String level) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute("set session characteristics as transaction isolation level " + level);
    }
  }

  private void write(
      ZipOutputStream zip, Connection connection, Instant now, long only, DoubleConsumer reached)
      throws IOException, SQLException {
    Rows rows = new Rows(connection, mapper);
    ObjectNode about = mapper.createObjectNode();
    about.put("format", FORMAT).put("program", "High Tally").put("writtenAt", now.toString());
    about.put("dataVersion", version(connection));
    ArrayNode models = about.putArray("models");
    ArrayNode all = rows.read(Kept.MODEL, "? in (id, 0)", only);
    for (int i = 0; i < all.size(); i++) {
      reached.accept((double) i / all.size());
      JsonNode model = all.get(i);
      long id = model.get("id").asLong();
      ObjectNode one = mapper.createObjectNode();
      for (Kept kept : Kept.ALL) {
        one.set(kept.table(), rows.read(kept.table(), kept.ofOneModel(), id));
      }
      models
          .addObject()
          .put("number", id)
          .put("name", model.get("name").asText())
          .put("createdAt", model.get("created_at").asText())
          .put("revisions", one.get("revision").size())
          .put("flights", one.get("flight").size());
      entry(zip, MODELS + id + ".json", one);
    }
    ObjectNode school = mapper.createObjectNode();
    school.set(
        Kept.PRACTICE,
        only == EVERY ? rows.read(Kept.PRACTICE, Kept.OF_NO_MODEL) : mapper.createArrayNode());
    entry(zip, SCHOOL, school);
    entry(zip, ABOUT, about);
  }

  private void entry(ZipOutputStream zip, String name, ObjectNode content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(mapper.writerWithDefaultPrettyPrinter().writeValueAsBytes(content));
    zip.closeEntry();
  }

  /** The newest migration the data have been through. */
  static String version(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        var found =
            statement.executeQuery(
                "select \"version\" from \"flyway_schema_history\" where \"success\" and"
                    + " \"version\" is not null order by \"installed_rank\" desc limit 1")) {
      return found.next() ? found.getString(1) : "0";
    }
  }
}
