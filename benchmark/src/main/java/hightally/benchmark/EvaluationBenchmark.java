package hightally.benchmark;

import hightally.core.linkage.FourBar;
import hightally.core.program.Trims;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** One full evaluation of the demo biplane, and the bare four-bar solutions it contains. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class EvaluationBenchmark {
  private static final int MOMENTS = 64;

  private SignalPath path;
  private Moment[] moments;
  private FourBar[] bars;
  private double[][] drivers;
  private int next;

  /** Sticks all over their range, so that no branch is always taken. */
  @Setup
  public void prepare() {
    path = SignalPath.of(DemoModel.biplane());
    moments = new Moment[MOMENTS];
    drivers = new double[MOMENTS][];
    int surfaces = path.setup().surfaces().size();
    bars = new FourBar[surfaces];
    for (int s = 0; s < surfaces; s++) {
      bars[s] = path.bar(s);
    }
    for (int i = 0; i < MOMENTS; i++) {
      double stick = Math.sin(i * 1.7);
      moments[i] =
          new Moment(
              stick,
              Math.cos(i * 0.9),
              -stick,
              0.5,
              false,
              new Trims(i % 9, -i % 7, i % 5),
              List.of(),
              hightally.core.signal.Readings.NORMAL);
      Positions positions = path.evaluate(moments[i]);
      drivers[i] = new double[surfaces];
      for (int s = 0; s < surfaces; s++) {
        drivers[i][s] = path.driverDegrees(s, positions);
      }
    }
  }

  /** Sticks to millimetres: every channel, servo, linkage and surface. */
  @Benchmark
  public Positions fullEvaluation() {
    next = (next + 1) % MOMENTS;
    return path.evaluate(moments[next]);
  }

  /** Only the linkages of the same evaluation. */
  @Benchmark
  public double bareFourBars() {
    next = (next + 1) % MOMENTS;
    double sum = 0;
    for (int s = 0; s < bars.length; s++) {
      sum += bars[s].surfaceAngle(drivers[next][s]);
    }
    return sum;
  }
}
