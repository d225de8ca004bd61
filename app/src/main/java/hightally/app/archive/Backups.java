package hightally.app.archive;

import hightally.app.datafile.DataFile;
import hightally.app.platform.BackgroundWork;
import hightally.app.platform.BeforeUpgrade;
import hightally.app.platform.HighTallyProperties;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.SureCommits;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Archives the program writes by itself into the folder {@code backups} of the data: once a day, of
 * which the last seven are kept, and before the data are brought up to a newer program, which are
 * all kept.
 */
@Component
class Backups implements BeforeUpgrade {
  /** So many days are kept. */
  static final int KEPT_DAYS = 7;

  private static final String DAILY = "daily-";
  private static final Pattern NAME = Pattern.compile("(daily|upgrade)-[0-9a-z.-]{1,60}\\.zip");

  /** A start has other things to do first. */
  private static final long SOON_MILLIS = 5_000;

  /** Of a first evening too there is one, minutes after the first change. */
  private static final long OFTEN_MILLIS = 120_000;

  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

  private final DataSource data;
  private final ArchiveWriter writer;
  private final Clock clock;
  private final HighTallyProperties properties;
  private final BackgroundWork work;
  private final Path folder;

  /** The state of the data that was last kept. */
  private long kept;

  Backups(
      DataSource data,
      ArchiveWriter writer,
      Clock clock,
      HighTallyProperties properties,
      BackgroundWork work) {
    this.work = work;
    this.data = data;
    this.writer = writer;
    this.clock = clock;
    this.properties = properties;
    kept = SureCommits.state();
    folder = Path.of(properties.data()).resolve("backups");
  }

  /** One of them. */
  record Backup(String name, long bytes, Instant writtenAt) {}

  /** At the end the day's archive is what the day came to. */
  @PreDestroy
  void atTheEnd() {
    if (properties.demo() || SureCommits.state() == kept) {
      return;
    }
    try {
      if (!empty()) {
        write(today());
        kept = SureCommits.state();
      }
    } catch (IOException | SQLException | RuntimeException e) {
      LOG.warn("The archive of the end could not be written to {}: {}", folder, e.getMessage());
    }
  }

  private Path today() {
    return folder.resolve(
        DAILY + LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()) + ".zip");
  }

  /** Once a day while the program runs, minutes after there is anything to keep. */
  @Scheduled(fixedDelay = OFTEN_MILLIS, initialDelay = SOON_MILLIS)
  void daily() {
    work.await(List.of(work.begin("archive of the day", job -> ofTheDay())), Long.MAX_VALUE);
  }

  private void ofTheDay() {
    Path file = today();
    try {
      if (!Files.exists(file) && !empty()) {
        write(file);
        forget();
      }
    } catch (IOException | SQLException | RuntimeException e) {
      LOG.warn("Today's archive could not be written to {}: {}", folder, e.getMessage());
    }
  }

  /** An empty hangar holds nothing to keep, and must not stand in for the day's. */
  private boolean empty() throws SQLException {
    try (var connection = data.getConnection();
        var statement = connection.createStatement();
        var found = statement.executeQuery("select count(*) from aircraft")) {
      found.next();
      return found.getLong(1) == 0;
    }
  }

  /** Data that is about to be changed by a newer program is kept first, or nothing is changed. */
  @Override
  public void keep(String version) throws IOException, SQLException {
    String day = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()).toString();
    write(folder.resolve("upgrade-from-" + version + "-" + day + ".zip"));
    try (var connection = data.getConnection()) {
      new DataFile(folder.getParent()).copy(clock, connection);
    }
  }

  private void write(Path file) throws IOException, SQLException {
    kept = SureCommits.state();
    writer.write(file, clock.instant());
  }

  private void forget() throws IOException {
    List<Backup> days = all().stream().filter(one -> one.name().startsWith(DAILY)).toList();
    for (int i = KEPT_DAYS; i < days.size(); i++) {
      Files.deleteIfExists(folder.resolve(days.get(i).name()));
    }
  }

  /** All there are, the newest first. */
  List<Backup> all() throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(file -> NAME.matcher(file.getFileName().toString()).matches())
          .map(Backups::told)
          .sorted(Comparator.comparing(Backup::writtenAt).thenComparing(Backup::name).reversed())
          .toList();
    }
  }

  private static Backup told(Path file) {
    try {
      return new Backup(
          file.getFileName().toString(),
          Files.size(file),
          Files.getLastModifiedTime(file).toInstant());
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** The file of one of them. */
  Path file(String name) {
    Path file = folder.resolve(name);
    if (!NAME.matcher(name).matches() || !Files.isRegularFile(file)) {
      throw new NotFoundException("missing.backup", name);
    }
    return file;
  }
}
