package hightally.app.platform;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.h2.tools.RunScript;

/**
 * An empty hangar begins with the tables as all migrations leave them, by one script that is made
 * of them, instead of going through every form they ever had.
 */
final class NewestSchema {
  /**
   * Made by its test; the list of what was migrated comes last in it, as one statement, and says
   * that all is there.
   */
  static final String SCRIPT = "/db/newest.sql";

  private NewestSchema() {}

  /** Makes them where there is nothing yet, or what a start left that was killed over it. */
  static void make(Connection connection) throws SQLException, IOException {
    List<String> tables = tables(connection);
    if (!empty(connection, tables)) {
      return;
    }
    try (Statement statement = connection.createStatement()) {
      if (!tables.isEmpty()) {
        statement.execute("drop all objects");
      }
    }
    try (Reader script =
        new InputStreamReader(
            NewestSchema.class.getResourceAsStream(SCRIPT), StandardCharsets.UTF_8)) {
      RunScript.execute(connection, script);
    }
  }

  static List<String> tables(Connection connection) throws SQLException {
    List<String> tables = new ArrayList<>();
    try (ResultSet found =
        connection.getMetaData().getTables(null, "PUBLIC", null, new String[] {"BASE TABLE"})) {
      while (found.next()) {
        tables.add(found.getString("TABLE_NAME"));
      }
    }
    return tables;
  }

  static boolean empty(Connection connection, List<String> tables) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      for (String table : tables) {
        try (ResultSet row = statement.executeQuery("select 1 from \"" + table + "\" limit 1")) {
          if (row.next()) {
            return false;
          }
        }
      }
    }
    return true;
  }
}
