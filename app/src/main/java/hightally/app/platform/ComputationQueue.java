package hightally.app.platform;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Long computations that somebody waits for take turns, in the order they came: as many at once as
 * leave room for everything else. Whoever waits holds nothing that others need.
 */
@Component
public class ComputationQueue {
  private static final long MOST_SECONDS = 60;

  private final Semaphore free =
      new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), true);

  /**
   * What comes of a computation.
   *
   * @throws BusyException if its turn does not come within a minute
   */
  public <T> T of(Supplier<T> computation) {
    try {
      if (!free.tryAcquire(MOST_SECONDS, TimeUnit.SECONDS)) {
        throw new BusyException();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new BusyException();
    }
    try {
      return computation.get();
    } finally {
      free.release();
    }
  }
}
