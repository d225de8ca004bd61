package hightally.app.platform;

import java.net.BindException;
import java.nio.file.Path;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.springframework.boot.web.server.PortInUseException;

/** Why the program could not start, in one sentence that says what to do. */
public final class StartFailure {
  private static final int LOCKED = 90020;
  private static final int NOT_WRITTEN_BY_THIS = 90048;
  private static final int CORRUPTED = 90030;
  private static final int IO = 90028;
  private static final int IO_WITH_TEXT = 90031;
  private static final int GENERAL = 50000;
  private static final int READ_ONLY = 90097;

  private static final String NOT_WRITABLE =
      "The folder %s cannot be written, or what is in it: it is read-only for this user. Give the"
          + " right to write, or choose another folder with --data DIR. Nothing was changed.";

  private StartFailure() {}

  /**
   * What can be told before anything is opened, empty if nothing: data that can only be read would
   * open, and then refuse everything that is to be saved until the next start.
   *
   * @param data the folder of the data
   */
  public static String beforehand(String data) {
    return DataTrouble.readOnly(Path.of(data)) ? NOT_WRITABLE.formatted(data) : "";
  }

  /**
   * The sentence; empty where nobody foresaw the failure.
   *
   * @param data the folder of the data
   */
  public static String words(Throwable failure, String data) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof PortInUseException port) {
        return "Port "
            + port.getPort()
            + " is taken: end what runs there, or choose another with"
            + " --port N.";
      }
      if (cause instanceof BindException) {
        return "The port cannot be opened: choose another with --port N.";
      }
      if (cause instanceof NewerData || cause instanceof FlywayValidateException) {
        return "The data in "
            + data
            + " was written by a newer High Tally: start that one, or use"
            + " another folder with --data DIR. Nothing was changed.";
      }
      if (cause instanceof NotKept) {
        return "Before data of an older High Tally are brought up they are kept as one file in "
            + Path.of(data).resolve("backups")
            + ", and that could not be written: make room there, or give this user the right to"
            + " write. Nothing was changed.";
      }
    }
    return database(failure, data);
  }

  private static String database(Throwable failure, String data) {
    int code = NestedSql.code(failure);
    if (code == LOCKED) {
      return "The data in "
          + data
          + " is in use by another High Tally: use that one, end it, or"
          + " choose another folder with --data DIR.";
    }
    if (code != 0 && DataTrouble.readOnly(Path.of(data))) {
      return NOT_WRITABLE.formatted(data);
    }
    return switch (code) {
      case READ_ONLY -> NOT_WRITABLE.formatted(data);
      case CORRUPTED, NOT_WRITTEN_BY_THIS, IO, IO_WITH_TEXT, GENERAL ->
          "The data in "
              + data
              + " is damaged or cannot be read: put a copy of the folder in its"
              + " place, or start with another with --data DIR. Nothing was changed."
              + DataTrouble.newestBackup(Path.of(data));
      default -> "";
    };
  }

  /** The data was written by a newer program. */
  static final class NewerData extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /** The data could not be kept before they were to be brought up. */
  static final class NotKept extends RuntimeException {
    private static final long serialVersionUID = 1;

    NotKept(Exception cause) {
      super(cause);
    }
  }
}
