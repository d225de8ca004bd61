package hightally.core.hazard;

import hightally.core.quantity.Control;
import hightally.core.signal.Moment;
import hightally.core.signal.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

/** Moments at the ends of stretches. */
final class Places {
  private static final int STICKS = Control.values().length;

  private Places() {}

  /** Sticks at their ends and in the middle, throttle and levers at their ends. */
  static List<Moment> corners(Moment state, Stretch stretch) {
    List<Moment> places = pitches(state, stretch);
    for (Control control : List.of(Control.ROLL, Control.YAW)) {
      places = each(places, stretch, control.ordinal(), ends(stretch, control.ordinal(), true));
    }
    return places;
  }

  /** Roll and yaw as they are; pitch at its ends and in the middle, throttle and levers at ends. */
  static List<Moment> pitches(Moment state, Stretch stretch) {
    List<Moment> places = List.of(state);
    for (int axis = Control.PITCH.ordinal(); axis < stretch.from().length; axis++) {
      if (axis != Control.YAW.ordinal()) {
        places = each(places, stretch, axis, ends(stretch, axis, axis < STICKS));
      }
    }
    return places;
  }

  private static double[] ends(Stretch stretch, int axis, boolean middle) {
    double from = stretch.from()[axis];
    double to = stretch.to()[axis];
    return (middle && from < 0 && to > 0 ? DoubleStream.of(from, 0, to) : DoubleStream.of(from, to))
        .distinct()
        .toArray();
  }

  private static List<Moment> each(
      List<Moment> places, Stretch stretch, int axis, double[] values) {
    List<Moment> moved = new ArrayList<>();
    for (Moment place : places) {
      for (double value : values) {
        moved.add(at(place, axis, value));
      }
    }
    return moved;
  }

  private static Moment at(Moment moment, int axis, double value) {
    if (axis < STICKS) {
      return moment.with(Control.values()[axis], value);
    }
    return axis == STICKS
        ? moment.withThrottle(value, moment.throttleCut())
        : moment.withInput(axis - STICKS - 1, value);
  }
}
