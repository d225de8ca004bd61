package hightally.core.trimming;

import hightally.core.airframe.PartChange.PartKind;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;

/**
 * Where a model stands in its trim flights: which tests hold, which are void and by what, what
 * comes next, and the one change to make. A pure function of what was flown.
 */
public final class Coach {
  private static final String CHANGED = "coach.changedFlyAgain";

  /** What decides where the balance point lies. */
  private static final Set<TrimTest> BALANCE_TESTS =
      EnumSet.of(TrimTest.INVERTED_45, TrimTest.DIVE);

  /** A value so far from a step of its lever, in parts of it, was rounded in the transmitter. */
  private static final double ROUNDED = 4;

  /** So many of the newest flights of a test are looked at: what lies further back has no say. */
  private static final int NEWEST = 40;

  private final Asked asked;

  /** What has moved since a flight, by the test it is asked for. */
  private final Map<TestCase, Map<Flown, List<VoidingChange>>> moved = new HashMap<>();

  /**
   * A flight's result of a test, with the model as it was then.
   *
   * @param flight its number
   * @param changed parts that were changed since
   */
  public record Flown(
      long flight, TestResult result, FlownState snapshot, List<PartKind> changed) {}

  /** A test that is left out, and why. */
  public record Skipped(TestCase test, String because) {}

  /**
   * Everything it is worked out from.
   *
   * @param flown oldest first
   * @param levelTrim per phase: how far its trims have come
   * @param turnedRound whether this pilot's house rule for the sign of differential is the other
   *     one
   */
  public record Asked(
      FlownState now,
      List<Flown> flown,
      List<Skipped> skipped,
      Map<String, LevelTrim> levelTrim,
      boolean turnedRound) {
    /** The same with of each test only the newest flights, which have a say. */
    private Asked newest() {
      List<Flown> kept = newestOf(flown.size(), i -> List.of(flown.get(i)), Flown::result);
      return new Asked(now, kept, skipped, levelTrim, turnedRound);
    }
  }

  /**
   * Of each test the newest flights, which have a say.
   *
   * @param flights how many there are
   * @param of what one of them has to tell, the oldest first
   */
  public static <T> List<T> newestOf(
      int flights, IntFunction<List<T>> of, Function<T, TestResult> result) {
    Map<TestCase, Integer> met = new HashMap<>();
    List<T> kept = new ArrayList<>();
    for (int i = flights - 1; i >= 0; i--) {
      for (T one : of.apply(i)) {
        TestResult told = result.apply(one);
        if (met.merge(new TestCase(told.test(), told.part()), 1, Integer::sum) <= NEWEST) {
          kept.add(one);
        }
      }
    }
    Collections.reverse(kept);
    return kept;
  }

  /** How far the trims of a phase have come. */
  public enum LevelTrim {
    OPEN,
    /** Noted in calm air: good enough to go on, not for the rods. */
    FLOWN,
    /** Settled: flights agree. */
    SETTLED
  }

  /** How a test stands. */
  public enum State {
    /** Not flown yet. */
    OPEN,
    /** Flown and right, and nothing has moved since. */
    STANDS,
    /** Flown and not right: there is a change to make. */
    CHANGE,
    /** Flown, and something has moved since: to be flown again. */
    VOID,
    /** Left out, with a reason. */
    SKIPPED
  }

  /**
   * One test.
   *
   * @param words how it stands, in a sentence
   * @param flight number of its newest flight; 0 for none
   * @param advice the change; absent where there is none to make
   * @param openBefore whether one before it is open: then this one may not mean what it seems to
   */
  public record TestStanding(
      TestCase test,
      State state,
      Said words,
      long flight,
      @Absentable CoachAdvice advice,
      boolean openBefore) {}

