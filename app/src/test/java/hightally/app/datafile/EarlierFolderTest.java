package hightally.app.datafile;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.DriverManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Folders of several versions beside one another, of which the newest has no data yet. */
class EarlierFolderTest {
  @TempDir Path beside;
  private Path home;
  private Path data;

  @BeforeEach
  void aNewFolder() throws IOException {
    home = folder("new", "1.10.0");
    data = home.resolve("data");
  }

  private Path folder(String name, String version) throws IOException {
    Path folder = Files.createDirectories(beside.resolve(name));
    Files.writeString(folder.resolve("version.txt"), version + "\n");
    return folder;
  }

  private Path used(String name, String version, long at) throws Exception {
    Path folder = folder(name, version);
    Path its = Files.createDirectories(folder.resolve("data"));
    SummedPath.register();
    try (var open = DriverManager.getConnection("jdbc:h2:sums:" + its + "/high-tally", "sa", "");
        var statement = open.createStatement()) {
      statement.execute("create table \"flyway_schema_history\" (told varchar)");
      statement.execute("insert into \"flyway_schema_history\" values ('" + name + "')");
    }
    assertThat(its.resolve(DataFile.NAME).toFile().setLastModified(at)).isTrue();
    Files.createDirectories(its.resolve("put-aside-2026-05-01-120000"));
    Files.createDirectories(its.resolve("backups"));
    Files.writeString(its.resolve("backups").resolve("daily-2026-05-01.zip"), "x");
    return folder;
  }

  private List<String> found() throws IOException {
    return EarlierFolder.beside(home, data).stream()
        .map(one -> one.folder().getFileName() + " " + one.version())
        .toList();
  }

  @Test
  void theOneLastUsedOfThisVersionOrAnEarlier() throws Exception {
    assertThat(found()).isEmpty();
    used("a", "1.9.2", 2_000_000);
    used("b", "1.10.0", 1_000_000);
    used("newer", "1.10.1", 3_000_000);
    used("none", "", 4_000_000);
    used("words", "the newest", 5_000_000);
    assertThat(found()).containsExactly("a 1.9.2");
    used("c", "1.10", 6_000_000);
    assertThat(found()).containsExactly("c 1.10");
  }

  @Test
  void notWhereThereAreDataAlready() throws Exception {
    used("a", "1.9.2", 2_000_000);
    used("new", "1.10.0", 1_000_000);
    assertThat(found()).isEmpty();
    Files.delete(data.resolve(DataFile.NAME));
    assertThat(found()).as("its backups say that it had some").isEmpty();
  }

  @Test
  void allIsCopiedAndNothingChangedThere() throws Exception {
    Path old = used("a", "1.9.2", 2_000_000);
    List<String> before = all(old);
    Files.createDirectories(data);
    EarlierFolder earlier = EarlierFolder.beside(home, data).orElseThrow();
    assertThat(earlier.trouble()).isEqualTo(Said.NOTHING);
    assertThat(earlier.copyTo(data, Clock.systemUTC())).isEqualTo(Said.NOTHING);
    assertThat(all(old)).isEqualTo(before);
    assertThat(new DataFile(data).trouble(Clock.systemUTC())).isEqualTo(Said.NOTHING);
    assertThat(data.resolve("backups").resolve("daily-2026-05-01.zip")).isRegularFile();
    assertThat(data.resolve("put-aside-2026-05-01-120000")).doesNotExist();
    try (var open = DriverManager.getConnection("jdbc:h2:sums:" + data + "/high-tally", "sa", "");
        var told =
            open.createStatement().executeQuery("select told from \"flyway_schema_history\"")) {
      told.next();
      assertThat(told.getString(1)).isEqualTo("a");
    }
  }

  @Test
  void damagedDataAreNotTakenOver() throws Exception {
    Path file = used("a", "1.9.2", 2_000_000).resolve("data").resolve(DataFile.NAME);
    byte[] whole = Files.readAllBytes(file);
    whole[whole.length / 2] ^= 1;
    Files.write(file, whole);
    EarlierFolder earlier = EarlierFolder.beside(home, data).orElseThrow();
    assertThat(earlier.copyTo(data, Clock.systemUTC()).code()).isEqualTo("earlier.damaged");
    assertThat(all(home)).containsExactly("version.txt");
  }

  @Test
  void dataInUseAreNotCopied() throws Exception {
    Path file = used("a", "1.9.2", 2_000_000).resolve("data").resolve(DataFile.NAME);
    EarlierFolder earlier = EarlierFolder.beside(home, data).orElseThrow();
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE);
        var lock = channel.lock()) {
      assertThat(lock.isValid()).isTrue();
      assertThat(earlier.trouble().code()).isEqualTo("earlier.inUse");
    }
  }

  private static List<String> all(Path folder) throws IOException {
    try (var files = Files.walk(folder)) {
      List<String> names = new ArrayList<>();
      for (Path file : (Iterable<Path>) files.filter(Files::isRegularFile).sorted()::iterator) {
        names.add(folder.relativize(file).toString());
      }
      return names;
    }
  }
}
