package hightally.core.simulator;

import hightally.core.balance.BalanceEstimate;
import hightally.core.program.Phase;
import hightally.core.quantity.Naming;
import hightally.core.setup.Setup;
import hightally.core.trimming.Coach;
import hightally.core.trimming.Coach.CoachPlan;
import hightally.core.trimming.Coach.LevelTrim;
import hightally.core.trimming.Coach.Skipped;
import hightally.core.trimming.FlownState;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TestResult.SeenOutcome;
import hightally.core.trimming.TestResult.Turn;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A model to practise trimming on: hidden faults, what was flown, seen and changed. It begins as it
 * was built, trimmed hands off at the start of every flight.
 */
public final class Practice {
  private static final double PERCENT = 100;

  private final Set set;
  private final List<Coach.Flown> seen = new ArrayList<>();
  private final List<Skipped> skipped = new ArrayList<>();
  private final List<CoachFollowed.Limit> known = new ArrayList<>();
  private FlownState now;
  private FlyingModel model;
  private boolean trimmed;
  private int flights;

  /**
   * What is practised on.
   *
   * @param start the described model as it begins
   * @param built what it was built with and its pilot knows of: no faults
   * @param wind m/s, towards the south: a flight begins into it
   * @param seed of the gusts
   */
  public record Set(
      FlownState start,
      FlightTraits traits,
      List<HiddenFault> built,
      List<HiddenFault> faults,
      TestFlight.Wish wish,
      double wind,
      long seed) {
    public Set {
      built = List.copyOf(built);
      faults = List.copyOf(faults);
    }
  }

  /** A practice that begins. */
  public Practice(Set set) {
    this.set = set;
    become(set.start());
  }

  private void become(FlownState changed) {
    now = changed;
    List<HiddenFault> real = new ArrayList<>(set.built());
    real.addAll(set.faults());
    model = FlyingModel.of(now, set.start().setup(), set.traits(), real);
  }

  /** The model as it is now, faults and all. */
  public FlyingModel model() {
    return model;
  }

  /** The model as its pilot knows it. */
  public FlownState now() {
    return now;
  }

  /** How many flights there were. */
  public int flights() {
    return flights;
  }

  /** What the coach says of it. */
  public CoachPlan plan() {
    Map<String, LevelTrim> level = new HashMap<>();
    for (Phase one : now.setup().phases()) {
      level.put(one.id(), trimmed ? LevelTrim.FLOWN : LevelTrim.OPEN);
    }
    return Coach.plan(new Coach.Asked(now, List.copyOf(seen), List.copyOf(skipped), level, false));
  }

  /** Straight flight in the phase of a test; empty where there is none. */
  public Optional<TrimState> trim(TestCase test) {
    return TestFlight.trimmed(model, test.phase(now.setup()));
  }

  /** A flight has begun: it is trimmed hands off in every phase. */
  public void takeOff() {
    flights++;
    trimmed = true;
  }

  /** Flies a test; empty where the model cannot be trimmed for it. */
  public Optional<TestFlight.Flown> fly(TestCase test) {
    return fly(test, gusts());
  }

  /** The same in given air. */
  Optional<TestFlight.Flown> fly(TestCase test, Gusts air) {
    return trim(test).map(state -> TestFlight.fly(model, test, state, air, set.wish()));
  }

  /** The air of the flight that is flown now. */
  public Gusts gusts() {
    return new Gusts(-set.wind(), 0, set.seed() + flights);
  }

  /** What a pilot who sees everything says of a flown test. */
  public TestResult honest(TestFlight.Flown flown) {
    List<SeenOutcome> outcomes = new ArrayList<>();
    boolean atOnce = false;
    for (TestMeasure what : TestMeasure.values()) {
      Optional<Double> value = what.lever().isEmpty() ? Optional.empty() : flown.value(what);
      if (value.isEmpty() || waits(what, atOnce) || isKnown(what, flown.test())) {
        continue;
      }
      int severity = what.severity(value.get());
      atOnce |= what == TestMeasure.NOSE_AT_ONCE && severity != 0;
      what.outcome(severity)
          .ifPresent(one -> outcomes.add(new SeenOutcome(one, Math.abs(severity), Turn.BOTH)));
    }
    return new TestResult(flown.test().test(), flown.test().part(), outcomes);
  }

  /** What this model always shows, whatever is done: known to its pilot and not reported again. */
  public void know(List<CoachFollowed.Limit> limits) {
    known.addAll(limits);
  }

  private boolean isKnown(TestMeasure what, TestCase test) {
    return known.stream()
        .anyMatch(one -> one.test().equals(test) && one.lever() == what.lever().orElse(null));
  }

  /** What only means something once something else is right. */
  private boolean waits(TestMeasure what, boolean atOnce) {
    return what == TestMeasure.PATH_WITH_SPEED && atOnce
        || what == TestMeasure.VERTICAL_CANOPY && !stands(TrimTest.INVERTED_45);
  }

  private boolean stands(TrimTest test) {
    return plan().tests().stream()
        .filter(one -> one.test().test() == test)
        .allMatch(one -> one.state() == Coach.State.STANDS);
  }

  /** What was said of a test. */
  public void report(TestResult result) {
    seen.add(new Coach.Flown(flights, result, now, List.of()));
  }

  /** A test is left out. */
  public void skip(TestCase test, String because) {
    skipped.add(new Skipped(test, because));
  }

  /** Moves a lever. */
  public void change(TestCase test, TrimLever lever, double to, Naming naming) {
    Setup setup = now.setup();
    if (lever.inProgram()) {
      Setup moved = TrimLeverValues.moved(lever, setup, test, to, naming);
      become(now.change().setup(moved).done());
    } else if (lever == TrimLever.BALANCE) {
      double edge = BalanceEstimate.of(setup).map(BalanceEstimate::leadingEdgeMm).orElse(0.0);
      double cg = edge + to / PERCENT * TrimLeverValues.chordMm(setup);
      become(now.change().setup(setup).cgMm(cg).done());
    } else {
      become(now.withAtModel(lever, to));
    }
  }
}
