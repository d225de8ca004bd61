package hightally.app.archive;

import hightally.app.platform.BackgroundWork;
import hightally.app.platform.BackgroundWork.Job;
import hightally.app.platform.BackgroundWork.Stage;
import hightally.app.platform.BackgroundWork.StoppedException;
import hightally.app.platform.BusyException;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.DoubleConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Archives written, looked into and brought back in the one pool, where no request waits with a
 * connection: each tells how far it is and can be stopped. The newest are kept for whoever asks
 * what has become of them, with the file that was written.
 */
@Component
class ArchiveWorks {
  private static final Logger LOG = LoggerFactory.getLogger(ArchiveWorks.class);
  private static final int KEPT = 5;

  /** Whoever waits for an archive without asking how far it is waits no longer than this. */
  private static final long LONGEST_WAIT_MILLIS = 900_000;

  private final Map<Long, Work> works = new ConcurrentSkipListMap<>();
  private final AtomicLong numbers = new AtomicLong();
  private final BackgroundWork pool;
  private final Archives archives;
  private final ArchiveWriter writer;
  private final Clock clock;

  ArchiveWorks(BackgroundWork pool, Archives archives, ArchiveWriter writer, Clock clock) {
    this.pool = pool;
    this.archives = archives;
    this.writer = writer;
    this.clock = clock;
  }

  /** What is done with an archive. */
  enum ArchiveTask {
    SAVE,
    LOOK,
    BRING
  }

  /** How that ended, where it was not refused. */
  enum ArchiveEnd {
    DONE,
    /** Told to stop: nothing was written or brought. */
    STOPPED
  }

  /**
   * How far it is.
   *
   * @param part 0 to 1
   * @param end absent while it goes on
   * @param contents what it holds, once it was looked into
   * @param brought the models, once they are there
   */
  record ArchiveState(
      long id,
      ArchiveTask task,
      double part,
      @Absentable ArchiveEnd end,
      @Absentable Archives.Contents contents,
      List<Archives.BroughtBack> brought) {}

  /** What is done with the file of a piece of work. */
  private interface Doing {
    void of(Work work, DoubleConsumer reached) throws IOException, SQLException;
  }

  private final class Work {
    private final long id;
    private final ArchiveTask task;
    private final Path file;
    private Job job;
    private volatile Archives.Contents contents;
    private volatile List<Archives.BroughtBack> brought = List.of();
    private volatile RuntimeException refused;

    Work(long id, ArchiveTask task, Path file) {
      this.id = id;
      this.task = task;
      this.file = file;
    }

    void go(Job known, Doing doing) {
      boolean written = false;
      try {
        doing.of(this, known::reached);
        written = task == ArchiveTask.SAVE;
      } catch (InvalidInputException | ConflictException e) {
        refused = e;
      } catch (IOException e) {
        throw failed(new UncheckedIOException(e));
      } catch (SQLException e) {
        throw failed(new IllegalStateException(e));
      } catch (StoppedException e) {
        throw e;
      } catch (RuntimeException e) {
        throw failed(e);
      } finally {
        if (!written) {
          forgetFile();
        }
      }
    }

    private RuntimeException failed(RuntimeException e) {
      refused = e;
      return e;
    }

    void forgetFile() {
      try {
        Files.deleteIfExists(file);
      } catch (IOException e) {
        LOG.warn("A file of an archive is left at {}: {}", file, e.getMessage());
      }
    }

    ArchiveState state() {
      Stage stage = job.stage();
      if (refused != null) {
        throw refused;
      }
      if (stage == Stage.FAILED) {
        throw new BusyException(); // No room for it now; the log says so.
      }
      ArchiveEnd end =
          stage == Stage.DONE
              ? ArchiveEnd.DONE
              : stage == Stage.STOPPED ? ArchiveEnd.STOPPED : null;
      return new ArchiveState(
          id, task, end == ArchiveEnd.DONE ? 1 : job.part(), end, contents, brought);
    }
  }

  /** Begins to write everything into one file. */
  ArchiveState save() throws IOException {
    return kept(saving());
  }

  private Work saving() throws IOException {
    return begin(
        ArchiveTask.SAVE,
        Files.createTempFile("high-tally-", ".zip"),
        (work, reached) -> writer.write(work.file, clock.instant(), reached));
  }

  /** Begins to look into a file, which is deleted afterwards. */
  ArchiveState look(Path file) {
    return kept(looking(file));
  }

  private Work looking(Path file) {
    return begin(
        ArchiveTask.LOOK,
        file,
        (work, reached) -> work.contents = archives.look(work.file, reached));
  }

  /** Begins to bring models back from a file, which is deleted afterwards. */
  ArchiveState bring(Path file, Archives.Wanted wanted) {
    return kept(bringing(file, wanted));
  }

  private Work bringing(Path file, Archives.Wanted wanted) {
    return begin(
        ArchiveTask.BRING,
        file,
        (work, reached) -> work.brought = archives.bring(work.file, wanted, reached));
  }

  private Work begin(ArchiveTask task, Path file, Doing doing) {
    Work work = new Work(numbers.incrementAndGet(), task, file);
    try {
      work.job = pool.beginAsked("archive " + work.id, job -> work.go(job, doing));
    } catch (BusyException e) {
      work.forgetFile();
      throw e;
    }
    return work;
  }

  /** One that can be asked for: refused or not, that is told to whoever asks. */
  private ArchiveState kept(Work work) {
    works.put(work.id, work);
    forget(work.id - KEPT);
    return new ArchiveState(work.id, work.task, 0, null, null, List.of());
  }

  private void forget(long upTo) {
    works
        .values()
        .removeIf(
            work -> {
              boolean gone = work.id <= upTo && work.job.ended();
              if (gone) {
                work.forgetFile();
              }
              return gone;
            });
  }

  /** How far one is; refuses with what it was refused with. */
  ArchiveState state(long id) {
    return find(id).state();
  }

  /** Stops one before its next model. */
  ArchiveState stop(long id) {
    Work work = find(id);
    work.job.stop();
    return work.state();
  }

  /** The file that one has written. */
  Path file(long id) {
    Work work = find(id);
    if (work.task != ArchiveTask.SAVE || work.job.stage() != Stage.DONE) {
      throw new NotFoundException("missing.archiveFile", id);
    }
    return work.file;
  }

  /** Writes everything, for who waits; the file is the caller's. */
  Path saved() throws IOException {
    return waited(saving()).file;
  }

  /** What a file holds, for who waits. */
  Archives.Contents lookedInto(Path file) {
    return waited(looking(file)).contents;
  }

  /** Models brought back, for who waits. */
  List<Archives.BroughtBack> broughtBack(Path file, Archives.Wanted wanted) {
    return waited(bringing(file, wanted)).brought;
  }

  private Work waited(Work work) {
    pool.await(List.of(work.job), LONGEST_WAIT_MILLIS);
    if (work.state().end() != ArchiveEnd.DONE) {
      work.job.stop();
      throw new BusyException();
    }
    return work;
  }

  private Work find(long id) {
    Work work = works.get(id);
    if (work == null) {
      throw new NotFoundException("missing.archiveWork", id);
    }
    return work;
  }

  @PreDestroy
  void end() {
    works.values().forEach(Work::forgetFile);
  }
}
