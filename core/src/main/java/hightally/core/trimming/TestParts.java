package hightally.core.trimming;

import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Which models a trim test is flown with, and in which parts. */
interface TestParts {
  /** Brake settings that are flown, percent. */
  List<String> BRAKE_SETTINGS = List.of("33", "67", "100");

  /** Its parts with a model: one without a name where it is flown once, none where it is not. */
  List<String> of(Setup setup);

  /** Once, with the models it suits. */
  static TestParts once(Predicate<Setup> suits) {
    return setup -> suits.test(setup) ? List.of("") : List.of();
  }

  /** Once for each phase that it is for. */
  static TestParts phases(Predicate<PhaseRole> which) {
    return setup -> {
      List<String> parts = new ArrayList<>();
      for (Phase phase : setup.phases()) {
        if (which.test(phase.role())) {
          // The phase that is on when no other is comes first: the others are judged against it.
          parts.add(0, phase.id());
        }
      }
      return parts;
    };
  }

  /** Once for each setting of the brakes, with models that have them. */
  static TestParts brakes() {
    return setup -> Brakes.of(setup).isPresent() ? BRAKE_SETTINGS : List.of();
  }

  /** Only with the models it suits. */
  default TestParts where(Predicate<Setup> suits) {
    return setup -> suits.test(setup) ? of(setup) : List.of();
  }

  static boolean any(Setup setup) {
    return true;
  }

  static boolean motor(Setup setup) {
    return !setup.airframe().motors().isEmpty();
  }

  static boolean powered(Setup setup) {
    return ModelKind.of(setup) == ModelKind.POWERED;
  }

  static boolean glider(Setup setup) {
    return ModelKind.of(setup) == ModelKind.GLIDER;
  }

  static boolean rolls(Setup setup) {
    return setup.surfaces().stream().anyMatch(one -> one.shares().roll() != 0);
  }

  static boolean yaws(Setup setup) {
    return setup.surfaces().stream().anyMatch(one -> one.shares().yaw() != 0);
  }
}
