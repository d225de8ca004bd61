package hightally.core.adjustment;

import hightally.core.log.PhaseReading;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The trims every phase was flown with, and which of them goes into the rods.
 *
 * @param reference id of the phase whose trim becomes metal
 * @param phases trims of the phases that were flown; the others count as they stand in the setup
 * @param presetsTakeUp whether presets take up what the rods leave, in every phase, so that all
 *     clicks are zero
 * @param controls whose trims go into the rods; the clicks of the others stay
 */
public record FlownTrims(
    String reference, List<PhaseReading> phases, boolean presetsTakeUp, List<Control> controls) {
  private static final double HALF_THROTTLE_PERCENT = 50;

  public FlownTrims {
    phases = List.copyOf(phases);
    controls = controls == null ? List.of() : List.copyOf(controls);
    if (controls.isEmpty()) {
      throw InvalidInputException.of(
          "controls", Said.of("given.none"), Said.of("demand.leastOneRollPitchYaw"));
    }
  }

  /** The other phases keep clicks of their own. */
  public FlownTrims(String reference, List<PhaseReading> phases) {
    this(reference, phases, false, List.of(Control.values()));
  }

  /** One trim, flown in the phase that is on when no other is. */
  public static FlownTrims base(Setup setup, Trims trims) {
    String base = setup.basePhase().id();
    return new FlownTrims(base, List.of(reading(base, trims)));
  }

  static PhaseReading reading(String phase, Trims trims) {
    return new PhaseReading(phase, trims, HALF_THROTTLE_PERCENT, PhaseReading.Sure.SURE, false);
  }

  /** Phases that were flown and that a setup does not have any more. */
  List<String> gone(Setup setup) {
    return phases.stream()
        .map(PhaseReading::phase)
        .filter(one -> setup.phase(one).isEmpty())
        .toList();
  }

  /** A reading of every phase, in the setup's order; one not flown stands as in the setup. */
  List<PhaseReading> all(Setup setup) {
    List<PhaseReading> all = new ArrayList<>();
    PhaseReading decided =
        setup.phase(reference).flatMap(phase -> of(phase.id())).orElseThrow(() -> missing(setup));
    for (var phase : setup.phases()) {
      Trims standing = phase.effective(decided.trims());
      all.add(of(phase.id()).orElse(reading(phase.id(), standing)));
    }
    return all;
  }

  private InvalidInputException missing(Setup setup) {
    String known = String.join(", ", setup.phases().stream().map(phase -> phase.id()).toList());
    return InvalidInputException.of(
        "reference", reference, Said.of("demand.phaseFlown", "known", known));
  }

  private Optional<PhaseReading> of(String phase) {
    return phases.stream().filter(one -> one.phase().equals(phase)).findFirst();
  }
}
