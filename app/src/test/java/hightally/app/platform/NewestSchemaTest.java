package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The one script is what all migrations come to. */
class NewestSchemaTest {
  private static final Path SCRIPT =
      Path.of("src/main/resources", NewestSchema.SCRIPT.substring(1));
  private static final String HISTORY = "flyway_schema_history";

  @TempDir private Path folder;

  /** In a file: tables in memory are made otherwise. */
  private String url(String which) {
    return "jdbc:h2:file:" + folder.resolve(which);
  }

  private Connection opened(String which) throws SQLException {
    return DriverManager.getConnection(url(which), "sa", "");
  }

  /** What the tables are; their history comes last. */
  private static String script(Connection connection) throws SQLException {
    List<String> first = new ArrayList<>();
    List<String> last = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet lines = statement.executeQuery("script nodata nopasswords nosettings")) {
      while (lines.next()) {
        String line = lines.getString(1).strip().replaceAll("(?m)^--.*\n?", "");
        if (line.contains(HISTORY) && !line.isEmpty()) {
          last.add(line);
        } else if (!line.startsWith("CREATE USER") && !line.isEmpty()) {
          first.add(line);
        }
      }
    }
    first.addAll(last);
    try (Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery(
                "select * from \"" + HISTORY + "\" order by \"installed_rank\"")) {
      List<String> values = new ArrayList<>();
      while (row.next()) {
        values.add(
            String.format(
                "(%d, %s, '%s', '%s', '%s', %s, 'SA', CURRENT_TIMESTAMP, 0, TRUE)",
                row.getInt("installed_rank"),
                row.getString("version") == null ? "NULL" : "'" + row.getString("version") + "'",
                row.getString("description"),
                row.getString("type"),
                row.getString("script"),
                row.getString("checksum")));
      }
      // At once: half a list would say that the rest is still to be migrated.
      first.add("INSERT INTO \"" + HISTORY + "\" VALUES " + String.join(",\n", values) + ";");
    }
    return String.join("\n", first) + "\n";
  }

  /** Constraints are told in any order. */
  private static List<String> statements(String script) {
    return Stream.of(script.split(";\n")).map(String::strip).sorted().toList();
  }

  @Test
  void itIsWhatTheMigrationsComeTo() throws Exception {
    Flyway.configure().dataSource(url("migrated"), "sa", "").load().migrate();
    try (Connection migrated = opened("migrated")) {
      String script = script(migrated);
      if (Boolean.getBoolean("publish")) {
        Files.writeString(SCRIPT, script);
      }
      assertThat(statements(Files.readString(SCRIPT))).isEqualTo(statements(script));
      List<String> tables = NewestSchema.tables(migrated);
      assertThat(tables).hasSizeGreaterThan(15).contains(HISTORY);
      tables.remove(HISTORY);
      assertThat(NewestSchema.empty(migrated, tables)).as("no migration adds rows").isTrue();
      try (Connection made = opened("made")) {
        NewestSchema.make(made);
        assertThat(statements(script(made))).isEqualTo(statements(script));
        assertThat(
                Flyway.configure()
                    .dataSource(url("made"), "sa", "")
                    .load()
                    .migrate()
                    .migrationsExecuted)
            .isZero();
      }
    }
  }

  /** A start can be killed anywhere in it: the next one begins anew. */
  @Test
  void cutAnywhereItIsMadeAnew() throws Exception {
    String[] all = Files.readString(SCRIPT).split(";\n");
    for (int statements = 0; statements < all.length; statements++) {
      try (Connection connection = opened("cut");
          Statement statement = connection.createStatement()) {
        statement.execute("drop all objects");
        for (int i = 0; i < statements; i++) {
          statement.execute(all[i]);
        }
        NewestSchema.make(connection);
        assertThat(statements(script(connection)))
            .as("after %d", statements)
            .isEqualTo(statements(Files.readString(SCRIPT)));
      }
    }
  }

  /** What holds anything is never dropped. */
  @Test
  void whatHoldsRowsIsLeftAsItIs() throws Exception {
    try (Connection connection = opened("other");
        Statement statement = connection.createStatement()) {
      statement.execute("create table of_another (told int)");
      statement.execute("insert into of_another values (7)");
      NewestSchema.make(connection);
      assertThat(NewestSchema.tables(connection)).containsExactly("OF_ANOTHER");
    }
  }
}
