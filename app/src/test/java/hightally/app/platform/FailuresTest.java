package hightally.app.platform;

import static hightally.app.Plain.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.io.IOException;
import java.net.BindException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.ProblemDetail;

/** What is said of failures, and what is done about them. */
class FailuresTest {
  private final Connections connections = mock(Connections.class);
  @TempDir private Path folder;

  private Problems problems() {
    ReaderWords words = mock(ReaderWords.class);
    when(words.say(any(Said.class)))
        .thenAnswer(asked -> Words.of(Wording.PLAIN).say(asked.getArgument(0, Said.class)));
    return new Problems(
        connections,
        words,
        new HighTallyProperties(false, folder.toString(), false, false, false),
        new StaticListableBeanFactory().getBeanProvider(ModelFaults.class));
  }

  private static DataIntegrityViolationException violation(String state) {
    return new DataIntegrityViolationException("refused", new SQLException("refused", state));
  }

  @Test
  void aConstraintIsNotAlwaysAnotherPage() {
    ProblemDetail unique = problems().refusedByTheDatabase(violation("23505"));
    assertThat(unique.getStatus()).isEqualTo(409);
    assertThat(unique.getDetail()).contains("Another tab saved at the same moment");
    ProblemDetail tooLong = problems().refusedByTheDatabase(violation("22001"));
    assertThat(tooLong.getStatus()).isEqualTo(422);
    assertThat(tooLong.getDetail()).contains("longer than there is room for");
    ProblemDetail other = problems().refusedByTheDatabase(violation("23502"));
    assertThat(other.getStatus()).isEqualTo(500);
    assertThat(other.getDetail()).contains("a fault in High Tally");
    verify(connections, never()).renew();
  }

  @Test
  void aRaceIsAConflictAndAFullDiskIsSaidAndRecoveredFrom() {
    assertThat(problems().race(new OptimisticLockingFailureException("late")).getStatus())
        .isEqualTo(409);
    ProblemDetail full = problems().noRoom(new DataAccessResourceFailureException("no room"));
    assertThat(full.getStatus()).isEqualTo(503);
    assertThat(full.getDetail())
        .contains("perhaps the disk is full")
        .contains("need not be restarted");
    verify(connections).renew();
  }

  @Test
  void whatIsWrongWithTheFolderIsSaidAndWhatIsSafe() throws Exception {
    Path file = Files.writeString(folder.resolve("no-folder"), "x");
    assertThat(Words.of(Wording.PLAIN).say(DataTrouble.notWritten(file.resolve("data"))))
        .contains("is read-only for High Tally", "everything acknowledged before is safe");
    assertThat(DataTrouble.newestBackup(folder).isEmpty()).isTrue();
    Path backups = Files.createDirectory(folder.resolve("backups"));
    Path older = Files.writeString(backups.resolve("daily-2026-05-01.zip"), "x");
    Path newer = Files.writeString(backups.resolve("daily-2026-05-02.zip"), "x");
    Files.writeString(backups.resolve("notes.txt"), "x");
    assertThat(older.toFile().setLastModified(1_000_000)).isTrue();
    assertThat(newer.toFile().setLastModified(2_000_000)).isTrue();
    Exception damaged = new IllegalStateException(new SQLException("h2", "90000", 90030));
    assertThat(StartFailure.words(damaged, folder.toString()))
        .contains("damaged", newer.toString(), "restore it there under Files")
        .doesNotContain(older.toString());
  }

  @Test
  void theTraceOfAFailedStartIsInTheLogFileOfTheData() throws Exception {
    Path data = folder.resolve("data");
    assertThat(LogFile.in(data.toString())).contains(data.resolve("high-tally.log"));
    assertThat(LogFile.add(data.toString(), new IllegalStateException("one"))).isTrue();
    LogFile.add(data.toString(), new IllegalStateException("two"));
    assertThat(Files.readString(data.resolve("high-tally.log")))
        .contains("IllegalStateException: one", "IllegalStateException: two")
        .contains("at hightally.app.platform.FailuresTest");
    Path file = Files.writeString(folder.resolve("a-file"), "x");
    String below = file.resolve("below").toString();
    assertThat(LogFile.in(below)).isEmpty();
    assertThat(LogFile.add(below, new IllegalStateException("three"))).isFalse();
  }

