package hightally.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Everything that is measured against the packaged application. */
public final class Measurements {
  private static final int MOVEMENTS = 300;
  private static final int FEW = 3;
  private static final String HEAP = "-Xmx256m";
  private static final int TIMES = 5;
  private static final int ANSWERS = 25;
  private static final int STRANGERS = 60;

  private Measurements() {}

  /** Measures and prints. */
  public static void main(String[] args) throws IOException, InterruptedException {
    try (RunningApp app = RunningApp.start(folder("latency"))) {
      StickLatency.measure(app, MOVEMENTS);
    }
    boolean kept;
    try (RunningApp app = RunningApp.startAsPackaged(folder("answers"))) {
      kept = AnswerTimes.measure(app, ANSWERS);
    }
    try (RunningApp app = RunningApp.startForDevices(folder("desk"), 0)) {
      kept &= StrangerTimes.measure(app, StrangerTimes.network(app), STRANGERS);
    }
    Path grown = folder("large");
    try (RunningApp small = RunningApp.startAsPackaged(folder("small"), HEAP);
        RunningApp large = RunningApp.startAsPackaged(grown, HEAP)) {
      kept &= Growth.measure(small, large, Growth.Size.FULL);
    }
    kept &= new StartTimes(folder("starts").getParent(), TIMES).measure(grown);
    if (!kept) {
      throw new IllegalStateException("Not every figure is within its limit");
    }
  }

  /**
   * Each of them in its shortest form, against the same application: says that it runs and nothing
   * of how fast.
   */
  static void once(RunningApp app) throws IOException, InterruptedException {
    StickLatency.measure(app, FEW);
    AnswerTimes.measure(app, 1);
    StrangerTimes.measure(app, app.address(), 1);
    Growth.measure(app, app, Growth.Size.SHORTEST);
    new StartTimes(folder("starts").getParent(), 1).once(app);
  }

  private static Path folder(String name) throws IOException {
    return Files.createTempDirectory("high-tally-" + name).resolve("data");
  }
}
