package hightally.app.benchsetup;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.aircraft.Revision;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.core.benchsetup.AnswerComparison;
import hightally.core.benchsetup.BenchLook;
import hightally.core.benchsetup.BenchSetUp;
import hightally.core.benchsetup.BenchStep;
import hightally.core.benchsetup.CentringMethod;
import hightally.core.benchsetup.PartNoted;
import hightally.core.benchsetup.SafetyGate;
import hightally.core.benchsetup.SafetyGate.Barred;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.benchsetup.StepResult;
import hightally.core.benchsetup.WaysSeen;
import hightally.core.edit.Mend;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Guided set-ups: begun, answered step by step, left and taken up again, closed. */
@Service
public class BenchSetUps implements PageOfModel {
  private static final int KEPT = 60;

  private final BenchSetUpRepository setUps;
  private final BenchAnswerRepository answers;
  private final PartChangeRepository changes;
  private final Hangar hangar;
  private final Clock clock;
  private final EntityManager entities;
  private final Cache<Known, WaysSeen> ways = Caffeine.newBuilder().maximumSize(KEPT).build();

  BenchSetUps(
      BenchSetUpRepository setUps,
      BenchAnswerRepository answers,
      PartChangeRepository changes,
      Hangar hangar,
      Clock clock,
      EntityManager entities) {
    this.changes = changes;
    this.entities = entities;
    this.setUps = setUps;
    this.answers = answers;
    this.hangar = hangar;
    this.clock = clock;
  }

  /** The set-up under way, if there is one. */
  @Transactional(readOnly = true)
  public Optional<OpenSetUp> open(long aircraftId) {
    return entity(aircraftId).map(this::read);
  }

  /** Begins one; one of the same school that is under way is taken up again. */
  @Transactional
  public OpenSetUp begin(long aircraftId, CentringMethod school) {
    hangar.alone(aircraftId);
    Optional<BenchSetUpEntity> underWay = entity(aircraftId);
    if (underWay.isPresent()) {
      if (underWay.get().school() == school) {
        return read(underWay.get());
      }
      throw new ConflictException(Said.of("refused.setUpOpen"));
    }
    String first = BenchSetUp.steps(hangar.newest(aircraftId).setup()).get(0).id();
    return read(setUps.save(new BenchSetUpEntity(aircraftId, school, first, now())));
  }

  /**
   * Moves to a step, and keeps an answer.
   *
   * @param answer null to only move
   */
  @Transactional
  public OpenSetUp moveTo(long aircraftId, int version, String step, StepAnswer answer) {
    BenchSetUpEntity found = seen(aircraftId, version);
    Revision newest = hangar.newest(aircraftId);
    List<BenchStep> steps = BenchSetUp.steps(newest.setup());
    named(steps, "step", step);
    if (answer != null) {
      BenchStep asked = named(steps, "answer.step", Validation.check(answer).step());
      fits(asked, answer);
      notBarred(found, "answer.step", asked.id());
      answers.saveAndFlush(
          new BenchAnswerEntity(found, newest.number(), answer, asked.title(), now()));
    }
    notBarred(found, "step", step);
    found.moveTo(step);
    return read(setUps.saveAndFlush(found));
  }

  /** Going on to what is not safe yet is refused. */
  private void notBarred(BenchSetUpEntity entity, String field, String step) {
    Standing standing = standing(entity, hangar.newest(entity.aircraftId()));
    for (Barred barred : SafetyGate.barred(standing.setup(), standing.given())) {
      if (barred.step().equals(step)) {
        throw InvalidInputException.of(
            field, step, Said.of("demand.stepOpen", "why", barred.why()));
      }
    }
  }

  /** Closes it; what was measured stays. */
  @Transactional
  public void close(long aircraftId, int version) {
    seen(aircraftId, version).close(now());
  }