  @Test
  void deadConnectionsAreLetGoOf() throws Exception {
    HikariPoolMXBean pool = mock(HikariPoolMXBean.class);
    HikariDataSource hikari = mock(HikariDataSource.class);
    when(hikari.isWrapperFor(HikariDataSource.class)).thenReturn(true);
    when(hikari.unwrap(HikariDataSource.class)).thenReturn(hikari);
    when(hikari.getHikariPoolMXBean()).thenReturn(pool);
    new Connections(hikari).renew();
    verify(pool).softEvictConnections();
    DataSource other = mock(DataSource.class);
    when(other.isWrapperFor(HikariDataSource.class)).thenThrow(new SQLException("gone"));
    new Connections(other).renew();
  }

  @ParameterizedTest
  @CsvSource({
    "90020, is in use by another High Tally",
    "90030, damaged or cannot be read",
    "90028, damaged or cannot be read",
    "50000, damaged or cannot be read",
    "90048, damaged or cannot be read",
    "90097, cannot be written"
  })
  void aStartThatFailsAtTheDatabaseIsOneSentenceWithTheFolder(int code, String words) {
    Exception failure = new IllegalStateException("start", new SQLException("h2", "90000", code));
    String said = StartFailure.words(failure, folder.toString());
    assertThat(said).contains(words).contains(folder.toString()).endsWith(".");
  }

  @Test
  void aStartThatFailsElsewhereIsOneSentenceToo() throws Exception {
    assertThat(StartFailure.words(new PortInUseException(8080), "data"))
        .contains("Port 8080 is in use");
    assertThat(StartFailure.words(new RuntimeException(new BindException()), "data"))
        .contains("--port N");
    assertThat(StartFailure.words(new StartFailure.NewerData(), "data"))
        .contains("newer High Tally")
        .contains("Nothing was changed");
    Path file = Files.writeString(folder.resolve("a-file"), "x");
    assertThat(StartFailure.words(new SQLException("x", "90000", 90031), file + "/in-it"))
        .contains("cannot be written");
    assertThat(StartFailure.words(new IllegalStateException("nobody foresaw"), "data")).isEmpty();
  }

  /** In a language in which every message stands between marks, nothing stands outside of them. */
  @Test
  void whateverIsPrintedAtAStartIsInTheCatalogue() {
    Locale before = Locale.getDefault();
    Locale.setDefault(Locale.forLanguageTag("en-XA"));
    try {
      List<String> printed = new ArrayList<>();
      for (int code : new int[] {90020, 90028, 90030, 90048, 90097, 50000}) {
        printed.add(StartFailure.words(new SQLException("h2", "90000", code), folder.toString()));
      }
      for (Exception one :
          List.of(
              new PortInUseException(8080),
              new RuntimeException(new BindException()),
              new StartFailure.NewerData(),
              new StartFailure.NotKept(new IOException("x")))) {
        printed.add(StartFailure.words(one, folder.toString()));
      }
      printed.add(StartFailure.unforeseen(true, folder.toString()));
      printed.add(StartFailure.cannotStart(printed.get(0)));
      for (String start : List.of("start.onNetwork", "start.forDevices", "start.ready")) {
        printed.add(StartWords.say(Said.of(start, "page", "1")));
      }
      for (String one : printed) {
        String outside = one.replaceAll(Pattern.quote(folder.toString()) + "[^⟦⟧ ]*", "");
        while (outside.contains("⟦")) {
          outside = outside.replaceAll("⟦[^⟦⟧]*⟧", "");
        }
        assertThat(outside).as(one).doesNotContainPattern("\\p{L}{2,}");
        assertThat(one).startsWith("⟦");
      }
    } finally {
      Locale.setDefault(before);
    }
  }

