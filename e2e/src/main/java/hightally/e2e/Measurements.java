package hightally.e2e;

import java.io.IOException;

/** Everything that is measured against the packaged application. */
public final class Measurements {
  private static final int MOVEMENTS = 300;
  private static final int FEW = 3;

  private Measurements() {}

  /** Measures and prints. */
  public static void main(String[] args) throws IOException, InterruptedException {
    StickLatency.measure(MOVEMENTS);
    Growth.measure(Growth.Size.FULL);
  }

  /** Each of them in its shortest form, which says that it runs and nothing of how fast. */
  static void once() throws IOException, InterruptedException {
    StickLatency.measure(FEW);
    Growth.measure(Growth.Size.SHORTEST);
  }
}
