package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.UsableRange;
import hightally.core.log.PhaseReading;
import hightally.core.phase.Trims;
import hightally.core.program.EntrySheet;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Turns the trims of a flight into rod changes, a work order and the setup that results.
 *
 * <p>Works per servo, not per stick, so where two trims meet in one servo their sum is carried
 * over. A slave rod starts from where its driving surface ends up after whole steps; unless that
 * residue is as large as one of its own half steps, it is left alone.
 */
public final class AdjustmentPlanner {
  private final Setup setup;
  private final Trims trims;
  private final Trims staying;
  private final HouseValues house;
  private final SignalPath path;
  private final Positions trimmed;
  private final Positions untrimmed;
  private final Map<String, RodChange.Found> changes = new HashMap<>();
  private final List<PlannedRod> rods = new ArrayList<>();
  private final List<PhaseReading> readings;
  private final int reference;
  private final boolean presetsTakeUp;
  private final List<String> gone;

  private AdjustmentPlanner(Setup setup, FlownTrims flown) {
    Validation.check(setup);
    readings = flown.all(setup);
    reference = setup.phases().indexOf(setup.phase(flown.reference()).orElseThrow());
    presetsTakeUp = flown.presetsTakeUp();
    gone = flown.gone(setup);
    trims = readings.get(reference).trims().only(flown.controls()::contains);
    staying = readings.get(reference).trims().only(one -> !flown.controls().contains(one));
    this.setup = setup;
    for (PhaseReading reading : readings) {
      Validation.check(reading);
      Validation.check(setup.withTrims(reading.trims()));
    }
    house = setup.house();
    path = SignalPath.of(setup);
    trimmed =
        path.evaluateTrimmed(
            readings.get(reference).rest(), reference, readings.get(reference).trims());
    untrimmed = path.evaluateTrimmed(readings.get(reference).rest(), reference, staying);
  }

  /**
   * Plans an adjustment.
   *
   * @param setup what was flown
   * @param trims clicks that stood in the transmitter when it flew straight
   * @throws InvalidInputException if a trim is beyond the transmitter's range
   */
  public static AdjustmentPlan plan(Setup setup, Trims trims) {
    return plan(setup, FlownTrims.base(setup, trims));
  }

  /**
   * Plans an adjustment of every phase: the reference's trim goes into the rods, the others get the
   * clicks with which they fly as trimmed.
   *
   * @throws InvalidInputException if a trim is beyond the transmitter's range, or a phase is not
   *     there any more
   */
  public static AdjustmentPlan plan(Setup setup, FlownTrims flown) {
    return new AdjustmentPlanner(setup, flown).plan();
  }

  private AdjustmentPlan plan() {
    List<Surface> order = path.surfacesInDrivingOrder();
    order.forEach(this::planRod);
    PhasesAfter phases = new PhasesAfter(path, turned(), readings, reference, presetsTakeUp);
    List<WorkStep> steps = WorkOrder.steps(setup, trims, staying, rods, phases.outcomes());
    return new AdjustmentPlan(
        trims,
        readings.get(reference).phase(),
        List.copyOf(rods),
        phases.outcomes(),
        phases.throwChanges(),
        Remedies.of(path, trims, trimmed, untrimmed),
        steps,
        cautions(),
        newFindings(phases.after()),
        EntrySheet.changes(phases.flown(), phases.after()),
        phases.after());
  }

  /** The setup with its rods turned and nothing else changed. */
  private Setup turned() {
    return setup.withSurfaces(
        setup.surfaces().stream()
            .map(part -> part.withRod(part.rod().changedBy(changes.get(part.id()).appliedMm())))
            .toList());
  }

  /** Findings of the rig that only the new rods bring. */
  private List<Finding> newFindings(Setup after) {
    List<String> known = Audit.of(path).stream().map(AdjustmentPlanner::key).toList();
    return Audit.of(SignalPath.of(after)).stream()
        .filter(one -> one.acceptedBecause().isEmpty() && !known.contains(key(one)))
        .toList();
  }

  private static String key(Finding finding) {
    return finding.rule() + " " + finding.surface() + " " + finding.severity();
  }

  private void planRod(Surface surface) {
    int index = path.indexOf(surface.id());
    boolean slave = surface.rod().driver() == DriverKind.SURFACE;
    RodChange change = slave ? behindMaster(surface, index) : behindServo(surface, index);
    if (change instanceof RodChange.Locked locked) {
      throw unreachable(index, locked.driverDegrees());
    }
    RodChange.Found found = (RodChange.Found) change;
    if (Double.isNaN(found.afterDegrees())) {
      throw unreachable(index, found.driverDegrees());
    }
    changes.put(surface.id(), found);
    rods.add(describe(surface, index, found, slave));
  }

  private InvalidInputException unreachable(int index, double driverDegrees) {
    UsableRange range = path.range(index);
    return InvalidInputException.of(
        "surfaces[" + index + "].rod",
        Said.of("given.lockedAt", "angle", Quantity.degrees(driverDegrees, 1)),
        Said.of(
            "demand.linkageReachesOneDoesFrom",
            "reachFrom",
            Quantity.degrees(range.reachFrom(), 1),
            "reachTo",
            Quantity.degrees(range.reachTo(), 1)));
  }

  private RodChange behindServo(Surface surface, int index) {
    double with = path.driverDegrees(index, trimmed);
    double without = path.driverDegrees(index, untrimmed);
    return RodChange.of(path.bar(index), surface.rod().end(), surface.chordMm(), with, without);
  }

  private RodChange behindMaster(Surface surface, int index) {
    RodChange.Found master = changes.get(surface.rod().driverId());
    return RodChange.of(
        path.bar(index),
        surface.rod().end(),
        surface.chordMm(),
        master.targetDegrees(),
        master.afterDegrees());
  }

  private PlannedRod describe(Surface surface, int index, RodChange.Found found, boolean slave) {
    double today = untrimmed.travelMm()[index];
    return new PlannedRod(
        surface.id(),
        surface.name(),
        slave,
        RodDirection.of(found.steps()),
        found.changeMm(),
        found.turnsExact(),
        found.steps(),
        found.steps() * found.end().kind().sixthsPerStep(),
        found.appliedMm(),
        today,
        found.targetTravelMm(),
        surface.travelMm(found.afterDegrees()),
        found.errorMm(),
        found.targetTravelMm() - today,
        today - found.targetTravelMm(),
        slave ? 0 : leftPercent(index, found),
        RodWords.sentence(surface, found, slave),
        RodWords.turn(found.end(), found.steps()),
        RodWords.turn(found.end(), -found.steps()));
  }

  private double leftPercent(int index, RodChange.Found found) {
    int channel = path.channelBehind(index);
    double command = untrimmed.commandPercent()[channel];
    double slope = path.output(channel).slope(command) * path.servoBehind(index).slope();
    return slope == 0 ? 0 : found.driverLeftDegrees() / slope;
  }

  private List<Said> cautions() {
    List<Said> cautions = new ArrayList<>();
    for (String phase : gone) {
      cautions.add(Said.of("adjustment.trimsPhaseLeftOutSetup", "phase", phase));
    }
    double step = setup.transmitter().clickStepPercent();
    for (Control control : Control.values()) {
      double percent = Math.abs(trims.of(control) * step);
      if (percent > house.largeTrimPercent()) {
        cautions.add(
            Said.of(
                "adjustment.trimFullTravelTrimLarge",
                "control",
                control,
                "clicks",
                new Clicks(control, trims.of(control)),
                "percent",
                Quantity.percent(percent)));
      }
    }
    return cautions;
  }
}
