package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.BackgroundWork;
import hightally.app.platform.HighTallyProperties;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.SureCommits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the program keeps by itself, day by day and before it is brought up. */
class BackupsTest {
  private static final Instant FIRST = Instant.parse("2026-09-01T12:00:00Z");

  @TempDir Path folder;
  private DataSource data;

  @BeforeEach
  void aHangar() throws SQLException {
    JdbcDataSource made = new JdbcDataSource();
    made.setURL("jdbc:h2:file:" + folder + "/high-tally;DB_CLOSE_DELAY=-1");
    data = made;
    Flyway.configure().dataSource(data).load().migrate();
    sql(
        "insert into aircraft (name, newest_revision, created_at, version) values ('Wheatear', 0,"
            + " current_timestamp, 0)");
  }

  @AfterEach
  void closed() throws SQLException {
    sql("shutdown immediately");
  }

  private void sql(String statement) throws SQLException {
    try (var connection = data.getConnection();
        var made = connection.createStatement()) {
      made.execute(statement);
    }
  }

  @Test
  void anEmptyHangarIsNotKept() throws Exception {
    sql("delete from aircraft");
    day(0);
    assertThat(on(FIRST).all()).isEmpty();
  }

  private Backups on(Instant day) {
    HighTallyProperties properties =
        new HighTallyProperties(false, folder.toString(), false, false, false);
    return new Backups(
        data,
        new ArchiveWriter(data, new ObjectMapper()),
        Clock.fixed(day, ZoneOffset.UTC),
        properties,
        new BackgroundWork());
  }

  private void day(int number) throws IOException {
    Instant now = FIRST.plus(Duration.ofDays(number));
    on(now).daily();
    for (Backups.Backup one : on(now).all()) {
      if (one.writtenAt().isAfter(now)) {
        Path file = folder.resolve("backups").resolve(one.name());
        Files.setLastModifiedTime(file, FileTime.from(now));
      }
    }
  }

  @Test
  void onceADayAndTheLastSevenAreKept() throws Exception {
    for (int i = 0; i < 10; i++) {
      day(i);
      day(i);
    }
    List<String> names = on(FIRST).all().stream().map(Backups.Backup::name).toList();
    assertThat(names).hasSize(7).first().isEqualTo("daily-2026-09-10.zip");
    assertThat(names).last().isEqualTo("daily-2026-09-04.zip");
    assertThat(Files.list(folder.resolve("backups")))
        .allSatisfy(file -> assertThat(file.toString()).endsWith(".zip"));
  }

  /** The evening's last flight is in the day's archive. */
  @Test
  void atTheEndTheDaysArchiveIsWhatTheDayCameTo() throws Exception {
    JdbcDataSource file = new JdbcDataSource();
    file.setURL("jdbc:h2:file:" + folder.resolve("data") + ";WRITE_DELAY=0");
    data = (DataSource) new SureCommits().postProcessAfterInitialization(file, "data");
    Flyway.configure().dataSource(data).load().migrate();
    try (Connection open = data.getConnection()) {
      assertThat(open.isValid(1)).as("open all evening").isTrue();
      anEvening();
    }
  }

  private void anEvening() throws Exception {
    Backups evening = on(FIRST);
    evening.daily();
    assertThat(evening.all()).as("nothing there").isEmpty();
    committed("Wheatear");
    evening.daily();
    evening.daily();
    assertThat(models(evening)).containsExactly("Wheatear");
    committed("Larkmere");
    evening.daily();
    assertThat(models(evening)).as("one a day").containsExactly("Wheatear");
    evening.atTheEnd();
    assertThat(models(evening)).containsExactly("Wheatear", "Larkmere");
    Files.delete(evening.file("daily-2026-09-01.zip"));
    evening.atTheEnd();
    assertThat(evening.all()).as("nothing new since").isEmpty();
  }

  private void committed(String name) throws SQLException {
    try (var connection = data.getConnection();
        var statement = connection.createStatement()) {
      connection.setAutoCommit(false);
      statement.execute(
          "insert into aircraft (name, newest_revision, created_at, version) values ('"
              + name
              + "', 0, current_timestamp, 0)");
      connection.commit();
    }
  }

  private static List<String> models(Backups kept) throws Exception {
    try (ArchiveReader archive =
        new ArchiveReader(kept.file(kept.all().get(0).name()), new ObjectMapper())) {
      return archive.about().get("models").findValuesAsText("name");
    }
  }

  @Test
  void whatIsKeptBeforeAnUpgradeIsNeverForgotten() throws Exception {
    on(FIRST).keep("7");
    for (int i = 0; i < 10; i++) {
      day(i);
    }
    assertThat(on(FIRST).all()).hasSize(8);
    assertThat(on(FIRST).file("upgrade-from-7-2026-09-01.zip")).isRegularFile();
  }

  /** An archive has what this program knows of; the copy is all there was. */
  @Test
  void beforeAnUpgradeTheFileIsCopiedAsWell() throws Exception {
    on(FIRST).keep("7");
    sql("delete from aircraft");
    try (var copies = Files.list(folder.resolve("copies"))) {
      Path copy = copies.toList().get(0);
      String file = copy.toString().replace(".mv.db", "");
      try (var connection = DriverManager.getConnection("jdbc:h2:file:" + file);
          var found = connection.createStatement().executeQuery("select count(*) from aircraft")) {
        found.next();
        assertThat(found.getInt(1)).isEqualTo(1);
      }
    }
  }

  @Test
  void nothingElseOfTheFolderIsHandedOut() throws Exception {
    Files.createDirectories(folder.resolve("backups"));
    for (String name : List.of("../high-tally.mv.db", "daily-2026-09-01.zip", "x")) {
      assertThatThrownBy(() -> on(FIRST).file(name)).isInstanceOf(NotFoundException.class);
    }
  }
}
