package hightally.app.school;

import hightally.core.simulator.HiddenFault;

/** Four models to learn on, each in steps from one told fault to everything at once. */
public enum SchoolLesson {
  SPORT("brindle.json", HiddenFault.Kind.TIP_MASS),
  AEROBATIC("quillon.json", HiddenFault.Kind.DOWN_THRUST),
  GLIDER("larkmere.json", HiddenFault.Kind.BALANCE),
  WING("skerrow.json", HiddenFault.Kind.TIP_MASS);

  /** Steps of a lesson: the last has everything at once, in a real afternoon. */
  static final int STEPS = 5;

  private static final double AFTERNOON = 4;

  private final String model;
  private final HiddenFault.Kind first;

  SchoolLesson(String model, HiddenFault.Kind first) {
    this.model = model;
    this.first = first;
  }

  /** The file its model is described in. */
  String model() {
    return model;
  }

  /** The fault of its first step, which is told. */
  HiddenFault.Kind first() {
    return first;
  }

  /** How many faults a step has. */
  static int faults(int step) {
    return Math.max(1, step - 1);
  }

  /** The wind of a step, m/s. */
  static double wind(int step) {
    return step == STEPS ? AFTERNOON : 0;
  }
}
