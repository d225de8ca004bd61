package hightally.app.platform;

import hightally.core.quantity.Said;
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

  private StartFailure() {}

  /**
   * What can be told before anything is opened, empty if nothing: data that can only be read would
   * open, and then refuse everything that is to be saved until the next start.
   *
   * @param data the folder of the data
   */
  public static String beforehand(String data) {
    return DataTrouble.readOnly(Path.of(data)) ? StartWords.say(notWritable(data)) : "";
  }

  /**
   * The sentence; empty where nobody foresaw the failure.
   *
   * @param data the folder of the data
   */
  public static String words(Throwable failure, String data) {
    return StartWords.say(said(failure, data));
  }

  private static Said notWritable(String data) {
    return Said.of("start.notWritable", "folder", data);
  }

  /** Where nobody foresaw the failure. */
  public static String unforeseen(boolean logged, String data) {
    return StartWords.say(Said.of("start.unforeseen", "logged", logged, "folder", data));
  }

  /** The line under which it is told. */
  public static String cannotStart(String why) {
    return StartWords.say(Said.of("start.cannot", "why", why));
  }

  private static Said said(Throwable failure, String data) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof PortInUseException port) {
        return Said.of("start.portTaken", "port", String.valueOf(port.getPort()));
      }
      if (cause instanceof BindException) {
        return Said.of("start.noPort");
      }
      if (cause instanceof NewerData || cause instanceof FlywayValidateException) {
        return Said.of("start.newerData", "folder", data);
      }
      if (cause instanceof NotKept) {
        return Said.of("start.notKept", "folder", Path.of(data).resolve("backups"));
      }
    }
    return database(failure, data);
  }

  private static Said database(Throwable failure, String data) {
    int code = NestedSql.code(failure);
    if (code == LOCKED) {
      return Said.of("start.inUse", "folder", data);
    }
    if (code != 0 && DataTrouble.readOnly(Path.of(data))) {
      return notWritable(data);
    }
    return switch (code) {
      case READ_ONLY -> notWritable(data);
      case CORRUPTED, NOT_WRITTEN_BY_THIS, IO, IO_WITH_TEXT, GENERAL ->
          Said.of(
              "start.damaged", "folder", data, "archive", DataTrouble.newestBackup(Path.of(data)));
      default -> Said.NOTHING;
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
