package hightally.app.program;

import hightally.app.platform.NotFoundException;
import hightally.core.hazard.HazardSearch;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/** Searches for hazards that go on while the page watches, and can be stopped. */
@Component
class HazardRuns {
  private static final int KEPT = 20;

  private final Map<Long, Run> runs = new ConcurrentSkipListMap<>();
  private final AtomicLong numbers = new AtomicLong();
  private final ExecutorService workers =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "hazard-search");
            thread.setDaemon(true);
            return thread;
          });

  /**
   * How far a search is.
   *
   * @param part 0 to 1
   * @param outcome once it has ended or was stopped; absent before
   */
  record SearchState(long id, double part, HazardSearch.Outcome outcome) {}

  private static final class Run {
    private volatile double part;
    private volatile boolean stop;
    private volatile HazardSearch.Outcome outcome;
  }

  /** Begins a search. */
  SearchState begin(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    Run run = new Run();
    long id = numbers.incrementAndGet();
    runs.put(id, run);
    runs.keySet().removeIf(old -> old <= id - KEPT);
    workers.execute(
        () -> run.outcome = HazardSearch.of(path, () -> run.stop, part -> run.part = part));
    return state(id);
  }

  /** How far it is. */
  SearchState state(long id) {
    Run run = find(id);
    return new SearchState(id, run.part, run.outcome);
  }

  /** Stops it between two states; what was found so far is kept. */
  SearchState stop(long id) {
    find(id).stop = true;
    return state(id);
  }

  private Run find(long id) {
    Run run = runs.get(id);
    if (run == null) {
      throw new NotFoundException("search for hazards", id);
    }
    return run;
  }

  @PreDestroy
  void end() {
    workers.shutdownNow();
  }
}
