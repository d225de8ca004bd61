package hightally.app.trimming;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.aircraft.Revision;
import hightally.app.aircraft.RevisionHeader;
import hightally.app.benchsetup.NotedPartChange;
import hightally.app.benchsetup.PartChanges;
import hightally.app.flightlog.Flight;
import hightally.app.flightlog.FlightLog;
import hightally.app.history.AircraftHistories;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.program.TypedByThen;
import hightally.core.airframe.Pack;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.flightlog.TrimSeries;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.trimming.Coach;
import hightally.core.trimming.CoachAdvice;
import hightally.core.trimming.FlownState;
import hightally.core.trimming.Purpose;
import hightally.core.trimming.TestCard;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import hightally.core.trimming.TrimTest;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where every model stands in its trim flights, and the changes at the model they asked for. */
@Service
public class TrimCoach implements PageOfModel {
  private static final double PERCENT = 100;

  private final Hangar hangar;
  private final FlightLog flights;
  private final AircraftHistories stories;
  private final PartChanges changes;
  private final Purposes wishes;
  private final SkippedTestRepository skipped;
  private final ModelChangeRepository jobs;
  private final TypedByThen typed;
  private final Clock clock;

  TrimCoach(
      Hangar hangar,
      FlightLog flights,
      AircraftHistories stories,
      PartChanges changes,
      Purposes wishes,
      SkippedTestRepository skipped,
      ModelChangeRepository jobs,
      TypedByThen typed,
      Clock clock) {
    this.hangar = hangar;
    this.flights = flights;
    this.stories = stories;
    this.changes = changes;
    this.wishes = wishes;
    this.skipped = skipped;
    this.jobs = jobs;
    this.typed = typed;
    this.clock = clock;
  }

  /**
   * The coach's page.
   *
   * @param cards how each test is flown, in the order of the plan
   * @param job the change at the model that is open; absent where none is
   * @param goal what the next flight is for: the open job, the next test, or a wish
   */
  public record CoachSheet(
      Coach.CoachPlan plan,
      List<TestCard> cards,
      @Absentable ModelChange job,
      List<ModelChange> jobs,
      Said goal) {}

  /** The whole of it for a model. */
  @Transactional(readOnly = true)
  public CoachSheet sheet(long aircraftId) {
    Setup setup = hangar.newest(aircraftId).setup();
    Coach.CoachPlan plan = plan(aircraftId);
    List<TestCard> cards =
        plan.tests().stream().map(one -> TestCard.of(setup, one.test())).toList();
    List<ModelChange> all = jobs(aircraftId);
    ModelChange open =
        all.stream().filter(one -> one.state() == ModelChange.State.OPEN).findFirst().orElse(null);
    return new CoachSheet(plan, cards, open, all, goal(aircraftId, plan, open));
  }

  private Said goal(long aircraftId, Coach.CoachPlan plan, ModelChange open) {
    if (open != null) {
      return Said.of("coach.goalJob", "lever", open.lever());
    }
    Optional<Purpose.Wish> wish =
        wishes.of(aircraftId).wishes().regimes().stream()
            .filter(one -> !one.reached() && !one.feel().isBlank())
            .findFirst();
    boolean feel = plan.nextTest().map(one -> one.test().test() == TrimTest.FEEL).orElse(true);
    return feel && wish.isPresent()
        ? Said.of("wish.goal", "regime", wish.get().regime(), "feel", wish.get().feel())
        : plan.goal();
  }

