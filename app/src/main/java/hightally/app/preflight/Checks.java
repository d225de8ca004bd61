package hightally.app.preflight;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.aircraft.Revision;
import hightally.app.benchsetup.NotedPartChange;
import hightally.app.benchsetup.PartChanges;
import hightally.app.flightlog.CheckSource;
import hightally.app.platform.ConflictException;
import hightally.app.platform.KeptRows;
import hightally.app.platform.NotFoundException;
import hightally.app.trimming.Purposes;
import hightally.core.airframe.Pack;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.preflight.CheckAnswer;
import hightally.core.preflight.CheckKind;
import hightally.core.preflight.CheckStep;
import hightally.core.preflight.CheckSteps;
import hightally.core.preflight.Due;
import hightally.core.preflight.ModelClearance.CheckLook;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.trimming.Purpose;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;

/** The checks of every model: begun, answered step by step, resumed, kept. */
@Service
public class Checks implements CheckSource, PageOfModel {
  private static final Pattern NUMBER = Pattern.compile("\\d{1,15}");

  private static final int SHOWN = 20;

  /** What lies further back has no say any more. */
  private static final int LOOKED_AT = 200;

  private static final int KEPT = 500;

  /** They hold their answers; what they were made from only where it was asked for. */
  private static final int LOOKS_KEPT = 2_000;

  private final CheckRunRepository runs;
  private final Hangar hangar;
  private final Purposes wishes;
  private final PartChanges changes;
  private final Clock clock;

  /** Steps are the same for the same setup, pack and wishes. */
  private final Cache<Asked, List<CheckStep>> made =
      Caffeine.newBuilder().maximumSize(KEPT).build();

  private final KeptRows<CheckOutline> outlines = new KeptRows<>(KEPT);
  private final KeptRows<CheckLook> looks = new KeptRows<>(LOOKS_KEPT);

  Checks(
      CheckRunRepository runs, Hangar hangar, Purposes wishes, PartChanges changes, Clock clock) {
    this.runs = runs;
    this.hangar = hangar;
    this.wishes = wishes;
    this.changes = changes;
    this.clock = clock;
  }

  /** The newest checks, newest first, and what is due besides. */
  public record CheckSheet(List<CheckOutline> runs, List<Due> due) {}

  /**
   * A check as a list shows it.
   *
   * @param answered how many of its steps have their answer
   * @param faulty whether something was found that it did not pass by
   */
  public record CheckOutline(
      long id,
      int revisionNumber,
      CheckKind kind,
      String pack,
      CheckRun.Stage state,
      int steps,
      int answered,
      boolean faulty,
      Instant createdAt) {
    static CheckOutline of(CheckRun run) {
      return new CheckOutline(
          run.id(),
          run.revisionNumber(),
          run.kind(),
          run.pack(),
          run.state(),
          run.steps().size(),
          run.answers().size(),
          !run.judged().reasons().isEmpty(),
          run.createdAt());
    }
  }

  /** All there is to see of a model's checks. */
  @Transactional(readOnly = true)
  public CheckSheet sheet(long aircraftId) {
    hangar.newestHeader(aircraftId);
    List<CheckOutline> shown =
        outlines.of(rows(aircraftId, SHOWN), made(aircraftId, one -> CheckOutline.of(read(one))));
    return new CheckSheet(shown, due(aircraftId));
  }

  /** What is due besides the check before every flight. */
  @Transactional(readOnly = true)
  public List<Due> due(long aircraftId) {
    List<NotedPartChange> parts = changes.of(aircraftId);
    return Due.of(
        since(parts, aircraftId, CheckKind.FULL), since(parts, aircraftId, CheckKind.RANGE));
  }