  /** Everything ever measured on a model, newest first. */
  @Transactional(readOnly = true)
  public List<Measurement> measurements(long aircraftId) {
    List<BenchAnswerEntity> all =
        answers.findByAircraftIdOrderByIdDesc(aircraftId).stream()
            .filter(one -> WaysSeen.isTold(one.answer()))
            .toList();
    Map<Integer, Setup> then = new HashMap<>();
    List<BenchLook> looks =
        all.stream()
            .filter(one -> WaysSeen.isAbout(one.answer()))
            .map(one -> look(one, then))
            .toList();
    Iterator<Said> logged = WaysSeen.log(looks).iterator();
    return all.stream()
        .map(
            one ->
                WaysSeen.isAbout(one.answer())
                    ? one.measurement().ofLook(logged.next())
                    : one.measurement())
        .toList();
  }

  /** An answer with the setup that was on the bench, each read once. */
  private BenchLook look(BenchAnswerEntity one, Map<Integer, Setup> then) {
    Measurement measurement = one.measurement();
    Setup setup =
        then.computeIfAbsent(
            measurement.revisionNumber(),
            number -> hangar.revision(one.aircraftId(), number).setup());
    return new BenchLook(one.answer(), setup, measurement.answeredAt());
  }

  /** Everything ever answered on a model, oldest first, with what was on the bench. */
  @Transactional(readOnly = true)
  public List<BenchLook> looks(long aircraftId) {
    Map<Integer, Setup> then = new HashMap<>();
    List<BenchLook> all =
        new ArrayList<>(
            answers.findByAircraftIdOrderByIdDesc(aircraftId).stream()
                .map(one -> look(one, then))
                .toList());
    Collections.reverse(all);
    return all;
  }

  /** What tells apart all that may have been seen: answers are only ever added. */
  private record Known(
      long aircraft, int revision, int looks, StepAnswer newest, Instant at, int parts) {}

  /**
   * Which surface was seen to move and which way, worked out once for what was seen.
   *
   * @param looks all there are of it
   */
  public WaysSeen ways(long aircraftId, Revision newest, List<BenchLook> looks) {
    List<PartNoted> parts =
        looks.isEmpty()
            ? List.of()
            : changes.findByAircraftIdOrderByIdDesc(aircraftId).stream()
                .map(PartChangeEntity::read)
                .map(one -> new PartNoted(one.change(), one.changedAt()))
                .toList();
    int count = looks.size();
    BenchLook last = count == 0 ? null : looks.get(count - 1);
    Known known =
        new Known(
            aircraftId,
            newest.number(),
            count,
            last == null ? null : last.answer(),
            last == null ? Instant.MIN : last.at(),
            parts.size());
    return ways.get(known, one -> WaysSeen.of(newest.setup(), looks, parts));
  }

  /** The version of the set-up under way. */
  int version(long aircraftId) {
    return entity(aircraftId)
        .orElseThrow(() -> new NotFoundException("missing.setUp", aircraftId))
        .version();
  }

  /** Refuses to look at surfaces in a set-up that moved on, or before the model is harmless. */
  void atWays(long aircraftId, int version) {
    notBarred(seen(aircraftId, version), "step", WaysSeen.STEP);
  }

  /** Keeps what was seen of the ways at a revision; the version of the set-up from then on. */
  int keepWays(long aircraftId, int version, int revision, List<StepAnswer> seen) {
    BenchSetUpEntity found = seen(aircraftId, version);
    for (StepAnswer one : seen) {
      answers.save(new BenchAnswerEntity(found, revision, one, Said.of("guide.ways"), now()));
    }
    // What is kept of it is another, so whoever saw it before has to see it again.
    entities.lock(found, LockModeType.PESSIMISTIC_FORCE_INCREMENT);
    return found.version();
  }

