package hightally.core.hazard;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.UsableRange;
import hightally.core.program.Trims;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.function.DoublePredicate;
import java.util.function.ToDoubleFunction;

/** What limits cut off a surface's travel, and from which command on. */
final class LostTravel {
  private static final double CUT_MICROSECONDS = 1;
  private static final double FURTHEST_PERCENT = 1000;
  private static final int HALVINGS = 60;

  /** Steps of a command in which it is looked whether a linkage locks, percent. */
  private static final double LOCK_STEP_PERCENT = 0.5;

  /** So little beyond a lock is rounding. */
  private static final double LOCKED_DEGREES = 1e-6;

  private LostTravel() {}

  /** Travel the command would have given without limits, less what it gives, mm. */
  static double mm(SignalPath path, int surface, double command) {
    return Math.abs(freeMm(path, surface, command) - realMm(path, surface, command));
  }

  /** Travel a command would give if nothing limited the pulse and the servo, mm. */
  static double freeMm(SignalPath path, int surface, double command) {
    Output output = path.output(path.channelBehind(surface));
    return travel(
        path, surface, path.servoBehind(surface).freeArmDegrees(output.freePulse(command)));
  }

  /** Travel a command gives, mm. */
  static double realMm(SignalPath path, int surface, double command) {
    Output output = path.output(path.channelBehind(surface));
    return travel(path, surface, path.servoBehind(surface).armDegrees(output.pulse(command)));
  }

  private static double travel(SignalPath path, int surface, double arm) {
    Surface part = path.setup().surfaces().get(surface);
    return part.travelMm(path.angleBehind(surface, arm, true));
  }

  /** Where a surface stands while nothing switches, mm, with given trims in effect. */
  static ToDoubleFunction<Moment> travel(
      SignalPath path, int surface, Moment state, int phase, Trims trims) {
    int carried = path.carriedBehind(surface);
    if (carried < 0) {
      return at -> path.evaluateTrimmed(at, phase, trims).travelMm()[surface];
    }
    ToDoubleFunction<Moment> asked = path.program().still(carried, state, phase, trims);
    return at -> realMm(path, surface, asked.applyAsDouble(at));
  }

  /** Whether limits cut more off a command than a hair. */
  static boolean cuts(SignalPath path, int surface, double command) {
    Output output = path.output(path.channelBehind(surface));
    Servo servo = path.servoBehind(surface);
    double pulse = output.pulse(command);
    return Math.abs(output.freePulse(command) - pulse) > CUT_MICROSECONDS
        || Math.abs(servo.freeArmDegrees(pulse)) > servo.maxAngleDegrees();
  }

  /** The last command on one side of 0 that is not cut, percent. */
  static double lastFree(SignalPath path, int surface, int sign) {
    return sign * last(command -> !cuts(path, surface, sign * command));
  }

  /**
   * The command from which on a surface is as far as {@code limitMm} or further, if its travel only
   * ever grows with the command; NaN if it does not, infinite if it never gets there.
   */
  static double reachedAt(SignalPath path, int surface, double limitMm) {
    if (!steady(path, surface)) {
      return Double.NaN;
    }
    double rises = realMm(path, surface, 1) - realMm(path, surface, -1);
    double way = limitMm >= 0 == rises > 0 ? 1 : -1;
    DoublePredicate before =
        size -> {
          double mm = realMm(path, surface, way * size);
          return limitMm >= 0 ? mm < limitMm : mm > limitMm;
        };
    if (!before.test(0)) {
      return Double.NaN;
    }
    double size = last(before);
    return size >= FURTHEST_PERCENT ? way * Double.POSITIVE_INFINITY : way * size;
  }

  private static double last(DoublePredicate holds) {
    double low = 0;
    double high = FURTHEST_PERCENT;
    if (holds.test(high)) {
      return high;
    }
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (holds.test(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /**
   * The command on one side of 0 from which on a surface's linkage, or one before it, is told to go
   * beyond where it locks, percent; infinite where none does.
   */
  static double lockedAt(SignalPath path, int surface, int sign) {
    double limit = path.setup().transmitter().commandLimitPercent();
    for (double size = 0; size < limit; size += LOCK_STEP_PERCENT) {
      double next = Math.min(limit, size + LOCK_STEP_PERCENT);
      if (lockedBehind(path, surface, sign * next) >= 0) {
        double left = size;
        double right = next;
        for (int i = 0; i < HALVINGS; i++) {
          double middle = (left + right) / 2;
          boolean free = lockedBehind(path, surface, sign * middle) < 0;
          left = free ? middle : left;
          right = free ? right : middle;
        }
        return sign * left;
      }
    }
    return sign * Double.POSITIVE_INFINITY;
  }

  /** The linkage that a command locks, the surface's own or one before it; -1 for none. */
  static int lockedBehind(SignalPath path, int surface, double command) {
    double pulse = path.output(path.channelBehind(surface)).pulse(command);
    return locked(path, surface, path.servoBehind(surface).armDegrees(pulse));
  }

  private static int locked(SignalPath path, int surface, double arm) {
    Surface part = path.setup().surfaces().get(surface);
    double driver = arm;
    if (part.rod().driver() == DriverKind.SURFACE) {
      int master = path.indexOf(part.rod().driverId());
      int before = locked(path, master, arm);
      if (before >= 0) {
        return before;
      }
      driver = path.angleBehind(master, arm, true);
    }
    UsableRange range = path.range(surface);
    boolean beyond =
        driver < range.reachFrom() - LOCKED_DEGREES || driver > range.reachTo() + LOCKED_DEGREES;
    return beyond ? surface : -1;
  }

  /** Whether neither its linkage nor one before it turns back anywhere the servo can go. */
  private static boolean steady(SignalPath path, int surface) {
    Servo servo = path.servoBehind(surface);
    Output output = path.output(path.channelBehind(surface));
    for (int sign : new int[] {-1, 1}) {
      double arm = servo.armDegrees(output.pulse(sign * FURTHEST_PERCENT));
      if (!within(path, surface, arm)) {
        return false;
      }
    }
    return true;
  }

  private static boolean within(SignalPath path, int surface, double arm) {
    Surface part = path.setup().surfaces().get(surface);
    UsableRange range = path.range(surface);
    double driver = arm;
    if (part.rod().driver() == DriverKind.SURFACE) {
      int master = path.indexOf(part.rod().driverId());
      if (!within(path, master, arm)) {
        return false;
      }
      FourBar bar = path.bar(master);
      driver = bar.surfaceAngle(arm);
    }
    return driver > range.from() && driver < range.to();
  }
}