  /** What was changed since a kind of check was last passed; null where it never was. */
  private List<PartKind> since(List<NotedPartChange> parts, long aircraftId, CheckKind kind) {
    Optional<CheckRunEntity> last =
        runs.findFirstByAircraftIdAndKindAndStateOrderByCreatedAtDescIdDesc(
            aircraftId, kind, CheckRun.Stage.DONE);
    if (last.isEmpty() || !read(last.get()).judged().passed()) {
      return null;
    }
    Instant at = last.get().createdAt();
    return parts.stream()
        .filter(one -> one.changedAt().isAfter(at))
        .map(one -> one.change().kind())
        .toList();
  }

  private CheckRun read(CheckRunEntity one) {
    return one.read(steps(one));
  }

  private List<CheckStep> steps(CheckRunEntity one) {
    Setup setup = hangar.revision(one.aircraftId(), one.revisionNumber()).setup();
    Purpose wished = wishes.of(one.aircraftId()).wishes();
    return made.get(
        new Asked(one.kind(), setup, wished, one.pack()),
        asked -> CheckSteps.of(asked.kind, asked.setup, asked.wishes, asked.pack));
  }

  /** What the steps of a check are made from. */
  private record Asked(CheckKind kind, Setup setup, Purpose wishes, String pack) {}

  /** All checks of a model, newest first. */
  @Transactional(readOnly = true)
  public List<CheckLook> looks(long aircraftId) {
    return looks.of(rows(aircraftId, LOOKED_AT), made(aircraftId, this::look));
  }

  /** Rows in which something can be found only with the wishes they are read with. */
  private List<KeptRows.Row> rows(long aircraftId, int most) {
    int wished = wishes.of(aircraftId).version();
    return runs.rows(aircraftId, Limit.of(most)).stream().map(one -> one.besides(wished)).toList();
  }

  private <V> Function<List<Long>, Map<KeptRows.Row, V>> made(
      long aircraftId, Function<CheckRunEntity, V> made) {
    int wished = wishes.of(aircraftId).version();
    return numbers -> {
      Map<KeptRows.Row, V> found = new HashMap<>();
      for (CheckRunEntity one : runs.findAllById(numbers)) {
        found.put(new KeptRows.Row(one.id(), one.version(), wished), made.apply(one));
      }
      return found;
    };
  }

  /** What a check was made from is read only where somebody has to know. */
  private CheckLook look(CheckRunEntity one) {
    long aircraftId = one.aircraftId();
    int revision = one.revisionNumber();
    return one.look(
        SingletonSupplier.of(() -> steps(one)),
        SingletonSupplier.of(() -> hangar.revision(aircraftId, revision).setup()));
  }

  /** Every check as it would begin now, with each pack and without one; none is begun. */
  @Transactional(readOnly = true)
  public List<CheckRun> ahead(long aircraftId) {
    Revision newest = hangar.revision(aircraftId, hangar.newestHeader(aircraftId).number());
    List<String> packs =
        Stream.concat(Stream.of(""), newest.setup().balance().packs().stream().map(Pack::name))
            .distinct()
            .toList();
    List<CheckRun> found = new ArrayList<>();
    for (CheckKind kind : CheckKind.values()) {
      for (String pack : packs) {
        found.add(
            read(
                new CheckRunEntity(
                    aircraftId, newest.number(), kind, pack, clock.instant(), null)));
      }
    }
    return found;
  }

  /**
   * A check to begin.
   *
   * @param pack the pack's name; empty for none
   */
  public record Begun(CheckKind kind, @Text(min = 0, max = 80) String pack) {}

  /**
   * Of what and when a check was begun, where the program was out of reach.
   *
   * @param revision the revision its steps were made from; 0 for the newest
   */
  public record Then(int revision, Instant at) {}

  /** The check a request with that key has begun. */
  @Transactional(readOnly = true)
  public Optional<CheckRun> begunBy(long aircraftId, String requestKey) {
    return runs.findByAircraftIdAndRequestKey(aircraftId, requestKey).map(this::read);
  }

