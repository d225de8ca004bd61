package hightally.app.datafile;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;

/** The ways back from data that must not be opened: nothing is thrown away by any of them. */
public final class WayBack {
  private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

  private final DataFile data;
  private final Clock clock;

  /** Of a folder of data. */
  public WayBack(Path folder, Clock clock) {
    data = new DataFile(folder);
    this.clock = clock;
  }

  /** Which way. */
  public enum RestoreFrom {
    ARCHIVE,
    COPY,
    AS_IT_IS;

    /** By the word of the command line. */
    public static Optional<RestoreFrom> named(String word) {
      String wanted = word.trim().toUpperCase(Locale.ROOT).replace('-', '_');
      return List.of(values()).stream().filter(one -> one.name().equals(wanted)).findFirst();
    }
  }

  /** Why none can be taken now; nothing where one can. */
  public Said trouble() throws IOException {
    return data.inUse()
        ? Said.of("start.inUse", "folder", data.file().getParent().toString())
        : Said.NOTHING;
  }

  /** The ways there are, with what each brings, and how to take one. */
  public Said offer() throws IOException {
    List<Said> found = new ArrayList<>();
    Optional<Path> archive = data.archives().stream().findFirst();
    Optional<Path> copy = data.copies().stream().findFirst();
    archive.ifPresent(one -> found.add(way("restore.archive", one)));
    copy.ifPresent(one -> found.add(way("restore.copy", one)));
    if (Files.exists(data.file()) && Files.size(data.file()) > 0) {
      found.add(way("restore.asItIs", data.file()));
    }
    return found.isEmpty()
        ? Said.of("restore.none", "folder", data.file().getParent().toString())
        : Said.all(found.toArray(Said[]::new));
  }

  private static Said way(String what, Path file) {
    Instant at = Instant.ofEpochMilli(file.toFile().lastModified());
    String when = WHEN.format(LocalDateTime.ofInstant(at, ZoneId.systemDefault()));
    return Said.of(what, "file", file.toString(), "when", when);
  }

  /**
   * Takes a way: what was there is put aside, the data can be opened after it.
   *
   * @return the archive that is still to be brought back; empty for the other ways
   */
  public Optional<Path> take(RestoreFrom way, Consumer<Said> told) throws IOException {
    switch (way) {
      case ARCHIVE -> {
        Path archive = first(data.archives());
        told.accept(Said.of("restore.aside", "folder", data.aside(clock).toString()));
        return Optional.of(archive);
      }
      case COPY -> {
        Path copy = first(data.copies());
        told.accept(Said.of("restore.aside", "folder", data.aside(clock).toString()));
        Files.copy(copy, data.file());
        return Optional.empty();
      }
      default -> {
        told.accept(Said.of("restore.copied", "file", data.copy(clock).toString()));
        Files.deleteIfExists(data.sums());
        return Optional.empty();
      }
    }
  }

  private static Path first(List<Path> files) throws IOException {
    return files.stream().findFirst().orElseThrow(() -> new IOException("none"));
  }
}
