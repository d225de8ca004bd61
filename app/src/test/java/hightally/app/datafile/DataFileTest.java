package hightally.app.datafile;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A data file cut at any byte, changed in any, emptied, gone, of another program or older than what
 * was last written: never opened, never written to; as it was left: opened with every row.
 */
class DataFileTest {
  private static final int CUTS = Integer.getInteger("cuts", 40);
  private static final int FLIPS = Integer.getInteger("flips", 100);
  private static final int ROWS = 120;
  private static final Instant NOW = Instant.parse("2026-05-01T12:00:00Z");

  @TempDir Path folder;
  private final Clock clock = Clock.fixed(NOW, ZoneOffset.UTC);
  private DataFile data;

  @BeforeEach
  void known() {
    SummedPath.register();
    data = new DataFile(folder);
  }

  private Connection opened(Path in) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:h2:sums:" + in + "/high-tally;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE", "sa", "");
  }

  private void written(int rows, boolean closedWell) throws Exception {
    try (Connection connection = opened(folder);
        Statement statement = connection.createStatement()) {
      statement.execute("create table if not exists \"flyway_schema_history\" (id int)");
      statement.execute("create table if not exists flight (id int primary key, told varchar)");
      for (int i = 0; i < rows; i++) {
        String told = "Flight " + i + " ".repeat(i % 50);
        statement.execute("merge into flight values (" + i + ", '" + told + "')");
      }
      if (!closedWell) {
        statement.execute("shutdown immediately");
      }
    } catch (SQLException e) {
      assertThat(closedWell).as(e.getMessage()).isFalse();
    }
    if (!closedWell) {
      // A killed process leaves it open.
      byte[] sums = Files.readAllBytes(data.sums());
      sums[11] = 1;
      Files.write(data.sums(), sums);
    }
  }

  private static int rows(Connection connection) throws SQLException {
    try (connection;
        Statement statement = connection.createStatement();
        var found = statement.executeQuery("select count(told) from flight")) {
      found.next();
      return found.getInt(1);
    }
  }

  private String code() throws IOException {
    return data.trouble(clock).code();
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void asItWasLeftItIsOpenedWithEveryRow(boolean closedWell) throws Exception {
    written(ROWS, closedWell);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    assertThat(data.copies()).as("copied after a bad end").hasSize(closedWell ? 0 : 1);
    assertThat(rows(opened(folder))).isEqualTo(ROWS);
    written(ROWS + 10, true);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    assertThat(rows(opened(folder))).isEqualTo(ROWS + 10);
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void cutAtAnyByteItIsRefusedUnchanged(boolean closedWell) throws Exception {
    written(ROWS, closedWell);
    byte[] whole = Files.readAllBytes(data.file());
    Random random = new Random(5);
    for (int i = 0; i < CUTS; i++) {
      byte[] cut = Arrays.copyOf(whole, random.nextInt(whole.length));
      refused(cut, cut.length == 0 ? "start.fileEmpty" : "start.");
    }
    Files.write(data.file(), whole);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aByteChangedAnywhereIsRefused(boolean closedWell) throws Exception {
    written(ROWS, closedWell);
    byte[] whole = Files.readAllBytes(data.file());
    Random random = new Random(9);
    for (int i = 0; i < FLIPS; i++) {
      byte[] flipped = whole.clone();
      flipped[random.nextInt(whole.length)] ^= (byte) (1 << random.nextInt(8));
      refused(flipped, "start.");
    }
  }

  private void refused(byte[] changed, String why) throws IOException {
    Files.write(data.file(), changed);
    assertThat(code()).startsWith(why);
    assertThat(Files.readAllBytes(data.file())).as("never written to").isEqualTo(changed);
    assertThat(data.copies()).isEmpty();
  }

  @Test
  void anOlderFileInItsPlaceIsTold() throws Exception {
    written(20, true);
    Path older = Files.copy(data.file(), folder.resolve("older"));
    written(ROWS, true);
    Files.copy(older, data.file(), StandardCopyOption.REPLACE_EXISTING);
    assertThat(code()).isEqualTo("start.wentBackwards");
    // At the pilot's word it is gone on with, and what it is now is copied.
    new WayBack(folder, clock).take(WayBack.RestoreFrom.AS_IT_IS, said -> {});
    assertThat(data.copies()).hasSize(1);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    assertThat(rows(opened(folder))).isEqualTo(20);
  }

  @Test
  void ofAnotherProgramEmptyOrGone() throws Exception {
    assertThat(data.trouble(clock)).as("a new folder").isEqualTo(Said.NOTHING);
    Files.write(data.file(), "not a database".repeat(900).getBytes());
    assertThat(code()).isEqualTo("start.notOurs");
    Files.delete(data.file());
    try (Connection other = DriverManager.getConnection("jdbc:h2:file:" + folder + "/high-tally");
        Statement statement = other.createStatement()) {
      statement.execute("create table of_another (id int)");
    }
    byte[] before = Files.readAllBytes(data.file());
    assertThat(code()).isEqualTo("start.notOurs");
    assertThat(Files.readAllBytes(data.file())).isEqualTo(before);
    Files.write(data.file(), new byte[0]);
    assertThat(code()).isEqualTo("start.fileEmpty");
    Files.delete(data.file());
    Files.createDirectories(folder.resolve("backups"));
    Files.writeString(folder.resolve("backups/daily-2026-05-01.zip"), "x");
    assertThat(code()).isEqualTo("start.fileGone");
  }

  @Test
  void writtenBeforeThereWereSumsItIsTakenAndSummed() throws Exception {
    written(ROWS, true);
    Files.delete(data.sums());
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    assertThat(rows(opened(folder))).isEqualTo(ROWS);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    byte[] whole = Files.readAllBytes(data.file());
    whole[whole.length / 2] ^= 4;
    refused(whole, "start.fileChanged");
  }

  /** Killed between noting a write and its sum: only what was under way is in doubt. */
  @Test
  void killedInTheMiddleOfAWriteOnlyThatIsInDoubt() throws Exception {
    written(ROWS, false);
    byte[] whole = Files.readAllBytes(data.file());
    byte[] sums = Files.readAllBytes(data.sums());
    var head = java.nio.ByteBuffer.wrap(sums);
    head.putLong(16, Sums.BLOCK * 2L).putLong(24, Sums.BLOCK);
    Files.write(data.sums(), sums);
    byte[] half = whole.clone();
    half[Sums.BLOCK * 2 + 100] ^= 1;
    Files.write(data.file(), half);
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    half[Sums.BLOCK * 3 + 100] ^= 1;
    Files.write(data.file(), half);
    assertThat(code()).isEqualTo("start.fileChanged");
  }

  @Test
  void inUseIsLeftToWhoeverOpensIt() throws Exception {
    try (Connection held = opened(folder);
        Statement statement = held.createStatement()) {
      statement.execute("create table \"flyway_schema_history\" (id int)");
      assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
      assertThat(data.copies()).isEmpty();
      assertThat(new WayBack(folder, clock).trouble().code()).isEqualTo("start.inUse");
    }
    assertThat(new WayBack(folder, clock).trouble()).isEqualTo(Said.NOTHING);
  }

  /** Without room for the copy the file is not opened. */
  @Test
  void whatCannotBeCopiedAfterABadEndIsNotOpened() throws Exception {
    written(20, false);
    Files.writeString(folder.resolve("copies"), "in the way of the folder");
    assertThat(code()).isEqualTo("start.notCopied");
  }

  @Test
  void threeCopiesAreKeptAndTheNewestIsAWayBack() throws Exception {
    for (int i = 0; i < 5; i++) {
      written(10 + i, false);
      Clock later = Clock.offset(clock, Duration.ofHours(i));
      assertThat(data.trouble(later)).isEqualTo(Said.NOTHING);
      data.newestCopy().toFile().setLastModified(later.millis());
    }
    assertThat(data.copies()).hasSize(3);
    Files.write(data.file(), new byte[] {1});
    assertThat(code()).isEqualTo("start.fileChanged");
    WayBack back = new WayBack(folder, clock);
    assertThat(back.offer().toString()).contains("restore.copy").doesNotContain("restore.archive");
    assertThat(back.take(WayBack.RestoreFrom.COPY, said -> {})).isEmpty();
    assertThat(data.trouble(clock)).isEqualTo(Said.NOTHING);
    assertThat(rows(opened(folder))).isEqualTo(14);
    try (var aside = Files.list(folder)) {
      assertThat(aside.map(one -> one.getFileName().toString()))
          .anyMatch(one -> one.startsWith("put-aside-"));
    }
  }
}
