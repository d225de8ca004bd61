package hightally.app.datafile;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/**
 * The folder of an earlier version, whose data a newer one goes on with: a packaged program lies in
 * a folder that says its version in {@code version.txt} and has its data in {@code data}.
 *
 * @param folder where it lies
 * @param version which one
 */
public record EarlierFolder(Path folder, String version) {
  private static final String VERSION = "version.txt";
  private static final String DATA = "data";

  /** What stays where it is: it belongs to the folder in which it came about. */
  private static final String PUT_ASIDE = "put-aside-";

  /**
   * The one last used of those that lie beside a program, of its own version or an earlier one;
   * none where this one has data already.
   *
   * @param home the folder of the program that starts
   * @param data the folder of its data
   */
  public static Optional<EarlierFolder> beside(Path home, Path data) throws IOException {
    Path own = home.toAbsolutePath().normalize();
    DataFile here = new DataFile(data);
    if (Files.exists(here.file()) || !here.archives().isEmpty() || own.getParent() == null) {
      return Optional.empty();
    }
    String version = versionOf(own);
    try (Stream<Path> beside = Files.list(own.getParent())) {
      return beside
          .filter(one -> !one.equals(own) && Files.isRegularFile(dataFile(one)))
          .map(one -> new EarlierFolder(one, versionOf(one)))
          .filter(one -> !one.version.isEmpty() && compare(one.version, version) <= 0)
          .max(Comparator.comparingLong(one -> dataFile(one.folder).toFile().lastModified()));
    }
  }

  private static Path dataFile(Path folder) {
    return folder.resolve(DATA).resolve(DataFile.NAME);
  }

  private static String versionOf(Path folder) {
    try {
      String said = Files.readString(folder.resolve(VERSION)).strip();
      return said.matches("[0-9]{1,6}(\\.[0-9]{1,6}){0,3}") ? said : "";
    } catch (IOException e) {
      return "";
    }
  }

  /** Part by part, as numbers. */
  private static int compare(String one, String other) {
    return Arrays.compare(parts(one), parts(other));
  }

  private static int[] parts(String version) {
    return Stream.of(version.split("\\."))
        .filter(part -> !part.isEmpty())
        .mapToInt(Integer::parseInt)
        .toArray();
  }

  /** Why its data cannot be taken over now; nothing where they can. */
  public Said trouble() throws IOException {
    Path data = folder.resolve(DATA);
    return Files.exists(data.resolve(Sums.NAME)) && new DataFile(data).inUse()
        ? Said.of("earlier.inUse", "folder", folder.toString())
        : Said.NOTHING;
  }

  /**
   * Copies its data, and looks at the copy before it is put where it is wanted.
   *
   * @return why they were not taken over; nothing where they were
   */
  public Said copyTo(Path data, Clock clock) throws IOException {
    Path to = data.toAbsolutePath().normalize();
    Path part = to.resolveSibling(to.getFileName() + ".part");
    Files.walkFileTree(folder.resolve(DATA), new Copying(folder.resolve(DATA), part));
    if (!new DataFile(part).trouble(clock).isEmpty()) {
      FileSystemUtils.deleteRecursively(part);
      return Said.of("earlier.damaged", "folder", folder.toString());
    }
    if (Files.isDirectory(to)) {
      Files.delete(to); // Empty, or it is not for us to remove.
    }
    Files.move(part, to);
    return Said.NOTHING;
  }

  private static final class Copying extends SimpleFileVisitor<Path> {
    private final Path from;
    private final Path to;

    Copying(Path from, Path to) {
      this.from = from;
      this.to = to;
    }

    @Override
    public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes)
        throws IOException {
      if (folder.getFileName().toString().startsWith(PUT_ASIDE)) {
        return FileVisitResult.SKIP_SUBTREE;
      }
      Files.createDirectories(to.resolve(from.relativize(folder)));
      return FileVisitResult.CONTINUE;
    }

    @Override
    public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
      Files.copy(
          file,
          to.resolve(from.relativize(file)),
          StandardCopyOption.REPLACE_EXISTING,
          StandardCopyOption.COPY_ATTRIBUTES);
      return FileVisitResult.CONTINUE;
    }
  }
}
