package hightally.app.program;

import hightally.app.platform.BackgroundWork;
import hightally.app.platform.NotFoundException;
import hightally.core.hazard.HazardSearch;
import hightally.core.quantity.Absentable;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Searches for hazards that go on while the page watches. Each ends: by itself, when told to, when
 * nobody has asked about it for a while, or when it has done all the work it may; and says which.
 */
@Component
class HazardRuns {
  private static final Logger LOG = LoggerFactory.getLogger(HazardRuns.class);
  private static final int KEPT = 20;
  private static final Duration ALONE = Duration.ofSeconds(20);

  private final Map<Long, Run> runs = new ConcurrentSkipListMap<>();
  private final AtomicLong numbers = new AtomicLong();
  private final Clock clock;
  private final Search search;
  private final BackgroundWork work;

  /** What searches: a path, asked whether to stop, told how far it is. */
  interface Search {
    HazardSearch.Outcome of(SignalPath path, BooleanSupplier stop, DoubleConsumer progress);
  }

  @Autowired
  HazardRuns(Clock clock, BackgroundWork work) {
    this(clock, work, HazardSearch::of);
  }

  HazardRuns(Clock clock, BackgroundWork work, Search search) {
    this.clock = clock;
    this.work = work;
    this.search = search;
  }

  /** What has become of a search. */
  enum SearchEnd {
    /** It looked at everything. */
    WHOLE,
    /** It was told to stop. */
    STOPPED,
    /** Nobody asked about it. */
    LEFT_ALONE,
    /** It did all the work it may without coming to an end. */
    TOO_LARGE,
    /** A fault in the program. */
    FAILED
  }

  /**
   * How far a search is.
   *
   * @param part 0 to 1
   * @param end how it ended; absent while it goes on
   * @param outcome what it found; absent while it goes on, and where it failed
   */
  record SearchState(
      long id, double part, @Absentable SearchEnd end, @Absentable HazardSearch.Outcome outcome) {}

  private final class Run implements BooleanSupplier {
    private volatile double part;
    private volatile boolean stop;
    private volatile Instant asked = clock.instant();
    private volatile SearchEnd end;
    private volatile HazardSearch.Outcome outcome;

    @Override
    public boolean getAsBoolean() {
      return stop || alone();
    }

    private boolean alone() {
      return Duration.between(asked, clock.instant()).compareTo(ALONE) > 0;
    }

    void go(SignalPath path) {
      try {
        HazardSearch.Outcome found = search.of(path, this, done -> part = done).shown();
        outcome = found;
        end = end(found);
      } catch (RuntimeException | OutOfMemoryError e) {
        LOG.error("A search for hazards failed", e);
        end = SearchEnd.FAILED;
      }
    }

    private SearchEnd end(HazardSearch.Outcome found) {
      return switch (found.ending()) {
        case WHOLE -> SearchEnd.WHOLE;
        case TOO_LARGE -> SearchEnd.TOO_LARGE;
        case STOPPED -> stop ? SearchEnd.STOPPED : SearchEnd.LEFT_ALONE;
      };
    }
  }

  /** Begins a search. */
  SearchState begin(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    Run run = new Run();
    long id = numbers.incrementAndGet();
    runs.put(id, run);
    forget(id - KEPT);
    work.beginAsked("hazards " + id, job -> run.go(path));
    return state(id);
  }

  private void forget(long upTo) {
    runs.entrySet()
        .removeIf(
            old -> {
              boolean gone = old.getKey() <= upTo;
              old.getValue().stop |= gone;
              return gone;
            });
  }

  /** Searches while the caller waits. */
  HazardSearch.Outcome now(Setup setup) {
    return search.of(SignalPath.of(setup), () -> false, part -> {}).shown();
  }

  /** How far it is. */
  SearchState state(long id) {
    Run run = find(id);
    run.asked = clock.instant();
    // The end is written last: with it, the outcome is there.
    SearchEnd end = run.end;
    return new SearchState(id, run.part, end, end == null ? null : run.outcome);
  }

  /** Stops it between two states; what was found so far is kept. */
  SearchState stop(long id) {
    find(id).stop = true;
    return state(id);
  }

  private Run find(long id) {
    Run run = runs.get(id);
    if (run == null) {
      throw new NotFoundException("missing.search", id);
    }
    return run;
  }

  @PreDestroy
  void end() {
    runs.values().forEach(run -> run.stop = true);
  }
}
