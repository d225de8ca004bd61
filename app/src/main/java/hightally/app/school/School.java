package hightally.app.school;

import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.simulator.FlightSample;
import hightally.core.simulator.Practice;
import hightally.core.simulator.TestFlight;
import hightally.core.simulator.Wireframe;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimTest;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;

/**
 * Practice on the simulated model: begun, flown, judged, kept apart from every log. What takes long
 * is worked out outside transactions: only reading and writing hold a connection.
 */
@Service
class School {
  private static final Logger LOG = LoggerFactory.getLogger(School.class);
  private static final int SHOWN = 100;
  private static final int TESTS_A_FLIGHT = 4;

  /** More than this happens in no practice of 25 flights. */
  private static final int MOST_EVENTS = 400;

  private final SchoolRepository runs;
  private final Briefs briefs;
  private final Replay replay;
  private final Sheets sheets;
  private final Reports reports;
  private final ReaderWords words;
  private final Clock clock;

  School(
      SchoolRepository runs,
      Briefs briefs,
      Replay replay,
      Sheets sheets,
      Reports reports,
      ReaderWords words,
      Clock clock) {
    this.runs = runs;
    this.briefs = briefs;
    this.replay = replay;
    this.sheets = sheets;
    this.reports = reports;
    this.words = words;
    this.clock = clock;
  }

  /** A lesson to begin, its next step; the seed decides which faults and gusts. */
  record LessonBegun(SchoolLesson lesson, @Within(min = 0, max = Integer.MAX_VALUE) long seed) {}

  /**
   * A practice with one of the pilot's models to begin.
   *
   * @param faults how many are hidden in it
   * @param windy whether it is a real afternoon
   * @param seed what decides which faults and gusts
   */
  record ModelBegun(
      @Within(min = 1, max = Long.MAX_VALUE) long aircraftId,
      @Within(min = 0, max = 4) int faults,
      boolean windy,
      @Within(min = 0, max = Integer.MAX_VALUE) long seed) {}

  /** One practice in the list. */
  record PracticeEntry(
      long id,
      @Absentable SchoolLesson lesson,
      int step,
      String name,
      int flights,
      Instant createdAt,
      @Absentable Instant endedAt,
      boolean passed) {}

  /** How far a lesson has come: the step that comes next, of how many. */
  record LessonProgress(SchoolLesson lesson, int next, int steps, boolean done) {}

  /** The school's first page. */
  record Hall(List<LessonProgress> lessons, List<PracticeEntry> runs) {}

  Hall hall() {
    List<PracticeEntry> all =
        readable(
                () -> runs.findAllByOrderByIdDesc(Limit.of(SHOWN)), () -> runs.ids(Limit.of(SHOWN)))
            .stream()
            .map(
                one ->
                    new PracticeEntry(
                        one.id(),
                        one.brief().lesson(),
                        one.brief().step(),
                        one.brief().name(),
                        flights(one),
                        one.createdAt(),
                        one.endedAt(),
                        one.passed()))
            .toList();
    List<LessonProgress> lessons = new ArrayList<>();
    for (SchoolLesson lesson : SchoolLesson.values()) {
      int passed = passed(lesson);
      int next = Math.min(SchoolLesson.STEPS, passed + 1);
      lessons.add(
          new LessonProgress(lesson, next, SchoolLesson.STEPS, passed == SchoolLesson.STEPS));
    }
    return new Hall(lessons, all);
  }

  /** All of some practices, or one by one those that can be read. */
  private List<SchoolEntity> readable(
      Supplier<List<SchoolEntity>> all, Supplier<List<Long>> numbers) {
    try {
      return all.get();
    } catch (RuntimeException e) {
      List<SchoolEntity> found = new ArrayList<>();
      for (long id : numbers.get()) {
        try {
          runs.findById(id).ifPresent(found::add);
        } catch (RuntimeException unreadable) {
          LOG.warn("Practice {} cannot be read", id, unreadable);
        }
      }
      return found;
    }
  }

  /** The last step that was passed of a lesson, however long ago; 0 for none. */
  private int passed(SchoolLesson lesson) {
    return readable(runs::findByPassedTrue, runs::passedIds).stream()
        .map(SchoolEntity::brief)
        .filter(one -> one.lesson() == lesson)
        .mapToInt(SchoolBrief::step)
        .max()
        .orElse(0);
  }

  private static int flights(SchoolEntity one) {
    return (int) one.events().stream().filter(e -> e.kind() == SchoolEvent.Kind.TAKE_OFF).count();
  }

  /** The practice a request with that key has begun. */
  Optional<SchoolSheet> begunBy(String requestKey) {
    return runs.findByRequestKey(requestKey).map(sheets::of);
  }

  /** Begins the next step of a lesson. */
  SchoolSheet begin(LessonBegun begun, String requestKey) {
    Validation.check(begun);
    int step = Math.min(SchoolLesson.STEPS, passed(begun.lesson()) + 1);
    return sheets.of(runs.saveAndFlush(briefs.ofLesson(begun, step, requestKey)));
  }

  /** Begins a practice with one of the pilot's models. */
  SchoolSheet begin(ModelBegun begun, String requestKey) {
    Validation.check(begun);
    return sheets.of(runs.saveAndFlush(briefs.ofHangar(begun, requestKey)));
  }

