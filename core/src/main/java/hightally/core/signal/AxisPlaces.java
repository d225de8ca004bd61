package hightally.core.signal;

import hightally.core.quantity.Control;

/** Moments by their axes: the sticks, the throttle, levers and switches, numbered. */
public final class AxisPlaces {
  private static final int STICKS = Control.values().length;

  /** The throttle stick; levers and switches come behind it. */
  public static final int THROTTLE = STICKS;

  private AxisPlaces() {}

  /** How many axes there are. */
  public static int count(Moment moment) {
    return STICKS + 1 + moment.inputs().size();
  }

  /** Where an axis stands at a moment. */
  public static double of(Moment moment, int axis) {
    if (axis < STICKS) {
      return moment.of(Control.values()[axis]);
    }
    return axis == STICKS ? moment.throttle() : moment.input(axis - STICKS - 1);
  }

  /** A moment with an axis somewhere else. */
  public static Moment at(Moment moment, int axis, double value) {
    if (axis < STICKS) {
      return moment.with(Control.values()[axis], value);
    }
    return axis == STICKS
        ? moment.withThrottle(value, moment.throttleCut())
        : moment.withInput(axis - STICKS - 1, value);
  }
}
