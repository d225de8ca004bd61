package hightally.core.trimming;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.setup.Setup;
import hightally.core.trimming.TestResult.SeenOutcome;
import hightally.core.trimming.TestResult.Turn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Series of flights of one test against a cause whose size and effect are hidden: up to one and a
 * half strong steps either way, each unit doing between half and one and a half times the usual.
 */
class SeriesTest {
  private static final int SERIES = 100;
  private static final int FLIGHTS = 6;

  /** Where a test with that lever is flown. */
  private static Setup model(TrimLever lever) {
    Setup setup =
        DemoModels.read(
            lever == TrimLever.BRAKE_TO_ELEVATOR || lever == TrimLever.AILERON_TO_RUDDER
                ? "larkmere"
                : "quillon");
    return lever == TrimLever.BALANCE ? wide(setup) : setup;
  }

  /** A maker who allows a wide range, so that every hidden balance point may be flown. */
  private static Setup wide(Setup setup) {
    var b = setup.balance();
    return setup
        .change()
        .balance(
            new hightally.core.airframe.BalanceSheet(
                b.datum(),
                b.datumAftMm(),
                b.targetMm(),
                b.targetMm() - 60,
                b.targetMm() + 60,
                b.emptyMassGrams(),
                b.packs(),
                b.boltSpacingMm()))
        .done();
  }

  private static FlownState at(FlownState base, TrimLever lever, TestCase test, double value) {
    if (lever.inProgram()) {
      Setup moved = TrimLeverValues.moved(lever, base.setup(), test, value, English.NAMES);
      return new FlownState(moved, base.pack(), base.cgMm(), base.atModel());
    }
    if (lever == TrimLever.BALANCE) {
      double per = TrimLeverValues.chordPercent(base.setup(), 1).orElseThrow();
      double none = TrimLeverValues.chordPercent(base.setup(), 0).orElseThrow();
      return new FlownState(base.setup(), "", (value - none) / (per - none), base.atModel());
    }
    return base.withAtModel(lever, value);
  }

  /** What a pilot sees of how far a lever is off: three grades each way, halfway between steps. */
  private static int grade(double off, List<Double> steps) {
    double size = Math.abs(off);
    int grade =
        size < steps.get(0) / 2
            ? 0
            : size < (steps.get(0) + steps.get(1)) / 2
                ? 1
                : size < (steps.get(1) + steps.get(2)) / 2 ? 2 : 3;
    return off < 0 ? -grade : grade;
  }

  private static TrimTest test(TrimLever lever) {
    for (TrimTest one : TrimTest.values()) {
      if (one.levers().contains(lever) && one != TrimTest.THROTTLE_CHANGE && one != TrimTest.DIVE) {
        return one;
      }
    }
    return TrimTest.THROTTLE_CHANGE;
  }

  private static SeenOutcome seen(TrimTest test, TrimLever lever, int grade) {
    for (TrimOutcome one : test.seen()) {
      var way = test.way(one);
      if (way.isPresent()
          && way.get().lever() == lever
          && way.get().sign() == Integer.signum(grade)) {
        return new SeenOutcome(one, Math.abs(grade), Turn.BOTH);
      }
    }
    throw new AssertionError(test + " " + lever);
  }

  /** How many of a hundred series end right or fine enough; honest steps never go the wrong way. */
  private static int found(TrimLever lever, double mistaken) {
    Random random = new Random(lever.ordinal() * 31L + Math.round(mistaken * 10));
    Setup setup = model(lever);
    TrimTest kind = test(lever);
    TestCase test =
        TestCase.of(setup).stream().filter(one -> one.test() == kind).findFirst().orElseThrow();
    Map<String, Coach.LevelTrim> level =
        setup.phases().stream()
            .collect(Collectors.toMap(one -> one.id(), one -> Coach.LevelTrim.SETTLED));
    FlownState base = new FlownState(setup, "", setup.balance().targetMm(), Map.of());
    double begin = base.value(lever, test);
    double furthest = 1.5 * lever.step(3);
    int found = 0;
    for (int series = 0; series < SERIES; series++) {
      double truth = begin + furthest * (2 * random.nextDouble() - 1);
      double effect = 0.5 + random.nextDouble();
      FlownState now = base;
      List<Coach.Flown> flown = new ArrayList<>();
      for (int flight = 1; flight <= FLIGHTS; flight++) {
        double value = now.value(lever, test);
        int honest = grade(effect * (truth - value), lever.steps());
        boolean wrong = random.nextDouble() < mistaken;
        int told = wrong ? honest + (random.nextBoolean() ? 1 : -1) : honest;
        told = Math.max(-3, Math.min(3, told));
        List<SeenOutcome> seen = told == 0 ? List.of() : List.of(seen(kind, lever, told));
        flown.add(new Coach.Flown(flight, new TestResult(kind, test.part(), seen), now, List.of()));
        Coach.CoachPlan plan = Coach.plan(new Coach.Asked(now, flown, List.of(), level, false));
        Coach.TestStanding standing =
            plan.tests().stream().filter(one -> one.test().equals(test)).findFirst().orElseThrow();
        if (standing.state() == Coach.State.STANDS) {
          found++;
          break;
        }
        CoachAdvice advice = standing.advice();
        if (advice.making() == CoachAdvice.Making.NOTHING) {
          break;
        }
        boolean allHonest = mistaken == 0;
        if (allHonest && advice.verdict() != TrimStep.Verdict.NOT_THE_CAUSE) {
          assertThat(Math.signum(advice.to() - value))
              .as("%s at %s, truth %s: %s", lever, value, truth, advice.verdict())
              .isEqualTo(Math.signum(truth - value));
        }
        now = at(now, lever, test, advice.to());
      }
    }
    return found;
  }

  @ParameterizedTest
  @EnumSource(TrimLever.class)
  void anHonestPilotFindsItInSixFlights(TrimLever lever) {
    assertThat(found(lever, 0)).isGreaterThanOrEqualTo(99);
  }

  @ParameterizedTest
  @EnumSource(TrimLever.class)
  void aPilotWhoIsAGradeOffOnceInTenFindsItMostly(TrimLever lever) {
    assertThat(found(lever, 0.1)).isGreaterThanOrEqualTo(90);
  }
}
