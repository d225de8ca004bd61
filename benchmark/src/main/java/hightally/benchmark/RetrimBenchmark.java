package hightally.benchmark;

import hightally.core.adjustment.Retrim;
import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.program.Trims;
import hightally.core.signal.Moment;
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

/** Trims of five phases into six rods, against the four-bar solutions that needs, and no more. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class RetrimBenchmark {
  /** Per servo: target, today, new rod, after, arm left for. */
  private static final int PER_ROD = 4;

  /** Per servo and phase: stood, the arm that stands there with the new rod, stands. */
  private static final int PER_PHASE = 3;

  private List<Retrim.Driven> servos;
  private List<Retrim.FlownPhase> phases;
  private double click;
  private double[] angles;

  @Setup
  public void prepare() {
    hightally.core.setup.Setup glider = DemoModel.glider();
    SignalPath path = SignalPath.of(glider);
    click = glider.transmitter().clickStepPercent();
    servos = new ArrayList<>();
    for (int i = 0; i < glider.surfaces().size(); i++) {
      Surface one = glider.surfaces().get(i);
      double[] shares = {one.shares().roll(), one.shares().pitch(), one.shares().yaw()};
      servos.add(
          new Retrim.Driven(
              one.id(),
              shares,
              path.bar(i),
              path.output(path.channelBehind(i)),
              path.servoBehind(i),
              one.rod().end(),
              one.chordMm()));
    }
    phases = new ArrayList<>();
    for (int phase = 0; phase < glider.phases().size(); phase++) {
      Moment rest = Moment.centred(Trims.ZERO).withThrottle(1, true);
      double[] channels = path.evaluateTrimmed(rest, phase, Trims.ZERO).commandPercent();
      double[] commands = new double[servos.size()];
      for (int i = 0; i < commands.length; i++) {
        commands[i] = channels[path.channelBehind(i)];
      }
      Trims trims = new Trims(5 - phase, 3 * phase - 4, 2);
      phases.add(new Retrim.FlownPhase(glider.phases().get(phase).id(), trims, commands));
    }
    angles = new double[64];
    for (int i = 0; i < angles.length; i++) {
      angles[i] = 12 * Math.sin(1.7 * i);
    }
  }

  /** How many four-bar solutions the second measurement makes. */
  static int solutions() {
    RetrimBenchmark one = new RetrimBenchmark();
    one.prepare();
    return one.servos.size() * (PER_ROD + PER_PHASE * one.phases.size());
  }

  /** All rods, all phases. */
  @Benchmark
  public Retrim.Retrimmed retrim() {
    return Retrim.of(servos, phases, phases.size() - 1, click, false);
  }

  /** As many bare four-bar solutions as that needs. */
  @Benchmark
  public double itsBareFourBars() {
    double sum = 0;
    int at = 0;
    for (Retrim.Driven one : servos) {
      FourBar bar = one.bar();
      for (int i = 0; i < PER_ROD + PER_PHASE * phases.size(); i++) {
        sum += bar.surfaceAngle(angles[at++ & 63]);
      }
    }
    return sum;
  }
}