  private Coach.CoachPlan plan(long aircraftId) {
    List<Flight> newestFirst = flights.all(aircraftId);
    List<ModelChange> done =
        jobs(aircraftId).stream().filter(one -> one.state() == ModelChange.State.DONE).toList();
    TypedByThen.Typed byThen = typed.of(aircraftId);
    List<NotedPartChange> parts = changes.of(aircraftId);
    List<Coach.Flown> flown = new ArrayList<>();
    List<Told> counted = told(newestFirst);
    Map<Long, Integer> revisions = new HashMap<>();
    for (Told told : counted) {
      Flight one = newestFirst.get(told.which());
      revisions.computeIfAbsent(
          one.id(), id -> byThen.revision(one.revisionNumber(), one.notedAt()));
    }
    Map<Integer, Setup> setups = hangar.setups(aircraftId, Set.copyOf(revisions.values()));
    for (Told told : counted) {
      Flight one = newestFirst.get(told.which());
      Setup setup = setups.get(revisions.get(one.id()));
      double cgMm = balance(setup, newestFirst, told.which());
      flown.add(
          new Coach.Flown(
              one.id(),
              told.result(),
              snapshot(setup, one, cgMm, done),
              since(parts, one.notedAt())));
    }
    List<Coach.Skipped> left =
        skipped.findByAircraftIdOrderById(aircraftId).stream()
            .map(SkippedTestEntity::read)
            .toList();
    FlownState now = now(aircraftId, newestFirst, done);
    boolean moved =
        !newestFirst.isEmpty()
            && Math.abs(now.cgMm() - balance(now.setup(), newestFirst, 0))
                > now.setup().house().sameCgMm();
    return Coach.plan(
        new Coach.Asked(
            now,
            flown,
            left,
            moved ? Map.of() : level(aircraftId),
            wishes.of(aircraftId).wishes().turnedRound()));
  }

  /** What a flight showed of a test. */
  private record Told(int which, TestResult result) {}

  /** What has a say, the oldest first. */
  private static List<Told> told(List<Flight> newestFirst) {
    int last = newestFirst.size() - 1;
    return Coach.newestOf(
        newestFirst.size(),
        i ->
            newestFirst.get(last - i).seen().results().stream()
                .map(result -> new Told(last - i, result))
                .toList(),
        Told::result);
  }

  private static List<PartKind> since(List<NotedPartChange> parts, Instant at) {
    return parts.stream()
        .filter(one -> one.changedAt().isAfter(at))
        .map(one -> one.change().kind())
        .toList();
  }

  /**
   * Where it balanced in a flight: as noted, or as noted last before; where it never was, as its
   * pack says, and without one as it is meant to.
   */
  private static double balance(Setup setup, List<Flight> newestFirst, int which) {
    String battery = newestFirst.get(which).report().battery();
    return newestFirst.subList(which, newestFirst.size()).stream()
        .map(one -> one.report().cgMm())
        .filter(Objects::nonNull)
        .findFirst()
        .or(() -> pack(setup, battery).map(Pack::cgMm))
        .orElse(setup.balance().targetMm());
  }

  private static FlownState snapshot(
      Setup setup, Flight flight, double cgMm, List<ModelChange> done) {
    return new FlownState(
        setup,
        flight.report().battery(),
        cgMm,
        atModel(done.stream().filter(one -> one.closedAt().isBefore(flight.notedAt())).toList()));
  }

  private static Map<TrimLever, Double> atModel(List<ModelChange> done) {
    Map<TrimLever, Double> atModel = new EnumMap<>(TrimLever.class);
    done.stream()
        .filter(one -> one.lever() != TrimLever.BALANCE)
        .forEach(one -> atModel.merge(one.lever(), one.to() - one.from(), Double::sum));
    return atModel;
  }

  /** The model as it stands: the balance of the last flight, and what has been moved since. */
  private FlownState now(long aircraftId, List<Flight> newestFirst, List<ModelChange> done) {
    Revision newest = hangar.newest(aircraftId);
    Setup setup = newest.setup();
    if (newestFirst.isEmpty()) {
      Pack first = setup.balance().packs().stream().findFirst().orElse(null);
      return new FlownState(
          setup,
          first == null ? "" : first.name(),
          first == null ? setup.balance().targetMm() : first.cgMm(),
          atModel(done));
    }
    Flight last = newestFirst.get(0);
    Setup flown = hangar.revision(aircraftId, last.revisionNumber()).setup();
    String pack = last.report().battery();
    Optional<Pack> then = pack(flown, pack);
    Optional<Pack> there = pack(setup, pack);
    double moved =
        then.isPresent() && there.isPresent()
            ? there.get().cgMm() - then.get().cgMm()
            : done.stream()
                .filter(one -> one.lever() == TrimLever.BALANCE)
                .filter(one -> one.closedAt().isAfter(last.notedAt()))
                .mapToDouble(one -> shiftMm(setup, one))
                .sum();
    return new FlownState(setup, pack, balance(flown, newestFirst, 0) + moved, atModel(done));
  }

