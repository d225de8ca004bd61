package hightally.core.signal;

import hightally.core.program.Power;
import hightally.core.setup.Setup;

/** What holds the motors whatever the throttle asks: the cut, and what has not been armed. */
final class MotorHold {
  private static final double PERCENT = 100;

  private final Conditions conditions;
  private final Power power;
  private final int cutWhen;
  private final int armWhen;

  MotorHold(Setup setup, Conditions conditions) {
    this.conditions = conditions;
    power = setup.power();
    cutWhen = conditions.index(power.cutWhen());
    armWhen = conditions.index(power.armWhen());
  }

  boolean holds(Moment moment, int phase) {
    return moment.throttleCut()
        || cutWhen >= 0 && conditions.isTrue(cutWhen, moment, phase)
        || armWhen >= 0 && !conditions.isTrue(armWhen, moment, phase);
  }

  /** What a motor is told in the end, percent. */
  double command(double asked, boolean held) {
    return held ? power.cutPercent() : Math.max(-PERCENT, Math.min(PERCENT, asked));
  }
}
