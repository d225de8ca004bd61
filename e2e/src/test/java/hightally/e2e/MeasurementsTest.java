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
    // Every page's data that the published description names, four first views, the heap.
    assertThat(told.lines().filter(one -> one.startsWith("Growth, ")))
        .hasSizeGreaterThan(40)
        .allMatch(one -> one.matches(".*: (median )?[0-9].* against [\\d.]+.* times as .*"));
    // Movements and millimetres of two models; a stranger's bodies; the start; long work.
    assertThat(told.lines().filter(one -> one.contains(" times as long"))).hasSize(7);
    assertThat(told).contains("An archive of it in the background: ");
    assertThat(told).doesNotContain("NaN", "Infinity");
  }
}
