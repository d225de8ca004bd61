package hightally.app.adjustment;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.flightlog.Flight;
import hightally.app.flightlog.FlightLog;
import hightally.app.history.AircraftHistories;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.words.ReaderWords;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.RodAlternative;
import hightally.core.adjustment.RulerCheck;
import hightally.core.adjustment.WorthTurning;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.history.Calibration;
import hightally.core.history.Correction;
import hightally.core.history.PlanOptions;
import hightally.core.history.PlannedTrims;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Moving trims into the linkages: a plan from a flight, a work order to follow, a new revision at
 * its end.
 *
 * <p>A plan is not stored: it follows from the revision and the clicks taken over when the work was
 * begun, neither of which can change under an open work order.
 */
@Service
public class Adjustments {
  private static final int MOST_LETTERS = 300;
  private static final Said ALREADY_OPEN = Said.of("refused.workOrderOpen");

  private final AdjustmentRepository adjustments;
  private final Hangar hangar;
  private final FlightLog flights;
  private final OrderBook book;
  private final AircraftHistories stories;
  private final Clock clock;
  private final ReaderWords words;

  Adjustments(
      AdjustmentRepository adjustments,
      Hangar hangar,
      FlightLog flights,
      OrderBook book,
      AircraftHistories stories,
      Clock clock,
      ReaderWords words) {
    this.words = words;
    this.book = book;
    this.stories = stories;
    this.adjustments = adjustments;
    this.hangar = hangar;
    this.flights = flights;
    this.clock = clock;
  }

  /**
   * What the pilot wants moved into the linkages.
   *
   * @param reference id of the phase whose trim goes into the linkages; empty for the last
   * @param presetsTakeUp whether presets take up what the rods leave
   * @param controls those that may be turned; what is not worth it stays all the same
   * @param means where something else than the end that is there is wanted
   */
  public record Wish(
      String reference, boolean presetsTakeUp, List<Control> controls, List<RodAlternative> means) {
    /** By the ends that are there. */
    public Wish(String reference, boolean presetsTakeUp, List<Control> controls) {
      this(reference, presetsTakeUp, controls, List.of());
    }
  }

  /** What the trims that stand would mean for the rods. */
  @Transactional(readOnly = true)
  public AdjustmentPlan preview(long aircraftId, long flightId, Wish wish) {
    flights.flight(aircraftId, flightId);
    return AdjustmentPlanner.plan(hangar.newest(aircraftId).setup(), flown(aircraftId, wish));
  }

  /** What is worth turning, and the plan of it; without one where nothing is. */
  @Transactional(readOnly = true)
  public RodPlan plan(long aircraftId, PlanOptions wish) {
    PlannedTrims planned = stories.planned(aircraftId, wish);
    Setup setup = hangar.newest(aircraftId).setup();
    return new RodPlan(
        planned.reference(),
        planned.worth().verdicts(),
        planned.flown().map(one -> one.controls()).orElse(List.of()),
        planned.flown().map(one -> AdjustmentPlanner.plan(setup, one)).orElse(null),
        flights.newest(aircraftId, 0).map(Flight::id).orElse(0L));
  }

  /**
   * What would be turned.
   *
   * @param reference id of the phase whose trim goes into the linkages
   * @param worth what is worth turning of its settled trims, and what is not
   * @param controls those that would be turned; empty where there is nothing to begin
   * @param plan of them; absent where nothing is worth turning
   * @param flight number of the newest flight; 0 for none
   */
  public record RodPlan(
      String reference,
      List<WorthTurning.ControlWorth> worth,
      List<Control> controls,
      @Absentable AdjustmentPlan plan,
      long flight) {}

  /** What an order would follow: refused before the first turn where nothing is worth turning. */
  private FlownTrims flown(long aircraftId, Wish wish) {
    List<Control> leave =
        Arrays.stream(Control.values()).filter(one -> !wish.controls().contains(one)).toList();
    PlannedTrims planned =
        stories.planned(
            aircraftId,
            new PlanOptions(wish.reference(), wish.presetsTakeUp(), leave, wish.means()));
    return planned
        .flown()
        .orElseThrow(
            () ->
                new ConflictException(
                    Said.of(
                        "adjustment.nothingToTurn",
                        "reasons",
                        planned.worth().verdicts().stream()
                            .map(WorthTurning.ControlWorth::words)
                            .toList())));
  }

