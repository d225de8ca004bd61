package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.flightlog.PhaseReading;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.UsableRange;
import hightally.core.program.Trims;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
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
  private static final double NOTHING_MM = 1e-9;

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
  private final FlownTrims flown;
  private final Setup prepared;

  /** With the arms seated over and the ends fitted that are wanted. */
  private final SignalPath preparedPath;

  private final Positions start;
  private final Map<String, Double> effective = new HashMap<>();

  private AdjustmentPlanner(Setup setup, FlownTrims flown) {
    Validation.check(setup);
    this.flown = flown;
    prepared = flown.prepared(setup);
    if (prepared != setup) {
      Validation.check(prepared);
    }
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
    preparedPath = prepared.equals(setup) ? path : SignalPath.of(prepared);
    start = preparedPath.evaluateTrimmed(readings.get(reference).rest(), reference, staying);
  }

  /**
   * The clicks the reference phase would be left with, before they are rounded; roll, pitch, yaw.
   */
  static double[] leftExact(Setup setup, FlownTrims flown) {
    AdjustmentPlanner planner = new AdjustmentPlanner(setup, flown);
    planner.path.surfacesInDrivingOrder().forEach(planner::planRod);
    return planner.phases().exactOf(planner.reference);
  }

  /**
   * What the arithmetic says of rods that were turned, whatever the marks said.
   *
   * @param rods one a surface
   * @param leftClicks what the steps made should leave in the reference phase; roll, pitch, yaw
   * @param madeMm by surface, how far the steps made should move the trailing edge
   */
  public record Reckoned(
      List<PlannedRod> rods, double[] leftClicks, Map<String, Double> madeMm, Setup after) {}

  /** Works that out. */
  public static Reckoned reckon(Setup setup, FlownTrims flown) {
    AdjustmentPlanner planner = new AdjustmentPlanner(setup, flown);
    planner.path.surfacesInDrivingOrder().forEach(planner::planRod);
    Setup turned = planner.turned(false);
    PhasesAfter phases =
        new PhasesAfter(
            planner.path,
            turned,
            turned,
            planner.readings,
            planner.reference,
            planner.presetsTakeUp,
            flown.mostFlownFirst(setup));
    Map<String, Double> moved = new HashMap<>();
    SignalPath after = SignalPath.of(turned);
    for (Surface surface : setup.surfaces()) {
      int index = planner.path.indexOf(surface.id());
      double driver = planner.preparedPath.driverDegrees(index, planner.start);
      double now = surface.travelMm(after.bar(index).surfaceAngle(driver));
      double then = surface.travelMm(planner.preparedPath.bar(index).surfaceAngle(driver));
      moved.put(surface.id(), now - then);
    }
    return new Reckoned(
        List.copyOf(planner.rods),
        planner.presetsTakeUp
            ? new double[Control.values().length]
            : phases.exactOf(planner.reference),
        moved,
        phases.after());
  }

  /** How many clicks of a control one step of the finest end behind it is; 0 where none turns. */
  static double stepClicks(Setup setup, FlownTrims flown, Control control) {
    AdjustmentPlanner planner = new AdjustmentPlanner(setup, flown);
    Trims one = planner.staying.with(control, planner.staying.of(control) + 1);
    Positions with =
        planner.preparedPath.evaluateTrimmed(
            planner.readings.get(planner.reference).rest(), planner.reference, one);
    double finest = Double.MAX_VALUE;
    for (Surface surface : planner.prepared.surfaces()) {
      int index = planner.path.indexOf(surface.id());
      if (surface.rod().driver() == DriverKind.SERVO) {
        RodChange change =
            RodChange.of(
                planner.preparedPath.bar(index),
                surface.rod().end(),
                surface.chordMm(),
                planner.preparedPath.driverDegrees(index, with),
                planner.preparedPath.driverDegrees(index, planner.start));
        if (change instanceof RodChange.Found found && Math.abs(found.changeMm()) > NOTHING_MM) {
          double clicks = surface.rod().end().stepMm() / Math.abs(found.changeMm());
          finest = Math.min(finest, clicks);
        }
      }
    }
    return finest == Double.MAX_VALUE ? 0 : finest;
  }

  private PhasesAfter phases() {
    return new PhasesAfter(
        path,
        turned(true),
        turned(false),
        readings,
        reference,
        presetsTakeUp,
        flown.mostFlownFirst(setup));
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
    PhasesAfter phases = phases();
    List<WorkStep> steps =
        WorkOrder.steps(prepared, flown, trims, staying, rods, phases.outcomes());
    return new AdjustmentPlan(
        trims,
        readings.get(reference).phase(),
        List.copyOf(rods),
        RodMethod.of(path, flown.means(), rods, trimmed, untrimmed),
        phases.outcomes(),
        phases.throwChanges(),
        RodRemedies.of(path, trims, trimmed, untrimmed),
        steps,
        cautions(),
        newFindings(phases.after()),
        EntrySheet.changes(phases.flown(), phases.after()),
        phases.after());
  }

  /**
   * The setup with its rods turned and nothing else changed.
   *
   * @param asTheyStand as the marks say, where they have been seen; else by the steps made
   */
  private Setup turned(boolean asTheyStand) {
    return prepared.withSurfaces(
        prepared.surfaces().stream()
            .map(
                part ->
                    part.withRod(
                        part.rod()
                            .changedBy(
                                asTheyStand
                                    ? effective.get(part.id())
                                    : appliedMm(part, changes.get(part.id())))))
            .toList());
  }

  private double appliedMm(Surface surface, RodChange.Found found) {
    return steps(surface, found) * surface.rod().end().stepMm();
  }

  private long steps(Surface surface, RodChange.Found found) {
    return flown.made(surface.id()).map(MarkSeen::steps).orElse(found.steps());
  }

  /**
   * The change of a rod that puts its surface where it was seen to stand against the mark. What the
   * eye cannot tell from the arithmetic is left to the arithmetic.
   */
  private double effectiveMm(Surface surface, RodChange.Found found) {
    return flown
        .made(surface.id())
        .map(seen -> effectiveMm(surface, found, seen))
        .orElse(found.appliedMm());
  }

  private double effectiveMm(Surface surface, RodChange.Found found, MarkSeen seen) {
    double made = appliedMm(surface, found);
    double length = found.bar().rodLengthMm();
    double reckoned =
        surface.travelMm(found.bar().withRod(length + made).surfaceAngle(found.driverDegrees()));
    double stands = found.targetTravelMm() + seen.offMm();
    if (Math.abs(reckoned - stands) <= house.rulerMm()) {
      return made;
    }
    double sine = Math.max(-1, Math.min(1, stands / surface.chordMm()));
    return found.bar().rodFor(found.driverDegrees(), Math.toDegrees(Math.asin(sine))) - length;
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
    Surface fitted = prepared.surface(surface.id()).orElseThrow();
    RodChange change = slave ? behindMaster(fitted, index) : behindServo(fitted, index);
    if (change instanceof RodChange.Locked locked) {
      throw unreachable(index, locked.driverDegrees());
    }
    RodChange.Found found = (RodChange.Found) change;
    if (Double.isNaN(found.afterDegrees())) {
      throw unreachable(index, found.driverDegrees());
    }
    changes.put(surface.id(), found);
    effective.put(surface.id(), effectiveMm(fitted, found));
    rods.add(describe(fitted, index, found, slave));
  }

  private InvalidInputException unreachable(int index, double driverDegrees) {
    UsableRange range = path.range(index);
    return InvalidInputException.of(
        "surfaces[" + index + "].rod",
        Said.of("given.lockedAt", "angle", Quantity.degrees(driverDegrees, 1)),
        Said.of(
            "demand.linkageReach",
            "reachFrom",
            Quantity.degrees(range.reachFrom(), 1),
            "reachTo",
            Quantity.degrees(range.reachTo(), 1)));
  }

  private RodChange behindServo(Surface surface, int index) {
    double without = preparedPath.driverDegrees(index, start);
    double with = gauged(surface, index, path.driverDegrees(index, trimmed));
    return RodChange.of(path.bar(index), surface.rod().end(), surface.chordMm(), with, without);
  }

  private RodChange behindMaster(Surface surface, int index) {
    RodChange.Found master = changes.get(surface.rod().driverId());
    return RodChange.of(
        path.bar(index),
        surface.rod().end(),
        surface.chordMm(),
        gauged(surface, index, master.targetDegrees()),
        master.afterDegrees());
  }

  /**
   * The angle of what drives a surface with the trim in: where the gauge is believed, the one that
   * brings the edge as far as it showed.
   */
  private double gauged(Surface surface, int index, double described) {
    return flown
        .gauged(surface.id())
        .map(
            seen -> {
              double stands = untrimmed.travelMm()[index] + seen.mm();
              double sine = Math.max(-1, Math.min(1, stands / surface.chordMm()));
              double driver = path.driverDegrees(index, untrimmed);
              return path.bar(index).armFor(Math.toDegrees(Math.asin(sine)), driver);
            })
        .filter(driver -> !driver.isNaN())
        .orElse(described);
  }

  private PlannedRod describe(Surface surface, int index, RodChange.Found found, boolean slave) {
    double today = untrimmed.travelMm()[index];
    long made = steps(surface, found);
    return new PlannedRod(
        surface.id(),
        surface.name(),
        slave,
        RodDirection.of(found.steps()),
        found.changeMm(),
        found.turnsExact(),
        found.steps(),
        found.steps() * found.end().kind().sixthsPerStep(),
        made,
        made * found.end().stepMm(),
        today,
        found.targetTravelMm(),
        surface.travelMm(found.afterDegrees()),
        found.errorMm(),
        found.targetTravelMm() - today,
        today - found.targetTravelMm(),
        slave ? 0 : leftPercent(index, found),
        RodWords.sentence(surface, found, slave),
        RodWords.turn(found.end(), found.steps()),
        RodWords.turn(found.end(), -made),
        Said.of("adjustment.unit", "end", found.end().kind()));
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
      cautions.add(Said.of("adjustment.phaseLost", "phase", phase));
    }
    double step = setup.transmitter().clickStepPercent();
    for (Control control : Control.values()) {
      double percent = Math.abs(trims.of(control) * step);
      if (percent > house.largeTrimPercent()) {
        cautions.add(
            Said.of(
                "adjustment.largeTrim",
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
