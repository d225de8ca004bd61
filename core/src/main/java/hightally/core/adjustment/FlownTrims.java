package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The trims every phase was flown with, and which of them goes into the rods.
 *
 * @param reference id of the phase whose trim goes into the linkages
 * @param phases trims of the phases, the one flown most first: it decides where several share a
 *     trim; those that are not named count as they stand in the setup
 * @param presetsTakeUp whether presets take up what the rods leave, in every phase, so that all
 *     clicks are zero
 * @param controls whose trims go into the rods; the clicks of the others stay
 * @param means where something else than the end that is there is wanted
 * @param made what came of the rods that are turned already
 * @param gauged gauge readings that are believed instead of the arithmetic
 */
@Copyable
public record FlownTrims(
    String reference,
    List<PhaseReading> phases,
    boolean presetsTakeUp,
    List<Control> controls,
    List<RodAlternative> means,
    List<MarkSeen> made,
    List<Gauged> gauged) {
  /**
   * How far the trim moves a trailing edge by the gauge.
   *
   * @param mm trim in less trim zeroed, plus is up or right
   */
  public record Gauged(String surface, double mm) {}

  private static final double HALF_THROTTLE_PERCENT = 50;

  public FlownTrims {
    phases = List.copyOf(phases);
    means = means == null ? List.of() : List.copyOf(means);
    made = made == null ? List.of() : List.copyOf(made);
    gauged = gauged == null ? List.of() : List.copyOf(gauged);
    controls = controls == null ? List.of() : List.copyOf(controls);
    if (controls.isEmpty()) {
      throw InvalidInputException.of(
          "controls", Said.of("given.none"), Said.of("demand.oneControl"));
    }
  }

  /** A copy to change, part by part. */
  public FlownTrimsCopy change() {
    return FlownTrimsCopy.from(this);
  }

  /** The other phases keep clicks of their own. */
  public FlownTrims(String reference, List<PhaseReading> phases) {
    this(reference, phases, false, List.of(Control.values()));
  }

  /** By the ends that are there, nothing turned yet. */
  public FlownTrims(
      String reference, List<PhaseReading> phases, boolean presetsTakeUp, List<Control> controls) {
    this(reference, phases, presetsTakeUp, controls, List.of(), List.of(), List.of());
  }

  /** The same with other controls. */
  public FlownTrims of(List<Control> wanted) {
    return change().controls(wanted).done();
  }

  /** The same with what came of turning. */
  public FlownTrims withMade(List<MarkSeen> marks) {
    return change().made(marks).done();
  }

  /** The same going by the gauge where that is believed. */
  public FlownTrims withGauged(List<Gauged> readings) {
    return change().gauged(readings).done();
  }

  /** What the gauge showed at a surface, where that is believed. */
  Optional<Gauged> gauged(String surface) {
    return gauged.stream().filter(one -> one.surface().equals(surface)).findFirst();
  }

  /** What came of the rod of a surface, if it is turned already. */
  Optional<MarkSeen> made(String surface) {
    return made.stream().filter(one -> one.surface().equals(surface)).findFirst();
  }

  /** Ids of the phases, the one flown most first, the others as they stand in the setup. */
  List<String> mostFlownFirst(Setup setup) {
    List<String> order = new ArrayList<>(phases.stream().map(PhaseReading::phase).toList());
    setup.phases().stream()
        .map(one -> one.id())
        .filter(one -> !order.contains(one))
        .forEach(order::add);
    return order;
  }

  /** The setup before it is trimmed: arms seated over, ends fitted, nothing turned. */
  Setup prepared(Setup setup) {
    Setup now = setup;
    for (int i = 0; i < means.size(); i++) {
      RodAlternative one = means.get(i);
      one.check(setup, i);
      Surface surface = now.surface(one.surface()).orElseThrow();
      now = now.withSurface(surface.withRod(surface.rod().onEnd(one.end())));
      if (one.teeth() != 0 && surface.rod().driver() == DriverKind.SERVO) {
        now = seated(now, surface.rod().driverId(), one.teeth());
      }
    }
    return now;
  }

  private static Setup seated(Setup setup, String servo, int teeth) {
    return setup
        .change()
        .servos(
            setup.servos().stream()
                .map(
                    one ->
                        one.id().equals(servo)
                            ? one.seated(
                                one.pullsOnIncrease(),
                                one.armOffsetDegrees() + teeth * one.seating().finestStepDegrees())
                            : one)
                .toList())
        .done();
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

  /** The clicks that stand in the reference phase. */
  Trims standing(Setup setup) {
    return all(setup).stream()
        .filter(one -> one.phase().equals(reference))
        .map(PhaseReading::trims)
        .findFirst()
        .orElseThrow(() -> missing(setup));
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
