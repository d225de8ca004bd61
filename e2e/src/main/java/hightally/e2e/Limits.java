package hightally.e2e;

import java.util.List;
import java.util.Locale;

/** How figures are held against what is written of them. */
final class Limits {
  /** Machines are shared: a tenth beyond a limit fails, less does not. */
  static final double BEYOND = 1.1;

  private Limits() {}

  static double median(List<Double> times) {
    return times.stream().sorted().skip(times.size() / 2).findFirst().orElseThrow();
  }

  /**
   * Prints how many times as long something takes as something else, both in seconds; answers
   * whether that is within its limit.
   */
  static boolean told(String what, List<Double> one, List<Double> other, double limit) {
    double ratio = median(one) / median(other);
    System.out.printf(
        Locale.ROOT,
        "%s: median %.4f s against %.4f s; %.2f times as long (limit %.2f)%n",
        what,
        median(one),
        median(other),
        ratio,
        limit);
    return ratio <= limit * BEYOND;
  }
}
