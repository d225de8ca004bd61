package hightally.core.hazard;

import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/**
 * What a search has done and may still do: counted in regions, moments and parts looked at, never
 * in time.
 */
final class SearchBudget {
  /** So often it is asked whether to stop. */
  private static final int LOOK_UP = 64;

  private final long most;
  private final BooleanSupplier stop;
  private final DoubleConsumer progress;
  private long done;
  private long asked;
  private double from;
  private double to = 1;

  /** Thrown where a search ends early; without a trace, it is no fault. */
  static final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1;

    Stopped() {
      super(null, null, false, false);
    }
  }

  SearchBudget(long most, BooleanSupplier stop, DoubleConsumer progress) {
    this.most = most;
    this.stop = stop;
    this.progress = progress;
  }

  /** Counts some work. */
  void spend(long more) {
    done += more;
    if (done > most) {
      throw new Stopped();
    }
    if (done >= asked) {
      asked = done + LOOK_UP;
      if (stop.getAsBoolean()) {
        throw new Stopped();
      }
    }
  }

  long done() {
    return done;
  }

  /** A stage begins that is some part of the whole. */
  void stage(double begin, double end) {
    from = begin;
    to = end;
    told(0);
  }

  /** How much of the stage is done, 0 to 1. */
  void told(double part) {
    progress.accept(from + part * (to - from));
  }
}