  /**
   * Notes what the gauge showed at a surface, and what the pilot decided where it disagrees with
   * the arithmetic.
   */
  @Transactional
  public OpenAdjustment measure(long aircraftId, GaugeRead read, int version) {
    AdjustmentEntity found = current(aircraftId);
    Setup setup = hangar.revision(aircraftId, found.revisionNumber()).setup();
    Surface surface = surface(setup, read.surface());
    double mm = RulerCheck.GaugeReading.zeroing(surface, read.sizeMm(), read.way()).mm();
    Gauge gauge = new Gauge(read.surface(), mm, read.choice());
    OrderBook.check(setup, AdjustmentPlanner.plan(setup, found.flown(() -> setup)), gauge);
    if (again(found, version, found.gauges().contains(gauge))) {
      return book.read(found);
    }
    seen(found, version).measured(gauge);
    return book.read(adjustments.saveAndFlush(found));
  }

  private static Surface surface(Setup setup, String id) {
    return setup
        .surface(id)
        .orElseThrow(() -> InvalidInputException.of("surface", id, Said.of("demand.idSurface")));
  }

  /**
   * What the gauge showed when the trim was zeroed.
   *
   * @param sizeMm how far the trailing edge went
   * @param way which way it went
   * @param choice what the pilot decided where it disagrees with the arithmetic
   */
  public record GaugeRead(
      @Text(max = 40) String surface, double sizeMm, RulerCheck.Went way, Gauge.Choice choice) {}

  /**
   * What came of turning.
   *
   * @param steps whole steps of the end that were made, plus longer
   * @param offMm how far the edge stands off its mark, as a size
   * @param way which way it stands off; {@code SAME} at the mark
   */
  public record MarkRead(
      @Text(max = 40) String surface,
      @Within(min = -200, max = 200) long steps,
      double offMm,
      RulerCheck.Went way) {}

  /** Notes how many steps it took to reach the mark, and how far off it the edge still is. */
  @Transactional
  public OpenAdjustment mark(long aircraftId, MarkRead read, int version) {
    Validation.check(read);
    AdjustmentEntity found = current(aircraftId);
    Setup setup = hangar.revision(aircraftId, found.revisionNumber()).setup();
    Surface surface = surface(setup, read.surface());
    double off = -RulerCheck.GaugeReading.zeroing(surface, read.offMm(), read.way()).mm();
    MarkSeen seen = new MarkSeen(read.surface(), read.steps(), off);
    Validation.check(seen);
    if (again(found, version, found.marks().contains(seen))) {
      return book.read(found);
    }
    seen(found, version).marked(seen);
    return book.read(adjustments.saveAndFlush(found));
  }

  /** Notes what a surface does at the end with a stick. */
  @Transactional
  public OpenAdjustment verify(long aircraftId, BenchVerification.Verified verified, int version) {
    AdjustmentEntity found = current(aircraftId);
    BenchVerification.check(hangar.revision(aircraftId, found.revisionNumber()).setup(), verified);
    if (again(found, version, found.verified().contains(verified))) {
      return book.read(found);
    }
    seen(found, version).verified(verified);
    return book.read(adjustments.saveAndFlush(found));
  }

  /** Takes what explains the measurements into the description: the model is as it was. */
  @Transactional
  public Revision correct(long aircraftId, Consent consent) {
    Validation.check(consent);
    Calibration learned = stories.standing(aircraftId).learned();
    Calibration.Named named = learned.named();
    if (named == null
        || named.cause() != consent.cause()
        || !named.subject().equals(consent.subject())) {
      throw new ConflictException(Said.of("refused.explanationChanged"));
    }
    Setup before = hangar.newest(aircraftId).setup();
    Suspect first = learned.explanations().get(0);
    return hangar.correct(
        aircraftId,
        consent.basedOn(),
        Correction.applied(before, first),
        words.of(Correction.reason(before, first), MOST_LETTERS));
  }

  /** The work order that is open for an aircraft. */
  @Transactional(readOnly = true)
  public Optional<OpenAdjustment> open(long aircraftId) {
    return book.entity(aircraftId).map(book::read);
  }

  /** Begins a work order; one that is begun with the same wish is taken up again. */
  @Transactional
  public OpenAdjustment begin(long aircraftId, long flightId, Wish wish) {
    hangar.alone(aircraftId);
    Flight flight = flights.flight(aircraftId, flightId);
    Revision newest = hangar.newest(aircraftId);
    FlownTrims flown = flown(aircraftId, wish);
    AdjustmentPlanner.plan(newest.setup(), flown);
    Optional<AdjustmentEntity> open = book.entity(aircraftId);
    if (open.isPresent()) {
      boolean same =
          open.get().revisionNumber() == newest.number()
              && open.get().flown(newest::setup).equals(flown);
      if (same) {
        return book.read(open.get());
      }
      throw new ConflictException(ALREADY_OPEN);
    }
    return book.read(
        adjustments.saveAndFlush(
            new AdjustmentEntity(flight, newest.number(), flown, clock.instant())));
  }