  /** Begins a check; one that is open is broken off. */
  @Transactional
  public CheckRun begin(long aircraftId, Begun begun, Then then, String requestKey) {
    Validation.check(begun);
    hangar.alone(aircraftId);
    runs.findFirstByAircraftIdAndState(aircraftId, CheckRun.Stage.OPEN)
        .ifPresent(
            open -> {
              open.close(CheckRun.Stage.BROKEN_OFF, clock.instant());
              runs.saveAndFlush(open);
            });
    int revision =
        then.revision == 0
            ? hangar.newestHeader(aircraftId).number()
            : hangar.revision(aircraftId, then.revision).number();
    return read(
        runs.saveAndFlush(
            new CheckRunEntity(
                aircraftId, revision, begun.kind(), begun.pack(), then.at, requestKey)));
  }

  /** The number of the check a request with that key has begun. */
  @Transactional(readOnly = true)
  public long numberOf(long aircraftId, String requestKey) {
    return runs.findByAircraftIdAndRequestKey(aircraftId, requestKey)
        .orElseThrow(() -> new NotFoundException("missing.checkBegun", requestKey))
        .id();
  }

  @Override
  @Transactional(readOnly = true)
  public OptionalLong passed(long aircraftId, String name) {
    Optional<CheckRunEntity> found =
        NUMBER.matcher(name).matches()
            ? runs.findById(Long.parseLong(name)).filter(one -> one.aircraftId() == aircraftId)
            : runs.findByAircraftIdAndRequestKey(aircraftId, name);
    return found.map(this::read).stream()
        .filter(one -> one.kind() == CheckKind.FLIGHT && one.state() == CheckRun.Stage.DONE)
        .filter(one -> one.judged().passed())
        .mapToLong(CheckRun::id)
        .findFirst();
  }

  /** One check of an aircraft. */
  @Transactional(readOnly = true)
  public CheckRun run(long aircraftId, long runId) {
    return read(find(aircraftId, runId));
  }

  /** Notes what was found at a step; sent twice it is noted once. */
  @Transactional
  public CheckRun answer(long aircraftId, long runId, CheckAnswer answer) {
    Validation.check(answer);
    hangar.alone(aircraftId);
    CheckRunEntity found = open(aircraftId, runId);
    List<String> known = steps(found).stream().map(CheckStep::id).toList();
    if (!known.contains(answer.step())) {
      throw InvalidInputException.of(
          "step", answer.step(), Said.of("demand.oneOf", "names", String.join(", ", known)));
    }
    if (answer.verdict() == CheckAnswer.Verdict.LEFT_OUT && answer.note().isBlank()) {
      throw InvalidInputException.of("note", answer.note(), Said.of("demand.reasonLeftOut"));
    }
    found.answer(answer);
    return read(runs.saveAndFlush(found));
  }

  /** A check to end, and the version the pilot saw. */
  public record Ended(int version) {}

  /** Ends a check: done where every step has its answer, else broken off. */
  @Transactional
  public CheckRun end(long aircraftId, long runId, Ended ended, Instant at) {
    hangar.alone(aircraftId);
    CheckRunEntity found = open(aircraftId, runId);
    if (read(found).version() != ended.version()) {
      throw new ConflictException(Said.of("refused.checkContinued"));
    }
    boolean whole = read(found).judged().next() < 0;
    found.close(whole ? CheckRun.Stage.DONE : CheckRun.Stage.BROKEN_OFF, at);
    return read(runs.saveAndFlush(found));
  }

  private CheckRunEntity open(long aircraftId, long runId) {
    CheckRunEntity found = find(aircraftId, runId);
    if (found.state() != CheckRun.Stage.OPEN) {
      throw new ConflictException(Said.of("refused.checkEnded"));
    }
    return found;
  }

  private CheckRunEntity find(long aircraftId, long runId) {
    return runs.findById(runId)
        .filter(one -> one.aircraftId() == aircraftId)
        .orElseThrow(() -> new NotFoundException("missing.check", runId));
  }

  @Override
  public String told() {
    return "check_run";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    sheet(aircraftId);
    looks(aircraftId);
  }
}
