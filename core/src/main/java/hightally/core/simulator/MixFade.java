package hightally.core.simulator;

import hightally.core.program.Mix;
import hightally.core.program.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;

/**
 * How far the mixes that have a fade of their own have come in: a straight line over that time from
 * wherever it stands, up while the mix is on, down while not. What such a mix adds to a motor falls
 * at once and rises over the fade, so every motor has a part of its own.
 */
final class MixFade implements Program.Parts {
  /** What is this near its end has arrived. */
  private static final double ROUNDING = 1e-9;

  private final Program program;
  private final Power power;
  private final double[] seconds;
  private final double[] parts;
  private final double[] aims;
  private final double[][] motors;
  private boolean begun;

  MixFade(Program program, Setup setup) {
    this.program = program;
    power = setup.power();
    seconds = setup.mixes().stream().mapToDouble(Mix::fadeSeconds).toArray();
    parts = new double[seconds.length];
    aims = new double[seconds.length];
    motors = new double[setup.airframe().motors().size()][seconds.length];
  }

  /** Lets time pass while nothing changes. */
  void pass(double time) {
    for (int i = 0; i < parts.length; i++) {
      if (seconds[i] > 0) {
        parts[i] = nearer(parts[i], i, time);
        for (double[] motor : motors) {
          motor[i] = nearer(motor[i], i, time);
        }
      }
    }
  }

  private double nearer(double part, int mix, double time) {
    double way = aims[mix] - part;
    double most = time / seconds[mix];
    return Math.abs(way) <= most + ROUNDING ? aims[mix] : part + Math.signum(way) * most;
  }

  /** What the hands and conditions say from now on; at the beginning all is as they say. */
  void aim(Moment moment, int phase) {
    for (int i = 0; i < aims.length; i++) {
      aims[i] = seconds[i] > 0 && program.wanted(i, moment, phase) ? 1 : 0;
      if (!begun) {
        parts[i] = aims[i];
        for (double[] motor : motors) {
          motor[i] = aims[i];
        }
      }
    }
    begun = true;
  }

  @Override
  public double ofSurfaces(int mix) {
    return parts[mix];
  }

  @Override
  public double ofMotor(int mix, int motor, double adds, double rest) {
    double part = motors[motor][mix];
    double aim = aims[mix];
    if (part == aim) {
      return part;
    }
    if (power.reverses(rest, rest + adds)) {
      // On its way through the stop: what lies before it is gone through at once.
      double stopped = -rest / adds;
      part = aim > part ? Math.max(part, stopped) : Math.min(part, stopped);
    } else {
      boolean raises = power.power(rest + adds) > power.power(rest);
      part = raises == aim < part ? aim : part;
    }
    motors[motor][mix] = part;
    return part;
  }

  /** How long until one of them has arrived, seconds; infinite where all have. */
  double soonest() {
    double soonest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < parts.length; i++) {
      if (seconds[i] > 0) {
        soonest = Math.min(soonest, left(parts[i], i));
        for (double[] motor : motors) {
          soonest = Math.min(soonest, left(motor[i], i));
        }
      }
    }
    return soonest;
  }

  private double left(double part, int mix) {
    return part == aims[mix] ? Double.POSITIVE_INFINITY : Math.abs(aims[mix] - part) * seconds[mix];
  }

  boolean underWay() {
    return soonest() < Double.POSITIVE_INFINITY;
  }
}