  /** Keeps the step the pilot is at, so that the work can be left and taken up again. */
  @Transactional
  public OpenAdjustment moveTo(long aircraftId, int step, int version) {
    AdjustmentEntity found = current(aircraftId);
    OpenAdjustment open = book.read(found);
    if (again(found, version, found.step() == step)) {
      return open;
    }
    seen(found, version);
    int last = open.plan().steps().size() - 1;
    if (step < 0 || step > last) {
      throw InvalidInputException.of("step", step, Said.of("demand.zeroToLast", "last", last));
    }
    if (step > found.step()) {
      passes(open, step);
    }
    found.moveTo(step);
    return book.read(adjustments.saveAndFlush(found));
  }

  /** A disagreement, and a mark nobody has looked at, stop the work where they are. */
  private void passes(OpenAdjustment open, int step) {
    List<String> disagreeing = OrderBook.disagreeing(open);
    if (!disagreeing.isEmpty()) {
      throw new ConflictException(
          Said.of("story.readingDisagrees", "surfaces", Said.list(disagreeing)));
    }
    open.bars().subList(open.step(), step).stream()
        .filter(bar -> !bar.isEmpty())
        .findFirst()
        .ifPresent(
            bar -> {
              throw new ConflictException(bar);
            });
  }

  /**
   * Closes the work order with a new revision: rods changed, trims at zero.
   *
   * @param because why it is closed though something is not as planned; empty where all is
   */
  @Transactional
  public Revision close(long aircraftId, int version, String because) {
    AdjustmentEntity found = current(aircraftId, version);
    OpenAdjustment open = book.read(found);
    if (open.step() != open.plan().steps().size() - 1) {
      throw InvalidInputException.of("step", open.step(), Said.of("demand.lastBeforeClosing"));
    }
    passes(open, open.step());
    refuse("adjustment.wrongWay", open, BenchVerification.Expected::wrongWay);
    refuse("adjustment.notLookedAt", open, BenchVerification.Expected::open);
    if (!open.notAsPlanned().isEmpty() && because.isBlank()) {
      throw new ConflictException(
          Said.of("adjustment.notAsPlanned", "what", Said.list(open.notAsPlanned())));
    }
    Flight flight = flights.flight(aircraftId, found.flightId());
    Said moved =
        Said.of(
            "log.trimsMoved",
            "day",
            flight.report().flownOn(),
            "trims",
            open.plan().trims().told(control -> true));
    Said reason =
        open.notAsPlanned().isEmpty()
            ? moved
            : Said.of("log.trimsMovedThough", "moved", moved, "because", because);
    Revision newest = hangar.newest(aircraftId);
    Setup before = hangar.revision(aircraftId, found.revisionNumber()).setup();
    // An order from before revisions were held back may lie below a newer one: its rods are turned.
    Setup after = open.plan().onto(before, newest.setup());
    Revision made =
        hangar.adjusted(
            aircraftId, newest.number(), after, words.of(reason, MOST_LETTERS), found.id());
    found.close(made.number(), clock.instant());
    return made;
  }

  private void refuse(
      String code, OpenAdjustment open, Predicate<BenchVerification.Expected> wrong) {
    List<String> names =
        open.verification().stream()
            .filter(wrong)
            .map(BenchVerification.Expected::name)
            .distinct()
            .toList();
    if (!names.isEmpty()) {
      throw new ConflictException(Said.of(code, "surfaces", Said.list(names)));
    }
  }

  /** Gives the work order up; the setup stays as it was. */
  @Transactional
  public void abandon(long aircraftId, int version) {
    current(aircraftId, version).abandon(clock.instant());
  }

  private AdjustmentEntity current(long aircraftId, int version) {
    return seen(current(aircraftId), version);
  }

  private AdjustmentEntity current(long aircraftId) {
    return book.entity(aircraftId)
        .orElseThrow(() -> new NotFoundException("missing.workOrder", aircraftId));
  }

  /** The same sent twice, since its answer was lost on the way, is not a page that came late. */
  private static boolean again(AdjustmentEntity found, int version, boolean stands) {
    return stands && found.version() == version + 1;
  }

  private static AdjustmentEntity seen(AdjustmentEntity found, int version) {
    if (found.version() != version) {
      throw new ConflictException(Said.of("refused.workOrderMoved"));
    }
    return found;
  }

  /** What became of a flight's trims: the revisions whose rods were turned for them. */
  @Transactional(readOnly = true)
  public List<Integer> madeOf(long aircraftId, long flightId) {
    return adjustments
        .findByAircraftIdAndFlightIdAndState(aircraftId, flightId, AdjustmentEntity.State.CLOSED)
        .stream()
        .map(AdjustmentEntity::resultRevision)
        .toList();
  }
}
