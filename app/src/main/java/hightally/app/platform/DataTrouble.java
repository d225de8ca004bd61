package hightally.app.platform;

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
  static String notWritten(Path data) {
    Path there = existing(data);
    String what;
    if (readOnly(data)) {
      what = "The folder " + data + " cannot be written: it is read-only for this program.";
    } else if (left(there) < LITTLE) {
      what = "The disk of the folder " + data + " is full: " + left(there) / KILO + " kB are left.";
    } else {
      what = "The folder " + data + " cannot be written: perhaps the disk is full.";
    }
    return what
        + " Nothing of this change was stored; everything acknowledged before is safe. "
        + "Make room, or give this program the right to write, and try again; the program need not"
        + " be started anew.";
  }

  /** Which archive to take where the data are damaged. */
  static String newestBackup(Path data) {
    return newest(data)
        .map(
            file ->
                " The newest archive of them is "
                    + file
                    + ": start with another folder and bring it back there under Files.")
        .orElse("");
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