  /**
   * All of it.
   *
   * @param tests in the order in which they are flown
   * @param next index of what comes next; -1 where everything stands
   * @param goal what the next flight is for, in a sentence
   */
  public record CoachPlan(ModelKind kind, List<TestStanding> tests, int next, Said goal) {
    /** What comes next. */
    public Optional<TestStanding> nextTest() {
      return next < 0 ? Optional.empty() : Optional.of(tests.get(next));
    }
  }

  private Coach(Asked asked) {
    this.asked = asked.newest();
  }

  /** The plan that follows from what was flown. */
  public static CoachPlan plan(Asked asked) {
    Coach coach = new Coach(asked);
    List<TestStanding> tests = new ArrayList<>();
    int next = -1;
    for (TestCase test : TestCase.of(asked.now().setup())) {
      TestStanding one = coach.standing(test, next >= 0);
      if (next < 0 && one.state() != State.STANDS && one.state() != State.SKIPPED) {
        next = tests.size();
      }
      tests.add(one);
    }
    Said goal = next < 0 ? Said.of("coach.allStand") : goal(asked.now().setup(), tests.get(next));
    return new CoachPlan(ModelKind.of(asked.now().setup()), List.copyOf(tests), next, goal);
  }

  private static Said goal(Setup setup, TestStanding next) {
    Said test = name(setup, next.test());
    return switch (next.state()) {
      case CHANGE -> Said.of("coach.goalChange", "test", test);
      case VOID ->
          next.words().code().equals(CHANGED)
              ? Said.of("coach.goalChanged", "test", test)
              : Said.of("coach.goalAgain", "test", test);
      default -> Said.of("coach.goalFirst", "test", test);
    };
  }

  /** What a test is called on a model: with its phase or brake setting. */
  public static Said name(Setup setup, TestCase test) {
    if (test.test() == TrimTest.BRAKES) {
      return Said.of("coach.testAt", "test", test.test(), "part", test.part());
    }
    boolean several = setup.phases().size() > 1 && !test.part().isEmpty();
    return several
        ? Said.of("coach.testIn", "test", test.test(), "part", test.phase(setup).name())
        : Said.of("coach.test", "test", test.test());
  }

  private TestStanding standing(TestCase test, boolean openBefore) {
    Optional<Skipped> skipped =
        asked.skipped().stream().filter(one -> one.test().equals(test)).findFirst();
    List<Flown> all = asked.flown().stream().filter(one -> of(one, test)).toList();
    long flight = all.isEmpty() ? 0 : all.get(all.size() - 1).flight();
    if (skipped.isPresent()) {
      Said words = Said.of("coach.skipped", "because", skipped.get().because());
      return new TestStanding(test, State.SKIPPED, words, flight, null, openBefore);
    }
    if (test.test() == TrimTest.LEVEL_TRIM) {
      LevelTrim level = asked.levelTrim().getOrDefault(test.part(), LevelTrim.OPEN);
      State state = level == LevelTrim.OPEN ? State.OPEN : State.STANDS;
      Said words = Said.of("coach.level", "level", level);
      return new TestStanding(test, state, words, flight, null, openBefore);
    }
    if (all.isEmpty()) {
      return new TestStanding(test, State.OPEN, Said.of("coach.notFlown"), 0, null, openBefore);
    }
    Flown newest = all.get(all.size() - 1);
    List<VoidingChange> moved = moved(newest, test);
    Set<TrimLever> own = own(newest, test);
    if (!moved.isEmpty() || !own.isEmpty()) {
      boolean itself =
          moved.stream().allMatch(one -> own.stream().anyMatch(lever -> one == lever.moved()));
      Said words = itself ? Said.of(CHANGED) : Said.of("coach.void", "what", moved);
      return new TestStanding(test, State.VOID, words, flight, null, openBefore);
    }
    if (newest.result().right()) {
      return new TestStanding(
          test, State.STANDS, Said.of("coach.stands"), flight, null, openBefore);
    }
    CoachAdvice advice = advice(test, all);
    if (advice.verdict() == TrimStep.Verdict.FINE_ENOUGH) {
      return new TestStanding(
          test, State.STANDS, Said.of("coach.fineEnough"), flight, advice, openBefore);
    }
    return new TestStanding(
        test, State.CHANGE, Said.of("coach.change"), flight, advice, openBefore);
  }

