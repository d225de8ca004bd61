package hightally.benchmark;

import hightally.core.program.Trims;
import hightally.core.simulator.Aerodynamics;
import hightally.core.simulator.FlyingModel;
import hightally.core.simulator.FlyingShape;
import hightally.core.simulator.Gusts;
import hightally.core.simulator.LiveFlight;
import hightally.core.simulator.TestFlight;
import hightally.core.simulator.TrimState;
import hightally.core.trimming.TestCase;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/**
 * The simulated biplane in flight: steps of the whole model against its strips alone, and test
 * flights against the time they last.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class AirBenchmark {
  /** Half a second of flight. */
  static final int STEPS = 120;

  private static final int SLOPES = 4;

  private FlyingModel model;
  private LiveFlight flight;
  private Aerodynamics.Held strips;
  private Aerodynamics.Motion motion;
  private List<TestCase> tests;
  private TrimState trim;

  @Setup(Level.Iteration)
  public void prepare() {
    hightally.core.setup.Setup biplane = DemoModel.biplane();
    model = FlyingModel.of(FlyingModel.asBuilt(biplane));
    flight = LiveFlight.of(model, biplane.basePhase(), Gusts.calm(), Trims.ZERO).orElseThrow();
    FlyingShape shape = model.shape();
    Aerodynamics bare =
        Aerodynamics.of(
            new FlyingShape(
                shape.cg(), shape.panels(), shape.flaps(), FlyingShape.Body.NONE, List.of()));
    strips = bare.held(new double[shape.flaps().size()], new double[0]);
    motion = new Aerodynamics.Motion(18, 0.1, 1.1, 0.02, 0.03, 0.01, 1.225);
    tests =
        TestCase.of(biplane).stream().filter(one -> TestFlight.FLOWN.contains(one.test())).toList();
    trim = TestFlight.trimmed(model, biplane.basePhase()).orElseThrow();
  }

  /** How many strips there are. */
  static int stripsOfTheBiplane() {
    return FlyingModel.of(FlyingModel.asBuilt(DemoModel.biplane())).forces().strips();
  }

  /** Seconds all test flights of the biplane last. */
  static double secondsFlown() {
    AirBenchmark one = new AirBenchmark();
    one.prepare();
    return one.flown();
  }

  /** Half a second, a pilot's hands on the sticks: program, linkages, forces, motion. */
  @Benchmark
  public Object wholeModel() {
    return flight.fly(0.5, Trims.ZERO, true);
  }

  /** The strips alone, as often as that half second asks them. */
  @Benchmark
  public double stripsAlone() {
    double sum = 0;
    for (int i = 0; i < SLOPES * STEPS; i++) {
      sum += strips.loads(motion).z();
    }
    return sum;
  }

  /** Every test flight of the biplane. */
  @Benchmark
  public double testFlights() {
    return flown();
  }

  private double flown() {
    double seconds = 0;
    for (TestCase test : tests) {
      for (var part :
          TestFlight.fly(model, test, trim, Gusts.calm(), TestFlight.Wish.PRECISE).parts()) {
        seconds += part.get(part.size() - 1).seconds();
      }
    }
    return seconds;
  }
}
