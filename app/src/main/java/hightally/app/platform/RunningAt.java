package hightally.app.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Where the program that uses a folder of data has its page, kept in that folder. */
public final class RunningAt {
  private static final String NAME = "running-at.txt";

  private RunningAt() {}

  /** The address last kept; whether something still answers there is another question. */
  public static Optional<String> in(String data) {
    try {
      String kept = Files.readString(Path.of(data).resolve(NAME)).strip();
      return Optional.of(kept).filter(page -> page.matches("http://[0-9a-z.:]{1,60}/"));
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  /** Keeps it; where it cannot be, a second start says that the data are in use. */
  static void keep(String data, String page) {
    try {
      Files.writeString(Path.of(data).resolve(NAME), page + "\n");
    } catch (IOException e) {
      // Told by whatever is saved next.
    }
  }
}
