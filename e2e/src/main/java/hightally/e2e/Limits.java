package hightally.e2e;

import java.util.List;

/** How figures are held against what is written of them. */
final class Limits {
  /** Machines are shared: a tenth beyond a limit fails, less does not. */
  static final double BEYOND = 1.1;

  private Limits() {}

  static double median(List<Double> times) {
    return times.stream().sorted().skip(times.size() / 2).findFirst().orElseThrow();
  }
}