  private static boolean of(Flown one, TestCase test) {
    return one.result().test() == test.test() && one.result().part().equals(test.part());
  }

  /** Its own levers that have moved since: however little, it is to be flown again. */
  private Set<TrimLever> own(Flown newest, TestCase test) {
    Set<TrimLever> moved = EnumSet.noneOf(TrimLever.class);
    for (TrimLever lever : test.test().levers()) {
      double then = newest.snapshot().value(lever, test);
      double now = asked.now().value(lever, test);
      if (Math.abs(now - then) > lever.resolution() / 2) {
        moved.add(lever);
      }
    }
    return moved;
  }

  /** The change of the lever that must move most; of equals the one to be looked at first. */
  private CoachAdvice advice(TestCase test, List<Flown> all) {
    TestResult newest = all.get(all.size() - 1).result();
    Optional<TrimLever> disagree =
        test.test().levers().stream().filter(lever -> newest.severity(lever).isEmpty()).findFirst();
    if (disagree.isPresent()) {
      return CoachAdvice.disagreeing(disagree.get());
    }
    TrimLever most = null;
    int strongest = 0;
    TrimLever closed = null;
    for (TrimLever lever : test.test().levers()) {
      int wanted = newest.severity(lever).orElse(0);
      int strength = Math.abs(wanted);
      boolean tried =
          strength > 0 && (decided(test, lever, wanted) || wasNotTheCause(test, lever, all));
      closed = tried && closed == null ? lever : closed;
      most = strength > strongest && !tried ? lever : most;
      strongest = most == lever ? strength : strongest;
    }
    if (most != null) {
      return CoachAdvice.of(
          asked.now(), test, most, step(test, most, told(test, most, all)), sign(most));
    }
    return closed == null
        ? CoachAdvice.named(newest)
        : decided(test, closed, newest.severity(closed).orElse(0))
            ? CoachAdvice.decidedElsewhere(asked.now().value(closed, test), closed)
            : CoachAdvice.elsewhere(asked.now().value(closed, test), closed);
  }

  /**
   * Whether another test decides a lever; two tests that pull at one would pull for ever. What
   * comes with speed moves the balance point only until the balance has a test of its own behind
   * it. The vertical line moves the down thrust only where the throttle test has not been wrong
   * already.
   */
  private boolean decided(TestCase test, TrimLever lever, int wanted) {
    if (test.test() == TrimTest.THROTTLE_CHANGE && lever == TrimLever.BALANCE) {
      return asked.flown().stream().anyMatch(one -> BALANCE_TESTS.contains(one.result().test()));
    }
    return test.test() == TrimTest.VERTICAL_UP
        && lever == TrimLever.DOWN_THRUST
        && asked.flown().stream().anyMatch(one -> wrongThere(one, lever, test, wanted));
  }

  /** Whether the throttle test, flown with the lever further that way, wanted it back. */
  private boolean wrongThere(Flown one, TrimLever lever, TestCase test, int wanted) {
    double further = one.snapshot().value(lever, test) - asked.now().value(lever, test);
    return one.result().test() == TrimTest.THROTTLE_CHANGE
        && Math.abs(further) > lever.resolution() / 2
        && Math.signum(further) == Math.signum(wanted)
        && one.result().severity(lever).orElse(0) * wanted < 0;
  }

