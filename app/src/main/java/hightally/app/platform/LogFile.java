package hightally.app.platform;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Optional;

/**
 * Where what only a programmer reads is written: {@code high-tally.log} in the folder of the data.
 * A folder that cannot be written has none.
 */
public final class LogFile {
  static final String NAME = "high-tally.log";

  private LogFile() {}

  /** The file in a folder of data, if it can be written. */
  public static Optional<Path> in(String data) {
    Path file = Path.of(data).resolve(NAME);
    try {
      Files.createDirectories(file.getParent());
      Files.write(file, new byte[0], StandardOpenOption.CREATE, StandardOpenOption.APPEND);
      return Optional.of(file);
    } catch (IOException | RuntimeException e) {
      return Optional.empty();
    }
  }

  /** Adds a trace and answers whether it could be written. */
  public static boolean add(String data, Throwable failure) {
    StringWriter trace = new StringWriter();
    failure.printStackTrace(new PrintWriter(trace, true));
    try {
      Path file = in(data).orElseThrow(() -> new IOException(data));
      String entry = Instant.now() + " The start failed\n" + trace + "\n";
      Files.writeString(file, entry, StandardCharsets.UTF_8, StandardOpenOption.APPEND);
      return true;
    } catch (IOException e) {
      return false;
    }
  }
}
