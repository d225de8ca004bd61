package hightally.e2e;

import java.io.IOException;
import org.junit.jupiter.api.Test;

/** Every measurement against the packaged application runs to its end. */
class MeasurementsTest {
  @Test
  void everyOneRunsOnce() throws IOException, InterruptedException {
    Measurements.once();
  }
}
