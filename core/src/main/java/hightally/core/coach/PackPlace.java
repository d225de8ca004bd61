package hightally.core.coach;

import hightally.core.airframe.Section;
import hightally.core.setup.Setup;

/** Where in a fuselage a pack can lie, mm aft of the datum. */
final class PackPlace {
  private PackPlace() {}

  static double nose(Setup setup) {
    return setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).min().orElse(0)
        - setup.balance().datumAftMm();
  }

  static double tail(Setup setup) {
    return setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).max().orElse(0)
        - setup.balance().datumAftMm();
  }

  /** Whether a station lies inside; a model without a fuselage does not say. */
  static boolean fits(Setup setup, double stationMm) {
    return setup.airframe().fuselage().isEmpty()
        || stationMm >= nose(setup) && stationMm <= tail(setup);
  }
}
