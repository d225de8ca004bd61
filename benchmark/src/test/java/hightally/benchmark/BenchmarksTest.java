package hightally.benchmark;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.openjdk.jmh.runner.RunnerException;

/** Every measurement runs, and everything that is printed of them is there. */
class BenchmarksTest {
  @Test
  void everyOneRunsOnce() throws RunnerException {
    PrintStream screen = System.out;
    ByteArrayOutputStream printed = new ByteArrayOutputStream();
    System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
    try {
      Benchmarks.once();
    } finally {
      System.setOut(screen);
    }
    String told = printed.toString(StandardCharsets.UTF_8);
    assertThat(told)
        .contains("ratio", "times as fast", "s of CPU")
        .doesNotContain("NaN", "Infinity", " 0 ns");
  }
}
