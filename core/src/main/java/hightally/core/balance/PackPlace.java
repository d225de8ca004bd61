package hightally.core.balance;

import hightally.core.airframe.Section;
import hightally.core.setup.Setup;

/** Where in a fuselage a pack can lie, mm aft of the datum. */
public final class PackPlace {
  private PackPlace() {}

  /** The foremost place of the fuselage. */
  public static double nose(Setup setup) {
    return setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).min().orElse(0)
        - setup.balance().datumAftMm();
  }

  /** Its last place. */
  public static double tail(Setup setup) {
    return setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).max().orElse(0)
        - setup.balance().datumAftMm();
  }

  /** Whether a station lies inside; a model without a fuselage does not say. */
  public static boolean fits(Setup setup, double stationMm) {
    return setup.airframe().fuselage().isEmpty()
        || stationMm >= nose(setup) && stationMm <= tail(setup);
  }
}
