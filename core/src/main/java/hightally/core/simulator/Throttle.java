package hightally.core.simulator;

import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** Where a model's power lies: on the stick or a lever, behind what arms it and what cuts it. */
final class Throttle {
  private Throttle() {}

  /** The moment with the throttle elsewhere, on whatever stick or lever it lies. */
  static Moment at(Setup setup, Moment moment, double value) {
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return lever < 0
        ? moment.withThrottle(value, false)
        : moment.withThrottle(moment.throttle(), false).withInput(lever, value);
  }

  /** Where the throttle is, 0 to 1. */
  static double of(Setup setup, Moment moment) {
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return lever < 0 ? moment.throttle() : moment.input(lever);
  }

  /**
   * The moment with the fewest switches moved that lets the motor run in a phase; the moment itself
   * where none of them does.
   */
  static Moment armed(SignalPath path, Moment moment, int phase) {
    if (path.setup().airframe().motors().isEmpty() || runs(path, moment, phase)) {
      return moment;
    }
    List<Moment> one = moved(path.setup(), moment);
    for (Moment tried : one) {
      if (runs(path, tried, phase)) {
        return tried;
      }
    }
    for (Moment first : one) {
      for (Moment tried : moved(path.setup(), first)) {
        if (runs(path, tried, phase)) {
          return tried;
        }
      }
    }
    return moment;
  }

  private static boolean runs(SignalPath path, Moment moment, int phase) {
    return path.motorPower(at(path.setup(), moment, 1), phase) > 0;
  }

  private static List<Moment> moved(Setup setup, Moment moment) {
    List<Moment> moved = new ArrayList<>();
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      int positions = setup.transmitter().inputs().get(i).positions();
      for (int k = 1; k < positions; k++) {
        moved.add(moment.withInput(i, (double) k / (positions - 1)));
      }
    }
    return moved;
  }
}
