package hightally.benchmark;

import org.junit.jupiter.api.Test;
import org.openjdk.jmh.runner.RunnerException;

/** Every measurement runs, and everything that is printed of them is there. */
class BenchmarksTest {
  @Test
  void everyOneRunsOnce() throws RunnerException {
    Benchmarks.once();
  }
}
