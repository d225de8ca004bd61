package hightally.app.datafile;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** The data file of a folder, looked at before anything opens it. */
public final class DataFile {
  static final String NAME = "high-tally.mv.db";
  static final String COPIES = "copies";
  private static final String URL = "jdbc:h2:file:%s/high-tally;ACCESS_MODE_DATA=r;IFEXISTS=TRUE";

  /** So many copies are kept. */
  private static final int KEPT = 3;

  private static final String HEADER = "H:2,";
  private static final Pattern VERSION = Pattern.compile("chunk:[0-9a-f]+,.*?version:([0-9a-f]+)");
  private static final int HEXADECIMAL = 16;

  /** The head of a state lies within so many bytes. */
  private static final int HEAD = 250;

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

  private final Path folder;

  /** The one of a folder. */
  public DataFile(Path folder) {
    this.folder = folder.toAbsolutePath().normalize();
  }

  Path file() {
    return folder.resolve(NAME);
  }

  Path sums() {
    return folder.resolve(Sums.NAME);
  }

  /**
   * Why the data must not be opened; nothing where they can be. After a start that did not end well
   * the file is copied first. Nothing is written to the file itself.
   */
  public Said trouble(Clock clock) throws IOException {
    if (inUse()) {
      return Said.NOTHING; // Whoever opens it says so.
    }
    Sums known = Sums.look(sums());
    if (!Files.exists(file())) {
      return known == null && archives().isEmpty() ? Said.NOTHING : said("start.fileGone");
    }
    if (Files.size(file()) == 0) {
      return said("start.fileEmpty");
    }
    if (known == null) {
      return ours() ? Said.NOTHING : said("start.notOurs");
    }
    if (!known.fit(file())) {
      long version = version(file());
      boolean older = version > 0 && version < known.version();
      return said(older ? "start.wentBackwards" : "start.fileChanged");
    }
    return known.wellClosed() || copied(clock) ? Said.NOTHING : said("start.notCopied");
  }

  private boolean copied(Clock clock) {
    try {
      copy(clock);
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  private Said said(String what) {
    return Said.of(what, "folder", folder.toString());
  }

  /** Whether a file nothing is known of is a database of this program; it is only read. */
  private boolean ours() {
    try (InputStream in = Files.newInputStream(file())) {
      String head = new String(in.readNBytes(2 * Sums.BLOCK), StandardCharsets.ISO_8859_1);
      if (!head.startsWith(HEADER) && !head.startsWith(HEADER, Sums.BLOCK)) {
        return false;
      }
    } catch (IOException e) {
      return false;
    }
    try (Connection asked = DriverManager.getConnection(String.format(URL, folder), "sa", "");
        Statement statement = asked.createStatement()) {
      statement.executeQuery("select count(*) from \"flyway_schema_history\"");
      return true;
    } catch (SQLException e) {
      // One that is in use by another is told by whoever opens it.
      return e.getErrorCode() == org.h2.api.ErrorCode.DATABASE_ALREADY_OPEN_1;
    }
  }

  /** Whether another program has it open. */
  public boolean inUse() throws IOException {
    if (!Files.exists(file())) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(file(), StandardOpenOption.READ);
        FileLock lock = channel.tryLock(0, Long.MAX_VALUE, true)) {
      return lock == null;
    } catch (OverlappingFileLockException e) {
      return true;
    }
  }

  /** The newest state a file holds; 0 where it is none. */
  static long version(Path file) throws IOException {
    long newest = 0;
    try (InputStream in = Files.newInputStream(file)) {
      for (byte[] block = in.readNBytes(Sums.BLOCK);
          block.length > 0;
          block = in.readNBytes(Sums.BLOCK)) {
        newest = Math.max(newest, version(ByteBuffer.wrap(block)));
      }
    }
    return newest;
  }

  /** The state a block begins; 0 where it begins none. */
  static long version(ByteBuffer block) {
    int length = Math.min(block.remaining(), HEAD);
    String head = new String(block.array(), block.position(), length, StandardCharsets.ISO_8859_1);
    Matcher found = VERSION.matcher(head);
    return head.startsWith("chunk:") && found.lookingAt()
        ? Long.parseLong(found.group(1), HEXADECIMAL)
        : 0;
  }

  /** Copies the file as it is, and forgets the oldest copies. */
  public Path copy(Clock clock) throws IOException {
    return copy(clock, part -> Files.copy(file(), part, StandardCopyOption.REPLACE_EXISTING));
  }

  /** The same of a file that is open: the database writes what it holds. */
  public Path copy(Clock clock, Connection open) throws IOException {
    return copy(clock, part -> written(open, part));
  }

  private static void written(Connection open, Path to) throws IOException {
    Path zip = to.resolveSibling(to.getFileName() + ".zip");
    try (PreparedStatement backup = open.prepareStatement("backup to ?")) {
      backup.setString(1, zip.toString());
      backup.execute();
      try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
        ZipEntry entry = in.getNextEntry();
        while (entry != null && !entry.getName().endsWith(".mv.db")) {
          entry = in.getNextEntry();
        }
        Files.copy(in, to, StandardCopyOption.REPLACE_EXISTING);
      }
    } catch (SQLException e) {
      throw new IOException(e);
    } finally {
      Files.deleteIfExists(zip);
    }
  }

  /** Writes a copy somewhere. */
  private interface Copier {
    void to(Path part) throws IOException;
  }

  private Path copy(Clock clock, Copier copier) throws IOException {
    Path copies = Files.createDirectories(folder.resolve(COPIES));
    Path copy = copies.resolve("high-tally-" + STAMP.format(LocalDateTime.now(clock)) + ".mv.db");
    Path part = copies.resolve(copy.getFileName() + ".part");
    copier.to(part);
    Files.move(part, copy, StandardCopyOption.REPLACE_EXISTING);
    List<Path> all = copies();
    for (Path old : all.subList(Math.min(KEPT, all.size()), all.size())) {
      Files.deleteIfExists(old);
    }
    return copy;
  }

  /** The newest first. */
  List<Path> copies() throws IOException {
    return listed(folder.resolve(COPIES), ".mv.db");
  }

  Path newestCopy() throws IOException {
    return copies().stream().findFirst().orElse(null);
  }

  /** Archives the program has written by itself, the newest first. */
  List<Path> archives() throws IOException {
    return listed(folder.resolve("backups"), ".zip");
  }

  private static List<Path> listed(Path in, String ending) throws IOException {
    if (!Files.isDirectory(in)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(in)) {
      List<Path> found =
          new ArrayList<>(files.filter(one -> one.toString().endsWith(ending)).toList());
      found.sort(Comparator.comparing((Path one) -> one.toFile().lastModified()).reversed());
      return found;
    }
  }

  /** Puts what cannot be opened aside, and answers where it is. */
  Path aside(Clock clock) throws IOException {
    Path place =
        Files.createDirectories(
            folder.resolve("put-aside-" + STAMP.format(LocalDateTime.now(clock))));
    for (Path one : List.of(file(), sums())) {
      if (Files.exists(one)) {
        Files.move(one, place.resolve(one.getFileName()), StandardCopyOption.REPLACE_EXISTING);
      }
    }
    return place;
  }
}
