package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Every measurement against the packaged application runs to its end and gives figures. */
class MeasurementsTest extends Story {
  @Test
  void everyOneRunsOnce() throws IOException, InterruptedException {
    PrintStream screen = System.out;
    ByteArrayOutputStream printed = new ByteArrayOutputStream();
    System.setOut(new PrintStream(printed, true, StandardCharsets.UTF_8));
    try {
      Measurements.once(app);
    } finally {
      System.setOut(screen);
    }
    String told = printed.toString(StandardCharsets.UTF_8);
    assertThat(told.lines().filter(one -> one.startsWith("Stick to redrawn surface"))).hasSize(1);
    assertThat(told.lines().filter(one -> one.startsWith("Growth, ")))
        .hasSize(7)
        .allMatch(one -> one.matches(".*: median [1-9].* against [\\d.]+.* times as slow.*"));
    assertThat(told).doesNotContain("NaN", "Infinity");
  }
}
