package hightally.app.platform;

import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Long work that goes on while nobody waits for it: one bounded pool with a queue; every piece has
 * a name, says how far it is, and can be stopped.
 */
@Component
public class BackgroundWork {
  private static final Logger LOG = LoggerFactory.getLogger(BackgroundWork.class);
  private static final int QUEUED = 400;

  private final Map<String, Job> jobs = new ConcurrentHashMap<>();
  private final AtomicLong numbers = new AtomicLong();
  private final ThreadPoolExecutor pool =
      new ThreadPoolExecutor(
          1,
          1,
          0,
          TimeUnit.SECONDS,
          new PriorityBlockingQueue<>(),
          task -> {
            Thread thread = new Thread(task, "background-work");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
          });

  /** How far a piece of work is. */
  public enum Stage {
    WAITING,
    RUNNING,
    DONE,
    STOPPED,
    FAILED
  }

  /** Thrown where a piece of work finds that it was told to stop. */
  public static final class StoppedException extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /** A piece that waits: what somebody asked for before what is done because it is due. */
  private record Piece(boolean asked, long number, Runnable work)
      implements Runnable, Comparable<Piece> {
    @Override
    public void run() {
      work.run();
    }

    @Override
    public int compareTo(Piece other) {
      return asked == other.asked ? Long.compare(number, other.number) : asked ? -1 : 1;
    }
  }

  /** A piece of work. */
  public static final class Job implements BooleanSupplier, DoubleConsumer {
    private final CountDownLatch ended = new CountDownLatch(1);
    private volatile Stage stage = Stage.WAITING;
    private volatile double part;
    private volatile boolean stop;

    /** Whether it was told to stop; asked by the work now and then. */
    @Override
    public boolean getAsBoolean() {
      return stop;
    }

    /** Told by the work how far it is, 0 to 1. */
    @Override
    public void accept(double done) {
      part = done;
    }

    /**
     * Told by the work how far it is, 0 to 1, where it can stop.
     *
     * @throws StoppedException if it was told to
     */
    public void reached(double done) {
      part = done;
      if (stop) {
        throw new StoppedException();
      }
    }

    /** How much is done, 0 to 1. */
    public double part() {
      return part;
    }

    /** What has become of it. */
    public Stage stage() {
      return stage;
    }

    /** Whether it goes on no more. */
    public boolean ended() {
      return ended.getCount() == 0;
    }

    /** Asks it to stop. */
    public void stop() {
      stop = true;
    }

    /** Waits for its end, but no longer than so many milliseconds. */
    void await(long most) {
      try {
        ended.await(most, TimeUnit.MILLISECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  /**
   * Begins a piece of work that is due, or finds the one of that name that is waiting or under way.
   *
   * @throws BusyException if as much is waiting as may be
   */
  public Job begin(String name, Consumer<Job> work) {
    return begin(name, false, work);
  }

  /** The same with work that somebody asked for and looks at: before all that is only due. */
  public Job beginAsked(String name, Consumer<Job> work) {
    return begin(name, true, work);
  }

  private Job begin(String name, boolean asked, Consumer<Job> work) {
    Job fresh = new Job();
    Job known = jobs.putIfAbsent(name, fresh);
    if (known != null) {
      return known;
    }
    try {
      if (pool.getQueue().size() >= QUEUED) {
        throw new RejectedExecutionException();
      }
      pool.execute(new Piece(asked, numbers.incrementAndGet(), () -> go(name, fresh, work)));
    } catch (RejectedExecutionException e) {
      jobs.remove(name, fresh);
      throw new BusyException();
    }
    return fresh;
  }

  private void go(String name, Job job, Consumer<Job> work) {
    job.stage = Stage.RUNNING;
    try {
      work.accept(job);
      job.stage = Stage.DONE;
    } catch (StoppedException e) {
      job.stage = Stage.STOPPED;
    } catch (RuntimeException | OutOfMemoryError e) {
      LOG.error("Work in the background failed: {}", name, e);
      job.stage = Stage.FAILED;
    } finally {
      jobs.remove(name, job);
      job.ended.countDown();
    }
  }

  /** Waits until some pieces have ended, but no longer than so many milliseconds in all. */
  public void await(Iterable<Job> some, long mostMilliseconds) {
    long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(mostMilliseconds);
    for (Job job : some) {
      job.await(Math.max(0, TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime())));
    }
  }

  @PreDestroy
  void end() {
    jobs.values().forEach(Job::stop);
    pool.shutdownNow();
  }
}
