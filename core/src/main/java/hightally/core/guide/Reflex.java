package hightally.core.guide;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.setup.Setup;
import java.util.List;

/** A model steered in pitch only by what also rolls it: a flying wing. */
public final class Reflex {
  private Reflex() {}

  /** Whether a model is one. */
  public static boolean applies(Setup setup) {
    List<Surface> pitching =
        setup.surfaces().stream().filter(one -> one.shares().pitch() != 0).toList();
    return !pitching.isEmpty() && pitching.stream().allMatch(one -> one.shares().roll() != 0);
  }

  static List<Surface> elevons(Setup setup) {
    return setup.surfaces().stream()
        .filter(one -> one.shares().pitch() != 0 && one.rod().driver() == DriverKind.SERVO)
        .toList();
  }
}
