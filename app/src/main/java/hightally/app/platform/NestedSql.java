package hightally.app.platform;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;

/** The database's own code behind a failure. */
final class NestedSql {
  static final String UNIQUE = "23505";
  static final String TOO_LONG = "22001";

  private NestedSql() {}

  /** The SQL state of the innermost failure of the database; empty where there is none. */
  static String state(Throwable e) {
    String found = "";
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLException sql && sql.getSQLState() != null) {
        found = sql.getSQLState();
      }
    }
    return found;
  }

  /**
   * Whether a connection was waited for in vain because all were in use, and for no other reason.
   */
  static boolean allConnectionsTaken(Throwable e) {
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLTransientConnectionException && cause.getCause() == null) {
        return true;
      }
    }
    return false;
  }

  /** The database's error number; 0 where there is none. */
  static int code(Throwable e) {
    int found = 0;
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLException sql) {
        found = sql.getErrorCode();
      }
    }
    return found;
  }
}