  /** Data that has nothing to be brought up needs nothing kept. */
  private static final BeforeUpgrade NOTHING_KEPT =
      version -> {
        throw new AssertionError("kept " + version);
      };

  /** An older form is kept before it is brought up; where that cannot be, nothing is changed. */
  @Test
  void olderDataIsKeptBeforeItIsBroughtUpOrLeftAsItIs() throws Exception {
    String url = "jdbc:h2:mem:older;DB_CLOSE_DELAY=-1";
    Flyway.configure().dataSource(url, "sa", "").target("7").load().migrate();
    Flyway flyway = Flyway.configure().dataSource(url, "sa", "").load();
    BeforeUpgrade full =
        version -> {
          throw new IOException("no room");
        };
    assertThatThrownBy(() -> new NoNewerData().refuseNewer(full, "").migrate(flyway))
        .isInstanceOf(StartFailure.NotKept.class);
    assertThat(flyway.info().current().getVersion().getVersion()).isEqualTo("7");
    assertThat(StartFailure.words(new StartFailure.NotKept(new IOException()), "data"))
        .contains("saved as one file")
        .contains("Nothing was changed");
    java.util.List<String> kept = new java.util.ArrayList<>();
    new NoNewerData().refuseNewer(kept::add, "").migrate(flyway);
    assertThat(kept).containsExactly("7");
    assertThat(flyway.info().pending()).isEmpty();
    new NoNewerData().refuseNewer(kept::add, "0.1.0").migrate(flyway);
    assertThat(kept).as("data just taken over").hasSize(2).contains("7");
  }

  @Test
  void dataOfANewerProgramIsRefusedAndLeftAsItIs() throws Exception {
    String url = "jdbc:h2:mem:newer;DB_CLOSE_DELAY=-1";
    Flyway flyway = Flyway.configure().dataSource(url, "sa", "").load();
    new NoNewerData().refuseNewer(NOTHING_KEPT, "").migrate(flyway);
    try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
      connection
          .createStatement()
          .executeUpdate(
              "insert into \"flyway_schema_history\" select 99, '99', 'later', 'SQL',"
                  + " 'V99__later.sql', 1, 'sa', current_timestamp, 1, true");
      assertThatThrownBy(() -> new NoNewerData().refuseNewer(NOTHING_KEPT, "").migrate(flyway))
          .isInstanceOf(StartFailure.NewerData.class);
      var rows = connection.createStatement().executeQuery("select count(*) from aircraft");
      rows.next();
      assertThat(rows.getInt(1)).isZero();
    }
  }

  @Test
  void workIsDoneOnceForOneKey() {
    AtomicInteger done = new AtomicInteger();
    Supplier<String> work =
        () -> {
          done.incrementAndGet();
          return "made";
        };
    assertThat(IdempotentRequests.of("key", key -> Optional.of("before"), work))
        .isEqualTo("before");
    assertThat(done).hasValue(0);
    assertThat(IdempotentRequests.of("key", key -> Optional.<String>empty(), work))
        .isEqualTo("made");
    assertThat(IdempotentRequests.of(null, key -> Optional.of("before"), work)).isEqualTo("made");
    assertThat(done).hasValue(2);
    // Two at the same moment: the second meets the constraint and finds what the first has made.
    AtomicInteger looked = new AtomicInteger();
    Supplier<String> late =
        () -> {
          throw violation("23505");
        };
    String found =
        IdempotentRequests.of(
            "key",
            key -> looked.incrementAndGet() == 1 ? Optional.empty() : Optional.of("first"),
            late);
    assertThat(found).isEqualTo("first");
    assertThatThrownBy(() -> IdempotentRequests.of("key", key -> Optional.<String>empty(), late))
        .isInstanceOf(DataIntegrityViolationException.class);
    assertThat(IdempotentRequests.key(null)).isNull();
    assertThat(IdempotentRequests.key("abcdef-0123")).isEqualTo("abcdef-0123");
    assertThatThrownBy(() -> IdempotentRequests.key("short")).satisfies(saying("8 to 64"));
  }
}
