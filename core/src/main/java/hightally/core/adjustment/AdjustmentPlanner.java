package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Words;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
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
  private final HouseValues house;
  private final SignalPath path;
  private final Positions trimmed;
  private final Positions untrimmed;
  private final Map<String, RodChange.Found> changes = new HashMap<>();
  private final List<PlannedRod> rods = new ArrayList<>();

  private AdjustmentPlanner(Setup setup, Trims trims) {
    this.setup = setup;
    this.trims = trims;
    house = setup.house();
    path = SignalPath.of(setup);
    trimmed = path.evaluateBase(Moment.centred(trims));
    untrimmed = path.evaluateBase(Moment.centred(Trims.ZERO));
  }

  /**
   * Plans an adjustment.
   *
   * @param setup what was flown
   * @param trims clicks that stood in the transmitter when it flew straight
   * @throws InvalidInputException if a trim is beyond the transmitter's range
   */
  public static AdjustmentPlan plan(Setup setup, Trims trims) {
    AdjustmentPlanner planner = new AdjustmentPlanner(setup.withTrims(trims), trims);
    return planner.plan();
  }

  private AdjustmentPlan plan() {
    List<Surface> order = path.surfacesInDrivingOrder();
    order.forEach(this::planRod);
    List<WorkStep> steps = WorkOrder.steps(setup, trims, rods);
    return new AdjustmentPlan(trims, List.copyOf(rods), steps, cautions(), after());
  }

  private void planRod(Surface surface) {
    int index = path.indexOf(surface.id());
    boolean slave = surface.rod().driver() == DriverKind.SURFACE;
    RodChange change = slave ? behindMaster(surface, index) : behindServo(surface, index);
    if (!(change instanceof RodChange.Found found)) {
      throw InvalidInputException.of(
          "surfaces[" + index + "].rod", "locked at neutral", "a linkage that reaches its neutral");
    }
    changes.put(surface.id(), found);
    rods.add(describe(surface, index, found, slave));
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
        untrimmed.travelMm()[index],
        found.targetTravelMm(),
        surface.travelMm(found.afterDegrees()),
        found.errorMm(),
        slave ? 0 : leftPercent(index, found),
        RodWords.sentence(surface, found, slave));
  }

  private double leftPercent(int index, RodChange.Found found) {
    int channel = path.channelBehind(index);
    double command = untrimmed.commandPercent()[channel];
    double slope = path.output(channel).slope(command) * path.servoBehind(index).slope();
    return slope == 0 ? 0 : found.driverLeftDegrees() / slope;
  }

  private List<String> cautions() {
    List<String> cautions = new ArrayList<>();
    double step = setup.transmitter().clickStepPercent();
    for (Control control : Control.values()) {
      double percent = Math.abs(trims.of(control) * step);
      if (percent > house.largeTrimPercent()) {
        cautions.add(
            String.format(
                Locale.ROOT,
                "The %s trim of %s is %.0f %% of full travel. A trim this large is usually a sign of"
                    + " balance, warp, thrust line or incidence: look there before hiding it in a"
                    + " rod.",
                control.word(),
                Words.clicks(control, trims.of(control)),
                percent));
      }
    }
    return cautions;
  }

  private Setup after() {
    List<Surface> changed =
        setup.surfaces().stream()
            .map(part -> part.withRod(part.rod().changedBy(changes.get(part.id()).appliedMm())))
            .toList();
    List<Phase> phases = new ArrayList<>(setup.phases());
    phases.set(phases.size() - 1, setup.basePhase().withTrims(Trims.ZERO));
    return setup.change().surfaces(changed).phases(phases).trims(Trims.ZERO).done();
  }
}
