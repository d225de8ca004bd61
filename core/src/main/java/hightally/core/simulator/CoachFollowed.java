package hightally.core.simulator;

import hightally.core.quantity.Naming;
import hightally.core.trimming.Coach;
import hightally.core.trimming.Coach.CoachPlan;
import hightally.core.trimming.CoachAdvice;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimStep;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A model trimmed by a pilot who sees everything and does what the coach says: test after test, one
 * change after a flight that showed something, what has no change left out with the coach's reason.
 */
public final class CoachFollowed {
  private static final int TESTS_A_FLIGHT = 8;

  private final Practice practice;
  private final Naming naming;
  private final List<Step> steps = new ArrayList<>();
  private final List<Limit> limits = new ArrayList<>();

  /** One test flown, and the change it led to; absent where it was right. */
  public record Step(int flight, TestResult seen, CoachAdvice advice) {}

  /** A test that is not right and for which there is no change. */
  public record Limit(TestCase test, TrimLever lever, TrimStep.Verdict why) {}

  /**
   * How it went.
   *
   * @param flights how many there were
   * @param ended whether every test stands or is left out for a named reason
   * @param steps what every flight told
   * @param limits tests that ended at a limit
   */
  public record Followed(int flights, boolean ended, List<Step> steps, List<Limit> limits) {
    public Followed {
      steps = List.copyOf(steps);
      limits = List.copyOf(limits);
    }
  }

  private CoachFollowed(Practice practice, Naming naming) {
    this.practice = practice;
    this.naming = naming;
  }

  /** Follows the coach, at most so many flights. */
  public static Followed of(Practice practice, int most, Naming naming) {
    CoachFollowed pilot = new CoachFollowed(practice, naming);
    boolean ended = false;
    while (!ended && practice.flights() < most) {
      practice.takeOff();
      ended = pilot.flight();
    }
    return new Followed(practice.flights(), ended, pilot.steps, pilot.limits);
  }

  /** One flight; whether nothing is left to do. */
  private boolean flight() {
    int flown = 0;
    while (flown < TESTS_A_FLIGHT) {
      CoachPlan plan = practice.plan();
      if (plan.nextTest().isEmpty()) {
        return true;
      }
      TestCase test = plan.nextTest().get().test();
      CoachAdvice advice = plan.nextTest().get().advice();
      if (!TestFlight.FLOWN.contains(test.test())) {
        practice.skip(test, "");
      } else if (plan.nextTest().get().state() != Coach.State.CHANGE) {
        fly(test);
        flown++;
      } else if (advice.making() == CoachAdvice.Making.NOTHING) {
        limited(new Limit(test, advice.lever(), advice.verdict()));
      } else {
        practice.change(test, advice.lever(), advice.to(), naming);
        told(advice);
        return false;
      }
    }
    return false;
  }

  /** Known from now on and not reported again; where no lever is named the test is left out. */
  private void limited(Limit limit) {
    limits.add(limit);
    if (limit.lever() == null) {
      practice.skip(limit.test(), "");
    } else {
      practice.know(List.of(limit));
      fly(limit.test());
    }
  }

  private void fly(TestCase test) {
    Optional<TestFlight.Flown> flown = practice.fly(test);
    if (flown.isEmpty() || flown.get().broken()) {
      limits.add(new Limit(test, null, null));
      practice.skip(test, "");
      return;
    }
    TestResult seen = practice.honest(flown.get());
    practice.report(seen);
    steps.add(new Step(practice.flights(), seen, null));
  }

  private void told(CoachAdvice advice) {
    if (!steps.isEmpty()) {
      Step last = steps.remove(steps.size() - 1);
      steps.add(new Step(last.flight(), last.seen(), advice));
    }
  }

  /** How far from right a model is: the strengths of all it shows in calm air, added up. */
  public static int trouble(Practice practice) {
    return trouble(practice, List.of());
  }

  /** The same without what is known to be a limit. */
  public static int trouble(Practice practice, List<Limit> without) {
    int sum = 0;
    for (TestCase test : TestCase.of(practice.now().setup())) {
      if (TestFlight.FLOWN.contains(test.test()) && test.test() != TrimTest.LEVEL_TRIM) {
        Optional<TestFlight.Flown> flown = practice.fly(test, Gusts.calm());
        for (TestMeasure what : TestMeasure.values()) {
          boolean limited =
              without.stream()
                  .anyMatch(
                      one -> one.test().equals(test) && one.lever() == what.lever().orElse(null));
          sum +=
              limited
                  ? 0
                  : Math.abs(flown.flatMap(one -> one.value(what)).map(what::severity).orElse(0));
        }
      }
    }
    return sum;
  }
}
