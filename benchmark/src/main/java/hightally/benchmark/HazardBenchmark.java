package hightally.benchmark;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.hazard.HazardSearch;
import hightally.core.program.Trims;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/**
 * The exhaustive check of a glider with five phases, four switches of three positions and eight
 * servos, against one evaluation of each of its states: every position of the switches, levers,
 * sticks and throttle at their ends, sticks also centred. The largest program stands beside the
 * demo glider; a search is one thread, so its time is its CPU's.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class HazardBenchmark {
  private static final double[] STICKS = {-1, 0, 1};

  private SignalPath path;
  private List<Moment> states;
  private SignalPath largest;
  private SignalPath glider;

  @Setup
  public void prepare() {
    path = SignalPath.of(DemoModel.largeGlider());
    largest = SignalPath.of(LargeProgram.of(8, 1.5));
    glider = SignalPath.of(DemoModel.glider());
    states = new ArrayList<>();
    List<List<Double>> inputs = new ArrayList<>(List.of(List.of()));
    for (TransmitterInput input : path.setup().transmitter().inputs()) {
      List<Double> places =
          input.kind() == InputKind.SWITCH ? List.of(0.0, 0.5, 1.0) : List.of(0.0, 1.0);
      List<List<Double>> longer = new ArrayList<>();
      for (List<Double> one : inputs) {
        for (double place : places) {
          List<Double> more = new ArrayList<>(one);
          more.add(place);
          longer.add(more);
        }
      }
      inputs = longer;
    }
    for (List<Double> one : inputs) {
      for (double roll : STICKS) {
        for (double pitch : STICKS) {
          for (double yaw : STICKS) {
            for (double throttle : new double[] {0, 1}) {
              states.add(
                  new Moment(roll, pitch, yaw, throttle, false, Trims.ZERO, one, Readings.NORMAL));
            }
          }
        }
      }
    }
  }

  /** How many states the second measurement evaluates. */
  static int states() {
    HazardBenchmark one = new HazardBenchmark();
    one.prepare();
    return one.states.size();
  }

  /** Every hazard of every state, bounded or evaluated, and every single flick from each. */
  @Benchmark
  public HazardSearch.Outcome exhaustiveCheck() {
    return HazardSearch.of(path);
  }

  /** Eight switches of three positions, eight phases, twenty mixes. */
  @Benchmark
  public HazardSearch.Outcome largestProgram() {
    return HazardSearch.of(largest);
  }

  /** The demo glider's own program. */
  @Benchmark
  public HazardSearch.Outcome demoGlider() {
    return HazardSearch.of(glider);
  }

  /** Only where everything stands in each state, nothing judged. */
  @Benchmark
  public double eachStateByItself() {
    double sum = 0;
    for (Moment state : states) {
      sum += path.evaluate(state).travelMm()[0];
    }
    return sum;
  }
}
