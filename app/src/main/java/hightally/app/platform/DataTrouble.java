package hightally.app.platform;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** What is wrong with the folder of the data, in words: what it is, what is safe, what to take. */
final class DataTrouble {
  private static final long LITTLE = 2_000_000;
  private static final long KILO = 1_000;

  private DataTrouble() {}

  /** Why the data cannot be written now. */
  static Said notWritten(Path data) {
    Path there = existing(data);
    if (readOnly(data)) {
      return Said.of("trouble.notWritten", "what", Said.of("trouble.readOnly", "folder", data));
    }
    long left = left(there);
    return Said.of(
        "trouble.notWritten",
        "what",
        left < LITTLE
            ? Said.of("trouble.full", "folder", data, "left", String.valueOf(left / KILO))
            : Said.of("trouble.perhapsFull", "folder", data));
  }

  /** Which archive to take where the data are damaged. */
  static Said newestBackup(Path data) {
    return newest(data)
        .map(file -> Said.of("trouble.newestArchive", "file", file))
        .orElse(Said.NOTHING);
  }

  private static Optional<Path> newest(Path data) {
    Path backups = data.resolve("backups");
    if (!Files.isDirectory(backups)) {
      return Optional.empty();
    }
    try (Stream<Path> files = Files.list(backups)) {
      return files
          .filter(file -> file.toString().endsWith(".zip"))
          .max(Comparator.comparing(file -> file.toFile().lastModified()));
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  private static Path existing(Path folder) {
    Path there = folder.toAbsolutePath();
    while (there != null && !Files.exists(there)) {
      there = there.getParent();
    }
    return there;
  }

  /** Whether the folder, or what is in it, cannot be written by this program at all. */
  static boolean readOnly(Path data) {
    Path there = existing(data);
    Path file = data.resolve("high-tally.mv.db");
    return there == null
        || !Files.isDirectory(there)
        || !Files.isWritable(there)
        || Files.exists(file) && !Files.isWritable(file);
  }

  private static long left(Path there) {
    try {
      FileStore store = Files.getFileStore(there);
      return store.getUsableSpace();
    } catch (IOException | RuntimeException e) {
      return Long.MAX_VALUE;
    }
  }
}
