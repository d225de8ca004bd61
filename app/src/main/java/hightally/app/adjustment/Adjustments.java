package hightally.app.adjustment;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Lineage;
import hightally.app.aircraft.Revision;
import hightally.app.flight.Flight;
import hightally.app.flight.FlightLog;
import hightally.app.flight.TrimLog;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.words.ReaderWords;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.Confirmation;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.RodsProposal;
import hightally.core.adjustment.RulerCheck;
import hightally.core.airframe.Surface;
import hightally.core.guide.BenchVerification;
import hightally.core.log.PhaseReading;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Moving trims into metal: a plan from a flight, a work order to follow, a new revision at its end.
 *
 * <p>A plan is not stored: it follows from the revision and the clicks taken over when the work was
 * begun, neither of which can change under an open work order.
 */
@Service
public class Adjustments {
  private static final String ALREADY_OPEN =
      "An adjustment of this model is open already: finish it first.";

  private final AdjustmentRepository adjustments;
  private final Hangar hangar;
  private final FlightLog flights;
  private final TrimLog log;
  private final Lineage lineage;
  private final Clock clock;
  private final ReaderWords words;

  Adjustments(
      AdjustmentRepository adjustments,
      Hangar hangar,
      FlightLog flights,
      TrimLog log,
      Lineage lineage,
      Clock clock,
      ReaderWords words) {
    this.words = words;
    this.log = log;
    this.lineage = lineage;
    this.adjustments = adjustments;
    this.hangar = hangar;
    this.flights = flights;
    this.clock = clock;
  }

  /**
   * What the pilot wants in the rods.
   *
   * @param reference id of the phase whose trim becomes metal; empty for the last
   * @param presetsTakeUp whether presets take up what the rods leave
   * @param controls whose trims go into the rods
   */
  public record Wish(String reference, boolean presetsTakeUp, List<Control> controls) {}

  /** What the trims of a flight would mean for the rods. */
  @Transactional(readOnly = true)
  public AdjustmentPlan preview(long aircraftId, long flightId, Wish wish) {
    Flight flight = flights.flight(aircraftId, flightId);
    Revision newest = hangar.newest(aircraftId);
    int since = newest.trimsHoldSince();
    if (flight.revisionNumber() < since) {
      throw new ConflictException(
          "This flight was on revision "
              + flight.revisionNumber()
              + ", and since revision "
              + since
              + " its trims no longer fit the model. Fly it as it is now, and adjust from that"
              + " flight.");
    }
    return AdjustmentPlanner.plan(newest.setup(), flown(newest.setup(), flight, wish));
  }

  /** Which phase and which controls the rods should be turned for. */
  @Transactional(readOnly = true)
  public RodsProposal proposal(long aircraftId, long flightId, String wanted) {
    Setup setup = hangar.newest(aircraftId).setup();
    Flight flight = flights.flight(aircraftId, flightId);
    TrimLog.SettlingSheet sheet = log.settling(aircraftId);
    List<String> flown =
        flight.report().readings(setup.basePhase().id()).stream().map(PhaseReading::phase).toList();
    return RodsProposal.of(setup, sheet.series(), flown, sheet.reference(), wanted);
  }

  private FlownTrims flown(Setup setup, Flight flight, Wish wish) {
    String base = setup.basePhase().id();
    return new FlownTrims(
        wish.reference().isEmpty() ? base : wish.reference(),
        log.settled(flight.aircraftId(), flight),
        wish.presetsTakeUp(),
        wish.controls());
  }