  /** As exact as the database keeps it. */
  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MICROS);
  }

  private static BenchStep named(List<BenchStep> steps, String field, String id) {
    return steps.stream()
        .filter(step -> step.id().equals(id))
        .findFirst()
        .orElseThrow(() -> InvalidInputException.of(field, id, Said.of("demand.stepOfSetUp")));
  }

  private static void fits(BenchStep step, StepAnswer answer) {
    boolean choice =
        step.choices().isEmpty()
            ? answer.choice().isEmpty()
            : step.choices().stream().anyMatch(one -> one.id().equals(answer.choice()));
    if (!choice) {
      throw InvalidInputException.of(
          "answer.choice", answer.choice(), Said.of("demand.oneStepsChoices"));
    }
    if (answer.values().size() != step.figures().size()) {
      throw InvalidInputException.of(
          "answer.values",
          Said.of("given.figures", "count", answer.values().size()),
          Said.of("given.figures", "count", step.figures().size()));
    }
  }

  private BenchSetUpEntity seen(long aircraftId, int version) {
    BenchSetUpEntity found =
        entity(aircraftId).orElseThrow(() -> new NotFoundException("missing.setUp", aircraftId));
    if (found.version() != version) {
      throw new ConflictException(Said.of("refused.setUpMoved"));
    }
    return found;
  }

  private Optional<BenchSetUpEntity> entity(long aircraftId) {
    return setUps.findFirstByAircraftIdAndState(aircraftId, BenchSetUpEntity.State.OPEN);
  }

  /**
   * What holds of all that was answered.
   *
   * @param latest the newest answer of every step it still says something about
   * @param again steps whose answer no longer does
   */
  private record Standing(Setup setup, Map<String, BenchAnswerEntity> latest, Set<String> again) {
    List<StepAnswer> given() {
      return latest.values().stream().map(BenchAnswerEntity::answer).toList();
    }
  }

  private Standing standing(BenchSetUpEntity entity, Revision newest) {
    Map<String, BenchAnswerEntity> latest = new LinkedHashMap<>();
    Set<String> again = new LinkedHashSet<>();
    Map<Integer, Setup> then = new HashMap<>();
    then.put(newest.number(), newest.setup());
    for (BenchAnswerEntity answer : answers.findByBenchSetUpIdOrderById(entity.id())) {
      if (WaysSeen.isAbout(answer.answer())) {
        continue;
      }
      int revision = answer.measurement().revisionNumber();
      String step = answer.answer().step();
      Setup on =
          then.computeIfAbsent(
              revision, number -> hangar.revision(entity.aircraftId(), number).setup());
      if (BenchSetUp.holds(answer.answer(), on, newest.setup())) {
        latest.put(step, answer);
        again.remove(step);
      } else {
        latest.remove(step);
        again.add(step);
      }
    }
    return new Standing(newest.setup(), latest, again);
  }

  private static List<StepResult> verdicts(BenchSetUpEntity entity, Standing standing) {
    return AnswerComparison.verdicts(standing.setup(), entity.school(), standing.given());
  }

  /**
   * Changes that go with the answer to a step, not tried yet.
   *
   * @param setup what they are changes of
   */
  record Proposed(Setup setup, List<Mend> mends) {}

  /** What the answer to a step proposes; nothing where it has none. */
  @Transactional(readOnly = true)
  Proposed proposed(long aircraftId, String step) {
    Revision newest = hangar.newest(aircraftId);
    List<Mend> mends =
        entity(aircraftId).stream()
            .flatMap(entity -> verdicts(entity, standing(entity, newest)).stream())
            .filter(verdict -> verdict.step().equals(step))
            .flatMap(verdict -> verdict.mends().stream())
            .toList();
    return new Proposed(newest.setup(), mends);
  }

  private OpenSetUp read(BenchSetUpEntity entity) {
    Revision newest = hangar.newest(entity.aircraftId());
    List<BenchStep> steps = BenchSetUp.steps(newest.setup());
    Standing standing = standing(entity, newest);
    List<String> ids = steps.stream().map(BenchStep::id).toList();
    WaysSeen seen = ways(entity.aircraftId(), newest, looks(entity.aircraftId()));
    List<StepResult> verdicts = new ArrayList<>(verdicts(entity, standing));
    seen.verdict().ifPresent(verdicts::add);
    List<String> again = new ArrayList<>(standing.again());
    if (seen.changed()) {
      again.add(WaysSeen.STEP);
    }
    return new OpenSetUp(
        entity.school(),
        entity.startedAt(),
        Math.max(0, ids.indexOf(entity.step())),
        steps,
        standing.latest().values().stream().map(BenchAnswerEntity::measurement).toList(),
        verdicts.stream().map(StepResult::shown).toList(),
        SafetyGate.barred(newest.setup(), standing.given()),
        again,
        entity.version());
  }

  @Override
  public String told() {
    return "bench_set_up";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    open(aircraftId);
    measurements(aircraftId);
    looks(aircraftId);
  }
}
