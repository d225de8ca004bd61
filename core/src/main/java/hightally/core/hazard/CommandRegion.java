package hightally.core.hazard;

import java.util.List;

/**
 * What is looked for of two commands together, the one before a change and the one after, or those
 * of two surfaces: where both are beyond some straight limits, and what is to be as large as can be
 * there.
 *
 * @param limits all of them hold
 * @param most what is to be largest
 * @param enough from here on larger does not matter
 */
record CommandRegion(List<Limit> limits, Limit most, double enough) {
  private static final double ROUNDING = 1e-9;

  /** {@code one · first command + other · second command}, at least {@code least}, percent. */
  record Limit(double one, double other, double least) {
    static Limit above(double least) {
      return new Limit(1, 0, least);
    }

    static Limit below(double most) {
      return new Limit(-1, 0, -most);
    }

    static Limit otherAbove(double least) {
      return new Limit(0, 1, least);
    }

    double of(double first, double second) {
      return one * first + other * second;
    }

    /** How far beyond the limit two commands are. */
    double beyond(double first, double second) {
      return of(first, second) - least;
    }
  }

  static CommandRegion of(Limit most, double enough, Limit... limits) {
    return new CommandRegion(List.of(limits), most, enough);
  }

  /** Whether two commands are beyond all limits, to rounding. */
  boolean holds(double first, double second) {
    return limits.stream().allMatch(limit -> limit.beyond(first, second) >= -ROUNDING);
  }
}