  /**
   * Whether its own flights have said once that a lever does not help: it went back then, and is
   * not tried round and round.
   */
  private boolean wasNotTheCause(TestCase test, TrimLever lever, List<Flown> all) {
    List<TrimStep.Flown> history = new ArrayList<>();
    for (int i = 0; i < all.size() - 1; i++) {
      Flown one = all.get(i);
      told(one, test, lever).ifPresent(history::add);
      if (comparable(one, test, lever)
          && one.result().severity(lever).orElse(0) != 0
          && step(test, lever, history).verdict() == TrimStep.Verdict.NOT_THE_CAUSE) {
        return true;
      }
    }
    return false;
  }

  /** The sign of a lever by this pilot's house rule. */
  private int sign(TrimLever lever) {
    return lever == TrimLever.DIFFERENTIAL && asked.turnedRound() ? -1 : 1;
  }

  private List<TrimStep.Flown> told(TestCase test, TrimLever lever, List<Flown> all) {
    return all.stream().flatMap(one -> told(one, test, lever).stream()).toList();
  }

  /** What a flight tells of a lever; nothing where it can tell nothing. */
  private Optional<TrimStep.Flown> told(Flown one, TestCase test, TrimLever lever) {
    OptionalInt severity = one.result().severity(lever);
    if (severity.isEmpty() || hidden(one, lever) || !comparable(one, test, lever)) {
      return Optional.empty();
    }
    double value = one.snapshot().value(lever, test);
    return Optional.of(new TrimStep.Flown(value, sign(lever) * severity.getAsInt()));
  }

  private TrimStep step(TestCase test, TrimLever lever, List<TrimStep.Flown> history) {
    double min = -lever.furthest();
    double max = lever.furthest();
    if (lever == TrimLever.BALANCE) {
      Setup setup = asked.now().setup();
      min =
          TrimLeverValues.chordPercent(setup, setup.balance().foremostMm())
              .orElse(setup.balance().foremostMm());
      max =
          TrimLeverValues.chordPercent(setup, setup.balance().aftmostMm())
              .orElse(setup.balance().aftmostMm());
      double now = asked.now().value(lever, test);
      // A range that was never filled in, or is left already, forbids no step back into it.
      min = Math.min(min, now);
      max = Math.max(max, now);
      max = max - min < lever.resolution() ? max + lever.resolution() : max;
    }
    double from = min;
    List<TrimStep.Flown> counted =
        history.stream()
            .map(one -> new TrimStep.Flown(counted(one.value(), from, lever), one.severity()))
            .toList();
    return TrimStep.of(new TrimStep.Question(counted, lever.steps(), lever.resolution(), min, max));
  }

  /** What comes with speed cannot be judged while something comes at once: that is no "right". */
  private static boolean hidden(Flown one, TrimLever lever) {
    TestResult result = one.result();
    return result.test() == TrimTest.THROTTLE_CHANGE
        && lever == TrimLever.BALANCE
        && result.severity(lever).orElse(0) == 0
        && result.severity(TrimLever.DOWN_THRUST).orElse(0) != 0;
  }

  /** A value as it was meant: what the transmitter's own rounding took is given back. */
  private static double counted(double value, double min, TrimLever lever) {
    double resolution = lever.resolution();
    double nearest = min + Math.rint((value - min) / resolution) * resolution;
    boolean rounded = lever.inProgram() && Math.abs(nearest - value) < resolution / ROUNDED;
    return rounded ? nearest : value;
  }

  /** Whether only the lever itself has moved between that flight and now. */
  private boolean comparable(Flown one, TestCase test, TrimLever lever) {
    return moved(one, test).stream().allMatch(moved -> moved == lever.moved());
  }

  /** What has moved since a flight and voids its test. */
  private List<VoidingChange> moved(Flown one, TestCase test) {
    return moved
        .computeIfAbsent(test, unknown -> new IdentityHashMap<>())
        .computeIfAbsent(
            one,
            then ->
                VoidingChange.between(then.snapshot(), asked.now(), test, then.changed()).stream()
                    .filter(moved -> moved.voids(test.test()))
                    .toList());
  }
}
