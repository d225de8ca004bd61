package hightally.core.setup;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import java.util.List;

/** A model steered in pitch only by what also rolls it: a flying wing. */
public final class ElevonOnly {
  private ElevonOnly() {}

  /** Whether a model is one. */
  public static boolean applies(Setup setup) {
    List<Surface> pitching =
        setup.surfaces().stream().filter(one -> one.shares().pitch() != 0).toList();
    return !pitching.isEmpty() && pitching.stream().allMatch(one -> one.shares().roll() != 0);
  }

  /** Its surfaces at servos, which do both. */
  public static List<Surface> elevons(Setup setup) {
    return setup.surfaces().stream()
        .filter(one -> one.shares().pitch() != 0 && one.rod().driver() == DriverKind.SERVO)
        .toList();
  }
}