  /** One practice. */
  SchoolSheet sheet(long id) {
    return sheets.of(find(id));
  }

  private SchoolEntity find(long id) {
    return runs.findById(id).orElseThrow(() -> new NotFoundException("missing.practice", id));
  }

  private SchoolEntity open(long id) {
    SchoolEntity found = find(id);
    if (found.endedAt() != null) {
      throw new ConflictException(Said.of("refused.practiceEnded"));
    }
    if (found.events().size() >= MOST_EVENTS) {
      throw new ConflictException(Said.of("refused.practiceFull"));
    }
    return found;
  }

  /** The model of a practice as it is now, to be flown live. */
  Practice practice(long id) {
    return replay.played(open(id));
  }

  /** A test to fly. */
  record TestToFly(TrimTest test, String part) {}

  /**
   * A flown test, to be watched.
   *
   * @param parts its path; twice where it is flown both ways
   * @param frame the model's outlines
   * @param broken whether it left the simulated range
   */
  record FlownSheet(
      int flight,
      TestCase test,
      List<List<FlightSample>> parts,
      List<Wireframe.Outline> frame,
      boolean broken,
      List<Said> words) {}

  /** Flies a test: in the air already where fewer than four were flown since the last change. */
  FlownSheet fly(long id, TestToFly fly) {
    SchoolEntity run = open(id);
    Practice practice = replay.played(run);
    TestCase test = known(practice, fly);
    if (!inTheAir(run)) {
      if (practice.flights() >= run.brief().budget()) {
        throw new ConflictException(Said.of("refused.practiceFlown"));
      }
      practice.takeOff();
      run.happened(SchoolEvent.takeOff());
    }
    TestFlight.Flown flown =
        practice
            .fly(test)
            .orElseThrow(
                () -> InvalidInputException.of("test", test.told(), Said.of("air.noTrim")));
    run.happened(SchoolEvent.flown(test, practice.honest(flown)));
    runs.saveAndFlush(run);
    return new FlownSheet(
        practice.flights(),
        test,
        flown.parts(),
        Wireframe.of(practice.model().shape()),
        flown.broken(),
        FlightWords.of(flown.parts()));
  }

  private static boolean inTheAir(SchoolEntity run) {
    int flown = 0;
    for (int i = run.events().size() - 1; i >= 0; i--) {
      switch (run.events().get(i).kind()) {
        case TAKE_OFF -> {
          return flown < TESTS_A_FLIGHT;
        }
        case FLOWN -> flown++;
        case CHANGED -> {
          return false;
        }
        default -> {}
      }
    }
    return false;
  }

  private static TestCase known(Practice practice, TestToFly fly) {
    TestCase test = new TestCase(fly.test(), fly.part());
    List<TestCase> flyable =
        TestCase.of(practice.now().setup()).stream().filter(SchoolSheet::flyable).toList();
    if (!flyable.contains(test)) {
      throw InvalidInputException.of(
          "test", test.told(), Said.of("demand.testOfModel", "known", TestCase.told(flyable)));
    }
    return test;
  }

  /** What was seen of a flown test. */
  SchoolSheet seen(long id, TestResult seen) {
    Validation.check(seen);
    SchoolEntity run = open(id);
    TestCase test = known(replay.played(run), new TestToFly(seen.test(), seen.part()));
    boolean flown =
        run.events().stream()
            .anyMatch(one -> one.kind() == SchoolEvent.Kind.FLOWN && one.test().equals(test));
    if (!flown) {
      throw InvalidInputException.of("test", test.told(), Said.of("demand.flownBefore"));
    }
    run.happened(SchoolEvent.seen(test, seen));
    return sheets.of(runs.saveAndFlush(run));
  }

  /** A lever to move. */
  record LeverChange(TrimTest test, String part, TrimLever lever, double by) {}

  /** Moves a lever: the model lands for it. */
  SchoolSheet change(long id, LeverChange change) {
    SchoolEntity run = open(id);
    Practice practice = replay.played(run);
    TestCase test = known(practice, new TestToFly(change.test(), change.part()));
    if (!test.test().levers().contains(change.lever())) {
      throw InvalidInputException.of(
          "lever",
          change.lever().name(),
          Said.of("demand.oneOf", "names", test.test().levers().toString()));
    }
    double from = practice.now().value(change.lever(), test);
    double furthest = change.lever().furthest();
    if (!(Math.abs(change.by()) <= furthest)) {
      throw InvalidInputException.of(
          "by", change.by(), Validation.range(-furthest, furthest, Unit.NONE));
    }
    double to = from + change.by();
    practice.change(test, change.lever(), to, words);
    run.happened(SchoolEvent.changed(test, change.lever(), to));
    return sheets.of(runs.saveAndFlush(run));
  }

  /** Leaves a test out. */
  SchoolSheet leaveOut(long id, TestToFly left) {
    SchoolEntity run = open(id);
    run.happened(SchoolEvent.leftOut(known(replay.played(run), left)));
    return sheets.of(runs.saveAndFlush(run));
  }

  /** Ends a practice and says what was wrong. */
  SchoolSheet end(long id) {
    SchoolEntity run = find(id);
    if (run.endedAt() == null) {
      run.end(clock.instant(), reports.of(run).found());
      runs.saveAndFlush(run);
    }
    return sheets.of(run);
  }
}
