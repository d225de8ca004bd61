package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.Connection;
import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Rows of tables as they are: read into JSON, column by column, and written from it. */
final class Rows {
  private final Connection connection;
  private final ObjectMapper mapper;
  private final Map<String, Map<String, StoredColumn>> known = new HashMap<>();

  Rows(Connection connection, ObjectMapper mapper) {
    this.connection = connection;
    this.mapper = mapper;
  }

  /** Columns of a table that are stored and not worked out; none where it is not. */
  Map<String, StoredColumn> columns(String table) throws SQLException {
    Map<String, StoredColumn> asked = known.get(table);
    if (asked == null) {
      asked = askedFor(table);
      known.put(table, asked);
    }
    return asked;
  }

  private Map<String, StoredColumn> askedFor(String table) throws SQLException {
    Map<String, StoredColumn> found = new LinkedHashMap<>();
    try (PreparedStatement asked =
        connection.prepareStatement(
            "select column_name, data_type, is_nullable, column_default, character_maximum_length"
                + " from information_schema.columns where table_schema = 'PUBLIC' and"
                + " lower(table_name) = ? and is_generated = 'NEVER' order by ordinal_position")) {
      asked.setString(1, table);
      try (ResultSet rows = asked.executeQuery()) {
        while (rows.next()) {
          found.put(
              rows.getString(1).toLowerCase(Locale.ROOT),
              new StoredColumn(
                  rows.getString(2),
                  rows.getString(3).equals("YES"),
                  rows.getString(4) != null,
                  rows.getLong(5)));
        }
      }
    }
    return found;
  }

  /** The rows of a table of which a condition holds, the oldest first. */
  ArrayNode read(String table, String where, Object... values) throws SQLException {
    ArrayNode rows = mapper.createArrayNode();
    Map<String, StoredColumn> columns = columns(table);
    if (columns.isEmpty()) {
      return rows;
    }
    String sql =
        "select " + String.join(", ", columns.keySet()) + " from " + table + " where " + where;
    try (PreparedStatement asked = connection.prepareStatement(sql + " order by 1")) {
      for (int i = 0; i < values.length; i++) {
        asked.setObject(i + 1, values[i]);
      }
      try (ResultSet found = asked.executeQuery()) {
        ResultSetMetaData told = found.getMetaData();
        while (found.next()) {
          ObjectNode row = rows.addObject();
          for (int i = 1; i <= told.getColumnCount(); i++) {
            row.set(told.getColumnName(i).toLowerCase(Locale.ROOT), value(found.getObject(i)));
          }
        }
      }
    }
    return rows;
  }

  private JsonNode value(Object stored) {
    if (stored instanceof OffsetDateTime || stored instanceof Date || stored instanceof LocalDate) {
      return mapper.getNodeFactory().textNode(stored.toString());
    }
    return mapper.valueToTree(stored);
  }

  /**
   * Writes a row and answers with its number; 0 where the table has none. A column the row does not
   * name gets the table's own default; one the table does not have is not written.
   *
   * @param numbered whether the row keeps its number
   */
  long write(String table, ObjectNode row, boolean numbered) throws SQLException {
    Map<String, StoredColumn> columns = columns(table);
    List<String> names = new ArrayList<>();
    for (Iterator<String> all = row.fieldNames(); all.hasNext(); ) {
      String name = all.next();
      if (columns.containsKey(name) && (numbered || !name.equals("id"))) {
        names.add(name);
      }
    }
    String places = String.join(", ", names.stream().map(name -> "?").toList());
    String sql =
        "insert into " + table + " (" + String.join(", ", names) + ") values (" + places + ")";
    try (PreparedStatement insert =
        connection.prepareStatement(sql, Statement.RETURN_GENERATED_KEYS)) {
      for (int i = 0; i < names.size(); i++) {
        insert.setObject(i + 1, of(row.get(names.get(i)), columns.get(names.get(i)).type()));
      }
      insert.executeUpdate();
      if (!columns.containsKey("id")) {
        return 0;
      }
      try (ResultSet keys = insert.getGeneratedKeys()) {
        keys.next();
        return keys.getLong("id");
      }
    }
  }

  private static Object of(JsonNode value, String type) {
    if (value.isNull()) {
      return null;
    }
    return switch (type) {
      case "TIMESTAMP WITH TIME ZONE" -> OffsetDateTime.parse(value.asText());
      case "DATE" -> LocalDate.parse(value.asText());
      case "BOOLEAN" -> value.asBoolean();
      case "DOUBLE PRECISION" -> value.asDouble();
      case "BIGINT", "INTEGER", "SMALLINT" -> value.asLong();
      default -> value.asText();
    };
  }
}