  /** How far a job moves the balance point, mm, plus aft. */
  private static double shiftMm(Setup setup, ModelChange job) {
    return (job.to() - job.from()) / PERCENT * TrimLeverValues.chordMm(setup);
  }

  private static Optional<Pack> pack(Setup setup, String name) {
    return setup.balance().packs().stream().filter(one -> one.name().equals(name)).findFirst();
  }

  /** How far the level trim of every phase has come. */
  private Map<String, Coach.LevelTrim> level(long aircraftId) {
    RevisionHeader since =
        hangar
            .headers(aircraftId, List.of(hangar.newestHeader(aircraftId).trimsHoldSince()))
            .get(0);
    // An adjustment keeps every phase flying as it was trimmed, until something else is moved.
    boolean kept =
        since.fromAdjustment()
            && done(aircraftId).stream().noneMatch(one -> one.closedAt().isAfter(since.createdAt()))
            && changes.of(aircraftId).stream()
                .noneMatch(one -> one.changedAt().isAfter(since.createdAt()));
    Map<String, Coach.LevelTrim> level = new HashMap<>();
    for (TrimSeries series : stories.standing(aircraftId).series()) {
      boolean counts = series.points().stream().anyMatch(TrimSeries.TrimPoint::counts);
      Coach.LevelTrim one =
          series.settled()
              ? Coach.LevelTrim.SETTLED
              : counts || kept ? Coach.LevelTrim.FLOWN : Coach.LevelTrim.OPEN;
      level.merge(series.phase(), one, (a, b) -> a.compareTo(b) < 0 ? a : b);
    }
    return level;
  }

  private List<ModelChange> jobs(long aircraftId) {
    return jobs.findByAircraftIdOrderById(aircraftId).stream()
        .map(ModelChangeEntity::read)
        .toList();
  }

  /** A test to leave out. */
  public record Skip(TestCase test, @Text(min = 3, max = 300) String because) {}

  /** Leaves a test out, with a reason. */
  @Transactional
  public void skip(long aircraftId, Skip skip) {
    Validation.check(skip);
    hangar.alone(aircraftId);
    known(aircraftId, skip.test());
    skipped
        .findByAircraftIdAndTestAndPart(aircraftId, skip.test().test(), skip.test().part())
        .ifPresentOrElse(
            found -> found.because(skip.because()),
            () ->
                skipped.save(
                    new SkippedTestEntity(
                        aircraftId, skip.test(), skip.because(), clock.instant())));
  }

  /** Takes a test up again. */
  @Transactional
  public void takeUp(long aircraftId, TestCase test) {
    hangar.alone(aircraftId);
    known(aircraftId, test);
    skipped
        .findByAircraftIdAndTestAndPart(aircraftId, test.test(), test.part())
        .ifPresent(skipped::delete);
  }

  private Coach.TestStanding known(long aircraftId, TestCase test) {
    List<Coach.TestStanding> tests = plan(aircraftId).tests();
    return tests.stream()
        .filter(one -> one.test().equals(test))
        .findFirst()
        .orElseThrow(
            () ->
                InvalidInputException.of(
                    "test",
                    test.told(),
                    Said.of(
                        "demand.testOfModel",
                        "known",
                        TestCase.told(tests.stream().map(Coach.TestStanding::test).toList()))));
  }

  /** The job a request with that key has begun. */
  @Transactional(readOnly = true)
  public Optional<ModelChange> begunBy(long aircraftId, String requestKey) {
    return jobs.findByAircraftIdAndRequestKey(aircraftId, requestKey).map(ModelChangeEntity::read);
  }

