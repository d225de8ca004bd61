package hightally.core.bench;

import hightally.core.power.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
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

  /** Lets time pass in the phase that was on, then changes to the one that is on now. */
  void pass(double seconds, int now) {
    if (phase >= 0) {
      grow(seconds);
      rise(seconds);
    }
    if (phase >= 0 && now != phase) {
      rising = setup.phases().get(now).fadeSeconds();
    }
    boolean first = phase < 0;
    phase = now;
    if (first || setup.phases().get(now).fadeSeconds() == 0) {
      Arrays.fill(weights, 0);
      weights[now] = 1;
    }
  }

  private void grow(double seconds) {
    double left = 1 - weights[phase];
    double fade = setup.phases().get(phase).fadeSeconds();
    if (left <= 0 || seconds <= 0) {
      return;
    }
    double grown = fade == 0 ? 1 : Math.min(1, weights[phase] + seconds / fade);
    for (int i = 0; i < weights.length; i++) {
      weights[i] *= i == phase ? 1 : (1 - grown) / left;
    }
    weights[phase] = grown;
  }

  private void rise(double seconds) {
    if (rising > 0) {
      double part = Math.min(1, seconds / rising);
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
   * @param mixes how far each mix has come in
   * @param held whether cut, arming or the latch hold the motors
   */
  double[] commands(IntFunction<Moment> seen, double[] mixes, boolean held) {
    double[] now = path.program().commands(seen.apply(phase), phase, mixes);
    double[] faded = now.clone();
    int surfaces = setup.surfaces().size();
    if (weights[phase] < 1) {
      Arrays.fill(faded, 0, surfaces, 0);
      for (int i = 0; i < weights.length; i++) {
        boolean other = i != phase && weights[i] > 0;
        add(other ? path.program().commands(seen.apply(i), i, mixes) : now, i, faded);
      }
    }
    if (wasHeld && !held) {
      rising = setup.phases().get(phase).fadeSeconds();
    }
    wasHeld = held;
    asked = Arrays.copyOfRange(now, surfaces, now.length);
    for (int i = 0; i < standing.length; i++) {
      standing[i] = held || rising == 0 ? asked[i] : fallen(standing[i], asked[i]);
      faded[surfaces + i] = standing[i];
    }
    return faded;
  }

  private void add(double[] commands, int from, double[] faded) {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      faded[i] += weights[from] * commands[i];
    }
  }

  private double fallen(double stands, double wanted) {
    Power power = setup.power();
    double from = power.reverses(stands, wanted) ? power.stopPercent() : stands;
    return power.power(wanted) <= power.power(from) ? wanted : from;
  }
}
