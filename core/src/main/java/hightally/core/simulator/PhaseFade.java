package hightally.core.simulator;

import hightally.core.program.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;
import java.util.Arrays;
import java.util.function.IntFunction;

/**
 * How one phase goes over into another.
 *
 * <p>Surfaces: every phase has a weight, together 1. That of the phase that is on grows by its
 * share of the fade time until it is 1, the others shrink in proportion, and a surface's command is
 * the weighted sum of what every phase asks for now. So sticks stay live, and another change on the
 * way goes on from where things stand.
 *
 * <p>Motors: power falls to what is asked at once. After a change of phase, or when cut or arming
 * let go, it rises in a straight line from where it stands to what is asked over the fade time of
 * the phase that is on; the other way round it stops at once and rises from there.
 */
final class PhaseFade {
  /** What is this near its end has arrived. */
  private static final double ROUNDING = 1e-9;

  private final Setup setup;
  private final SignalPath path;
  private final double[] weights;
  private final double[] standing;
  private double[] asked;
  private double rising;
  private boolean wasHeld;
  private int phase = -1;

  PhaseFade(SignalPath path) {
    this.path = path;
    setup = path.setup();
    weights = new double[setup.phases().size()];
    standing = new double[setup.airframe().motors().size()];
  }

  /** Index of the phase that is on. */
  int phase() {
    return phase;
  }

  /** How far the phase that is on has come in, 0 to 1. */
  double part() {
    return weights[phase];
  }

  /** Whether something still moves by itself. */
  boolean underWay() {
    return weights[phase] < 1 || rising > 0;
  }

  /** Lets time pass in the phase that is on. */
  void pass(double seconds) {
    if (phase >= 0) {
      grow(seconds);
      rise(seconds);
    }
  }

  /** Changes to the phase that is on now. */
  void on(int now) {
    boolean first = phase < 0;
    if (!first && now != phase) {
      rising = setup.phases().get(now).fadeSeconds();
    }
    boolean changed = now != phase;
    phase = now;
    if (first || changed && setup.phases().get(now).fadeSeconds() == 0) {
      Arrays.fill(weights, 0);
      weights[now] = 1;
    }
  }

  /** How long until the phase or the motors have arrived, seconds; infinite where they have. */
  double soonest() {
    double weight = phase < 0 ? 1 : weights[phase];
    double phaseLeft =
        weight >= 1
            ? Double.POSITIVE_INFINITY
            : (1 - weight) * setup.phases().get(phase).fadeSeconds();
    return Math.min(phaseLeft, rising > 0 ? rising : Double.POSITIVE_INFINITY);
  }

  private void grow(double seconds) {
    double left = 1 - weights[phase];
    double fade = setup.phases().get(phase).fadeSeconds();
    if (left <= 0 || seconds <= 0) {
      return;
    }
    double grown = fade == 0 ? 1 : weights[phase] + seconds / fade;
    grown = grown > 1 - ROUNDING ? 1 : grown;
    for (int i = 0; i < weights.length; i++) {
      weights[i] *= i == phase ? 1 : (1 - grown) / left;
    }
    weights[phase] = grown;
  }

  private void rise(double seconds) {
    if (rising > 0) {
      double part = seconds > rising - ROUNDING ? 1 : seconds / rising;
      for (int i = 0; i < standing.length; i++) {
        standing[i] += part * (asked[i] - standing[i]);
      }
      rising -= part * rising;
    }
  }

  /**
   * The commands of all surfaces, then of all motors, percent.
   *
   * @param seen the moment as a phase sees it: what asks for a phase is true in its own only
   * @param mixes how far the mixes with a fade of their own have come in
   * @param held whether cut, arming or the latch hold the motors
   */
  double[] commands(IntFunction<Moment> seen, Program.Parts mixes, boolean held) {
    double[] faded = path.program().faded(seen, weights, phase, mixes);
    int surfaces = setup.surfaces().size();
    if (wasHeld && !held) {
      rising = setup.phases().get(phase).fadeSeconds();
    }
    wasHeld = held;
    asked = Arrays.copyOfRange(faded, surfaces, faded.length);
    for (int i = 0; i < standing.length; i++) {
      standing[i] = held || rising == 0 ? asked[i] : fallen(standing[i], asked[i]);
      faded[surfaces + i] = standing[i];
    }
    return faded;
  }

  private double fallen(double stands, double wanted) {
    Power power = setup.power();
    double from = power.reverses(stands, wanted) ? power.stopPercent() : stands;
    return power.power(wanted) <= power.power(from) ? wanted : from;
  }
}