  /**
   * Notes what the gauge showed at a surface, and what the pilot decided where it disagrees with
   * the arithmetic.
   */
  @Transactional
  public OpenAdjustment measure(long aircraftId, Gauge gauge, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    Setup setup = hangar.revision(aircraftId, found.revisionNumber()).setup();
    Surface surface =
        setup
            .surface(gauge.surface())
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "surface", gauge.surface(), Said.of("demand.idSurface")));
    RulerCheck check = check(setup, AdjustmentPlanner.plan(setup, found.flown(setup)), gauge);
    if (gauge.choice() == Gauge.Choice.RULER) {
      check.believed(setup, surface);
    }
    found.measured(gauge);
    return read(adjustments.saveAndFlush(found));
  }

  /** Notes what a surface does at the end, measured at full stick. */
  @Transactional
  public OpenAdjustment verify(long aircraftId, BenchVerification.Verified verified, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    BenchVerification.check(hangar.revision(aircraftId, found.revisionNumber()).setup(), verified);
    found.verified(verified);
    return read(adjustments.saveAndFlush(found));
  }

  private static RulerCheck check(Setup setup, AdjustmentPlan plan, Gauge gauge) {
    double computed =
        plan.rods().stream()
            .filter(rod -> rod.surface().equals(gauge.surface()))
            .mapToDouble(rod -> rod.targetMm() - rod.todayMm())
            .findFirst()
            .orElse(0);
    Surface surface = setup.surface(gauge.surface()).orElseThrow();
    return RulerCheck.of(setup, surface, computed, new RulerCheck.GaugeReading(gauge.mm()));
  }

  /** What the first flight after an adjustment says, phase by phase; empty if there is none. */
  @Transactional(readOnly = true)
  public List<PhaseConfirmation> confirmation(long aircraftId) {
    Revision newest = hangar.newest(aircraftId);
    int since = newest.trimsHoldSince();
    Optional<Flight> first = flights.first(aircraftId, since);
    Optional<AdjustmentEntity> made =
        adjustments.findFirstByAircraftIdAndResultRevision(aircraftId, since);
    if (first.isEmpty() || made.isEmpty() || lineage.correctedAfter(aircraftId, since)) {
      return List.of();
    }
    AdjustmentPlan plan = read(made.get()).plan();
    List<PhaseConfirmation> found = new ArrayList<>();
    for (PhaseReading reading : first.get().report().readings(newest.setup().basePhase().id())) {
      plan.phases().stream()
          .filter(one -> one.phase().equals(reading.phase()))
          .forEach(
              one ->
                  found.add(
                      new PhaseConfirmation(
                          one.phase(),
                          one.name(),
                          Confirmation.of(
                              newest.setup(), one.before(), one.after(), reading.trims()))));
    }
    return found;
  }

  /**
   * What a flight has taught, with the pilot's consent taken into the description; the model is as
   * it was, so the flight's trims go on to count.
   */
  @Transactional
  public Revision learn(long aircraftId, Learned learned) {
    Validation.check(learned);
    Revision newest = hangar.newest(aircraftId);
    if (entity(aircraftId).isPresent()) {
      throw new ConflictException("An adjustment of this model is open: finish it first.");
    }
    Setup now = newest.setup();
    List<Said> told = new ArrayList<>();
    if (learned.clickStepPercent() != now.transmitter().clickStepPercent()) {
      now =
          now.change()
              .transmitter(now.transmitter().withClickStep(learned.clickStepPercent()))
              .done();
      told.add(
          Said.of("log.learnedClick", "step", Quantity.percent(learned.clickStepPercent(), 3)));
    }
    for (Learned.Arm arm : learned.arms()) {
      Surface surface =
          now.surface(arm.surface())
              .orElseThrow(
                  () ->
                      InvalidInputException.of("arms", arm.surface(), Said.of("demand.idSurface")));
      now = now.withSurface(surface.withRod(surface.rod().withArm(arm.armRadiusMm())));
      told.add(
          Said.of(
              "log.learnedArm",
              "surface",
              surface.name(),
              "radius",
              Quantity.mm(arm.armRadiusMm(), 2)));
    }
    if (told.isEmpty()) {
      throw InvalidInputException.of("arms", Said.of("given.none"), Said.of("demand.armClickStep"));
    }
    return hangar.correct(
        aircraftId, learned.basedOn(), now, words.of(Said.of("log.learned", "told", told), 300));
  }

  /** What a flight says of one phase. */
  public record PhaseConfirmation(String phase, String name, List<Confirmation> controls) {}

  /** The work order that is open for an aircraft. */
  @Transactional(readOnly = true)
  public Optional<OpenAdjustment> open(long aircraftId) {
    return entity(aircraftId).map(this::read);
  }

  /** Whether one is. */
  @Transactional(readOnly = true)
  public boolean isOpen(long aircraftId) {
    return entity(aircraftId).isPresent();
  }

  /** Begins a work order from a flight; one begun with the same wish is taken up again. */
  @Transactional
  public OpenAdjustment begin(long aircraftId, long flightId, Wish wish) {
    hangar.alone(aircraftId);
    Optional<AdjustmentEntity> open = entity(aircraftId);
    if (open.isPresent() && open.get().flightId() != flightId) {
      throw new ConflictException(ALREADY_OPEN);
    }
    preview(aircraftId, flightId, wish);
    Flight flight = flights.flight(aircraftId, flightId);
    Revision newest = hangar.newest(aircraftId);
    FlownTrims flown = flown(newest.setup(), flight, wish);
    if (open.isPresent()) {
      boolean same =
          open.get().revisionNumber() == newest.number()
              && open.get().flown(newest.setup()).equals(flown);
      if (same) {
        return read(open.get());
      }
      throw new ConflictException(ALREADY_OPEN);
    }
    return read(
        adjustments.saveAndFlush(
            new AdjustmentEntity(flight, newest.number(), flown, clock.instant())));
  }

  /** Keeps the step the pilot is at, so that the work can be left and taken up again. */
  @Transactional
  public OpenAdjustment moveTo(long aircraftId, int step, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    int last = read(found).plan().steps().size() - 1;
    if (step < 0 || step > last) {
      throw InvalidInputException.of("step", step, Said.of("demand.to", "last", last));
    }
    found.moveTo(step);
    return read(adjustments.saveAndFlush(found));
  }

  /** Closes the work order with a new revision: rods changed, trims at zero. */
  @Transactional
  public Revision close(long aircraftId, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    OpenAdjustment open = read(found);
    if (open.step() != open.plan().steps().size() - 1) {
      throw InvalidInputException.of("step", open.step(), Said.of("demand.lastOneBeforeClosing"));
    }
    List<String> waiting =
        open.gauges().stream()
            .filter(OpenAdjustment.GaugeCheck::waits)
            .map(one -> one.gauge().surface())
            .toList();
    if (!waiting.isEmpty()) {
      throw new ConflictException(
          "Ruler and arithmetic disagree at "
              + String.join(", ", waiting)
              + ". Decide which of the two you believe before the work order is closed.");
    }
    List<String> wrong =
        open.verification().stream()
            .filter(BenchVerification.Expected::wrongWay)
            .map(BenchVerification.Expected::name)
            .toList();
    if (!wrong.isEmpty()) {
      throw new ConflictException(
          "Seen to move the wrong way: "
              + String.join(", ", wrong)
              + ". Mend that and measure again before the work order is closed.");
    }
    Flight flight = flights.flight(aircraftId, found.flightId());
    Said reason =
        Said.of(
            "log.trimsMoved",
            "day",
            flight.report().flownOn(),
            "trims",
            open.plan().trims().told(control -> true));
    Revision newest = hangar.newest(aircraftId);
    Setup before = hangar.revision(aircraftId, found.revisionNumber()).setup();
    // An order from before revisions were held back may lie below a newer one: its rods are turned.
    Setup after = open.plan().onto(before, newest.setup());
    Revision made =
        hangar.adjusted(aircraftId, newest.number(), after, words.of(reason, 300), found.id());
    found.close(made.number(), clock.instant());
    return made;
  }

  /** Gives the work order up; the setup stays as it was. */
  @Transactional
  public void abandon(long aircraftId, int version) {
    current(aircraftId, version).abandon(clock.instant());
  }

  private AdjustmentEntity current(long aircraftId, int version) {
    AdjustmentEntity found =
        entity(aircraftId)
            .orElseThrow(() -> new NotFoundException("open adjustment of aircraft", aircraftId));
    if (found.version() != version) {
      throw new ConflictException(
          "This work order was moved on from another page. Reload to see where it stands.");
    }
    return found;
  }

  private Optional<AdjustmentEntity> entity(long aircraftId) {
    return adjustments.findFirstByAircraftIdAndState(aircraftId, AdjustmentEntity.State.OPEN);
  }

  private OpenAdjustment read(AdjustmentEntity entity) {
    Setup setup = hangar.revision(entity.aircraftId(), entity.revisionNumber()).setup();
    FlownTrims flown = entity.flown(setup);
    AdjustmentPlan reckoned = AdjustmentPlanner.plan(setup, flown);
    List<OpenAdjustment.GaugeCheck> checks = new ArrayList<>();
    Setup believed = setup;
    for (Gauge gauge : entity.gauges()) {
      RulerCheck check = check(setup, reckoned, gauge);
      checks.add(new OpenAdjustment.GaugeCheck(gauge, check));
      if (gauge.choice() == Gauge.Choice.RULER) {
        believed = check.believed(believed, setup.surface(gauge.surface()).orElseThrow());
      }
    }
    AdjustmentPlan plan = believed == setup ? reckoned : AdjustmentPlanner.plan(believed, flown);
    return new OpenAdjustment(
        entity.id(),
        entity.flightId(),
        entity.revisionNumber(),
        entity.step(),
        entity.version(),
        plan,
        checks,
        BenchVerification.of(plan.after(), entity.verified()),
        plan.undoneFrom(entity.step()));
  }
}