  /** Begins the change at the model a test asks for now. */
  @Transactional
  public ModelChange begin(long aircraftId, TestCase test, String requestKey) {
    hangar.alone(aircraftId);
    CoachAdvice advice = known(aircraftId, test).advice();
    if (advice == null || advice.making() != CoachAdvice.Making.BENCH) {
      throw new ConflictException(Said.of("refused.noModelChange"));
    }
    if (jobs(aircraftId).stream().anyMatch(one -> one.state() == ModelChange.State.OPEN)) {
      throw new ConflictException(Said.of("refused.changeOpen"));
    }
    return jobs.saveAndFlush(
            new ModelChangeEntity(aircraftId, test, advice, clock.instant(), requestKey))
        .read();
  }

  /**
   * A job that is done or given up.
   *
   * @param by how: for the balance the pack moved or ballast, for all else as advised
   */
  public record Closed(int version, boolean done, TrimLeverValues.BalanceBy by) {}

  /** Closes a job; one about the balance makes a revision with the packs where they are now. */
  @Transactional
  public ModelChange close(long aircraftId, long jobId, Closed closed, String reason) {
    hangar.alone(aircraftId);
    ModelChangeEntity found = job(aircraftId, jobId);
    ModelChange job = found.read();
    if (job.version() != closed.version() || job.state() != ModelChange.State.OPEN) {
      throw new ConflictException(Said.of("refused.changeClosed"));
    }
    Integer revision = null;
    if (closed.done() && job.lever() == TrimLever.BALANCE) {
      revision = balance(aircraftId, job, closed.by(), reason);
    }
    found.close(
        closed.done() ? ModelChange.State.DONE : ModelChange.State.DROPPED,
        revision,
        clock.instant());
    return jobs.saveAndFlush(found).read();
  }

  private ModelChangeEntity job(long aircraftId, long jobId) {
    return jobs.findById(jobId)
        .filter(one -> one.aircraftId() == aircraftId)
        .orElseThrow(() -> new NotFoundException("missing.changeAtTheModel", jobId));
  }

  private Integer balance(
      long aircraftId, ModelChange job, TrimLeverValues.BalanceBy by, String reason) {
    Revision newest = hangar.newest(aircraftId);
    if (newest.setup().balance().packs().isEmpty()) {
      return null;
    }
    if (by == TrimLeverValues.BalanceBy.AS_ADVISED) {
      throw InvalidInputException.of(
          "by", by.name(), Said.of("demand.oneOf", "names", "PACK, BALLAST"));
    }
    double shift = shiftMm(newest.setup(), job);
    String pack = flights.newest(aircraftId, 0).map(one -> one.report().battery()).orElse("");
    Setup moved = TrimLeverValues.balanced(newest.setup(), pack, shift, by);
    return hangar.revise(aircraftId, newest.number(), moved, reason).number();
  }

  /** The way back of a change that was done: what stood there before is there again. */
  @Transactional
  public ModelChange back(long aircraftId, long jobId) {
    hangar.alone(aircraftId);
    ModelChangeEntity found = job(aircraftId, jobId);
    ModelChange job = found.read();
    boolean newest =
        done(aircraftId).stream()
            .filter(one -> one.lever() == job.lever())
            .reduce((one, other) -> other)
            .filter(one -> one.id() == jobId)
            .isPresent();
    if (!newest || job.resultRevision() != null) {
      throw new ConflictException(Said.of("refused.notLastChange"));
    }
    ModelChangeEntity reverse = ModelChangeEntity.reversing(found, clock.instant());
    return jobs.saveAndFlush(reverse).read();
  }

  /**
   * Changes at the model that were done, newest last: they part the trims flown before and after.
   */
  @Transactional(readOnly = true)
  public List<ModelChange> done(long aircraftId) {
    return jobs(aircraftId).stream()
        .filter(one -> one.state() == ModelChange.State.DONE)
        .sorted(Comparator.comparing(ModelChange::closedAt))
        .toList();
  }

  @Override
  public String told() {
    return "coach";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    sheet(aircraftId);
    done(aircraftId);
  }
}
