package hightally.core.signal;

import hightally.core.quantity.Control;

/**
 * The axes a pilot moves, by number: the sticks of roll, pitch and yaw, the throttle stick, then
 * the levers and switches in the transmitter's order.
 */
final class Axis {
  static final int NONE = -1;
  private static final Control[] CONTROLS = Control.values();
  static final int THROTTLE = CONTROLS.length;

  private Axis() {}

  static int of(Control control) {
    return control.ordinal();
  }

  static int ofInput(int input) {
    return THROTTLE + 1 + input;
  }

  /** The lever or switch behind an axis. */
  static int input(int axis) {
    return axis - THROTTLE - 1;
  }

  static boolean isStick(int axis) {
    return axis < THROTTLE;
  }

  /** Where an axis stands at a moment. */
  static double place(Moment moment, int axis) {
    if (isStick(axis)) {
      return moment.of(CONTROLS[axis]);
    }
    return axis == THROTTLE ? moment.throttle() : moment.input(input(axis));
  }

  /** A moment with an axis somewhere else. */
  static Moment placed(Moment moment, int axis, double place) {
    if (isStick(axis)) {
      return moment.with(CONTROLS[axis], place);
    }
    return axis == THROTTLE
        ? moment.withThrottle(place, moment.throttleCut())
        : moment.withInput(input(axis), place);
  }
}
