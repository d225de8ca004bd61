package hightally.app.adjustment;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.history.OrderSource;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.PlannedRod;
import hightally.core.adjustment.RulerCheck;
import hightally.core.adjustment.WorkStep;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.history.History;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Work orders as they stand: planned anew from what they were begun with whenever they are read.
 */
@Component
class OrderBook implements OrderSource, PageOfModel {
  /** So many of the newest orders are weighed: older rods have been turned since. */
  private static final int NEWEST = 12;

  private final AdjustmentRepository adjustments;
  private final Hangar hangar;

  OrderBook(AdjustmentRepository adjustments, Hangar hangar) {
    this.adjustments = adjustments;
    this.hangar = hangar;
  }

  @Override
  @Transactional(readOnly = true)
  public List<History.Order> closed(long aircraftId) {
    List<History.Order> found = new ArrayList<>();
    List<AdjustmentEntity> all =
        adjustments.findByAircraftIdAndStateOrderById(aircraftId, AdjustmentEntity.State.CLOSED);
    for (AdjustmentEntity one : all.subList(Math.max(0, all.size() - NEWEST), all.size())) {
      if (one.resultRevision() == null) {
        continue;
      }
      found.add(
          new History.Order(
              one.id(),
              one.revisionNumber(),
              one.resultRevision(),
              one.flown(() -> hangar.revision(aircraftId, one.revisionNumber()).setup()),
              one.gauges().stream()
                  .filter(each -> each.choice() != Gauge.Choice.ARITHMETIC)
                  .map(each -> new History.GaugeSeen(each.surface(), each.mm()))
                  .toList(),
              one.marks(),
              one.verified()));
    }
    return found;
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<History.OpenOrder> open(long aircraftId) {
    return entity(aircraftId)
        .map(this::read)
        .map(one -> new History.OpenOrder(one.id(), disagreeing(one)));
  }

  /** Names of the surfaces where a reading waits to be settled. */
  static List<String> disagreeing(OpenAdjustment open) {
    return open.gauges().stream()
        .filter(OpenAdjustment.GaugeCheck::waits)
        .map(one -> name(open, one.gauge().surface()))
        .toList();
  }

  /** The name of a surface of the plan. */
  static String name(OpenAdjustment open, String surface) {
    return open.plan().rods().stream()
        .filter(rod -> rod.surface().equals(surface))
        .map(PlannedRod::surfaceName)
        .findFirst()
        .orElse(surface);
  }

  /** The one that is open. */
  Optional<AdjustmentEntity> entity(long aircraftId) {
    return adjustments.findFirstByAircraftIdAndState(aircraftId, AdjustmentEntity.State.OPEN);
  }

  /** A work order as it stands. */
  OpenAdjustment read(AdjustmentEntity entity) {
    Setup setup = hangar.revision(entity.aircraftId(), entity.revisionNumber()).setup();
    FlownTrims flown = entity.flown(() -> setup).withMade(entity.marks());
    AdjustmentPlan described = AdjustmentPlanner.plan(setup, flown);
    List<FlownTrims.Gauged> believed =
        entity.gauges().stream()
            .filter(one -> one.choice() == Gauge.Choice.RULER)
            .filter(one -> !check(setup, described, one).agree())
            .map(one -> new FlownTrims.Gauged(one.surface(), one.mm()))
            .toList();
    AdjustmentPlan plan =
        believed.isEmpty() ? described : AdjustmentPlanner.plan(setup, flown.withGauged(believed));
    List<OpenAdjustment.GaugeCheck> checks = new ArrayList<>();
    for (Gauge gauge : entity.gauges()) {
      Surface surface = setup.surface(gauge.surface()).orElseThrow();
      checks.add(
          new OpenAdjustment.GaugeCheck(
              gauge,
              check(setup, described, gauge),
              Math.abs(gauge.mm()),
              RulerCheck.Went.of(surface, -gauge.mm())));
    }
    List<BenchVerification.Expected> verification =
        BenchVerification.of(plan.after(), entity.verified());
    OpenAdjustment open =
        new OpenAdjustment(
            entity.id(),
            entity.flightId(),
            entity.revisionNumber(),
            entity.step(),
            entity.version(),
            plan,
            checks,
            entity.marks(),
            verification,
            plan.undoneFrom(entity.step()),
            List.of(),
            notAsPlanned(setup, plan, entity.marks(), verification),
            List.of());
    return progressed(open);
  }

  /** Compares a reading with the arithmetic. */
  static RulerCheck check(Setup setup, AdjustmentPlan plan, Gauge gauge) {
    double computed =
        plan.rods().stream()
            .filter(rod -> rod.surface().equals(gauge.surface()))
            .mapToDouble(PlannedRod::trimMm)
            .findFirst()
            .orElse(0);
    Surface surface = setup.surface(gauge.surface()).orElseThrow();
    return RulerCheck.of(setup, surface, computed, new RulerCheck.GaugeReading(gauge.mm()));
  }

  /** Edges that stand off their marks further than was planned, and throws that differ. */
  private static List<Said> notAsPlanned(
      Setup setup,
      AdjustmentPlan plan,
      List<MarkSeen> marks,
      List<BenchVerification.Expected> verification) {
    List<Said> found = new ArrayList<>();
    for (MarkSeen mark : marks) {
      double planned =
          plan.rods().stream()
              .filter(rod -> rod.surface().equals(mark.surface()))
              .mapToDouble(rod -> Math.abs(rod.errorMm()))
              .findFirst()
              .orElse(0);
      if (Math.abs(mark.offMm()) > planned + setup.house().rulerMm()) {
        Surface surface = setup.surface(mark.surface()).orElseThrow();
        found.add(
            Said.of(
                "adjustment.offItsMark",
                "surface",
                surface.name(),
                "mm",
                Quantity.mm(mark.offMm()).size(),
                "way",
                surface.goes(mark.offMm())));
      }
    }
    verification.stream()
        .filter(one -> !one.open() && !one.wrongWay() && !one.fits())
        .map(one -> Said.of("adjustment.throwsDiffer", "surface", one.name()))
        .distinct()
        .forEach(found::add);
    return found;
  }

  private static OpenAdjustment progressed(OpenAdjustment open) {
    Set<String> turned =
        open.marks().stream().map(one -> one.surface()).collect(Collectors.toSet());
    List<Boolean> done = new ArrayList<>();
    List<WorkStep> steps = open.plan().steps();
    for (int i = 0; i < steps.size(); i++) {
      WorkStep step = steps.get(i);
      boolean answered =
          switch (step.kind()) {
            case TURN, CHECK -> turned.contains(step.surface());
            case VERIFY ->
                open.verification().stream().noneMatch(one -> one.open() || one.wrongWay());
            default -> i < open.step();
          };
      done.add(answered);
    }
    return new OpenAdjustment(
        open.id(),
        open.flightId(),
        open.revisionNumber(),
        open.step(),
        open.version(),
        open.plan(),
        open.gauges(),
        open.marks(),
        open.verification(),
        open.undo(),
        done,
        open.notAsPlanned(),
        steps.stream().map(step -> bar(open, step, turned)).toList());
  }

  private static Said bar(OpenAdjustment open, WorkStep step, Set<String> turned) {
    boolean waits =
        open.gauges().stream()
            .filter(OpenAdjustment.GaugeCheck::waits)
            .anyMatch(one -> one.gauge().surface().equals(step.surface()));
    if (waits) {
      return Said.of("adjustment.settleReading", "surface", name(open, step.surface()));
    }
    if (step.kind() == WorkStep.Kind.CHECK && !turned.contains(step.surface())) {
      return Said.of("adjustment.sayMark", "surface", name(open, step.surface()));
    }
    return Said.NOTHING;
  }

  @Override
  public String told() {
    return "adjustment";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    closed(aircraftId);
    open(aircraftId);
  }
}
