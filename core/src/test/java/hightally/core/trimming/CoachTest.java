package hightally.core.trimming;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.setup.Setup;
import hightally.core.trimming.TestResult.SeenOutcome;
import hightally.core.trimming.TestResult.Turn;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What stands, what is void and what comes next, by hand on the demo models. */
class CoachTest {
  private static final Setup BIPLANE = DemoModels.read("quillon");
  private static final Setup GLIDER = DemoModels.read("larkmere");
  private static final Setup WING = DemoModels.read("skerrow");
  private static final TestCase KNIFE = new TestCase(TrimTest.KNIFE_EDGE, "");

  private static FlownState as(Setup setup) {
    return new FlownState(setup, "", setup.balance().targetMm(), Map.of());
  }

  private static Coach.Flown flown(TrimTest test, String part, FlownState as, SeenOutcome... seen) {
    return new Coach.Flown(1, new TestResult(test, part, List.of(seen)), as, List.of());
  }

  private static SeenOutcome seen(TrimOutcome outcome, int strength) {
    return new SeenOutcome(outcome, strength, Turn.BOTH);
  }

  private static Coach.CoachPlan plan(FlownState now, List<Coach.Flown> flown) {
    Map<String, Coach.LevelTrim> level =
        now.setup().phases().stream()
            .collect(Collectors.toMap(one -> one.id(), one -> Coach.LevelTrim.SETTLED));
    return Coach.plan(new Coach.Asked(now, flown, List.of(), level, false));
  }

  private static Coach.TestStanding of(Coach.CoachPlan plan, TrimTest test) {
    return plan.tests().stream().filter(one -> one.test().test() == test).findFirst().orElseThrow();
  }

  private static List<String> names(Setup setup) {
    return TestCase.of(setup).stream()
        .map(one -> one.test().id() + (one.part().isEmpty() ? "" : " " + one.part()))
        .toList();
  }

  @Test
  void everyKindHasItsTestsInTheirOrder() {
    assertThat(names(BIPLANE))
        .containsExactly(
            "levelTrim flight",
            "throttleChange",
            "inverted45",
            "invertedLevel",
            "verticalUp",
            "rollAxis",
            "knifeEdge",
            "verticalDown",
            "feel");
    assertThat(names(GLIDER))
        .doesNotContain("inverted45", "verticalUp", "knifeEdge", "invertedLevel")
        .contains("dive", "brakes 33", "brakes 67", "brakes 100", "stall");
    assertThat(names(WING))
        .contains("dive", "invertedLevel", "rollAxis")
        .doesNotContain("knifeEdge");
    assertThat(say(TestCard.of(WING, new TestCase(TrimTest.DIVE, "")).flown().get(1)))
        .contains("Pass slowly");
    assertThat(ModelKind.of(BIPLANE)).isEqualTo(ModelKind.POWERED);
    assertThat(ModelKind.of(GLIDER)).isEqualTo(ModelKind.GLIDER);
    assertThat(ModelKind.of(WING)).isEqualTo(ModelKind.WING);
  }

  @Test
  void theFirstTestThatDoesNotStandComesNext() {
    FlownState now = as(BIPLANE);
    Coach.CoachPlan fresh = plan(now, List.of());
    assertThat(fresh.nextTest().orElseThrow().test().test()).isEqualTo(TrimTest.THROTTLE_CHANGE);
    assertThat(say(fresh.goal())).isEqualTo("Throttle change: fly it and note what you saw.");
    assertThat(fresh.tests().get(1).openBefore()).isFalse();
    assertThat(fresh.tests().get(2).openBefore()).isTrue();
    Coach.CoachPlan later = plan(now, List.of(flown(TrimTest.THROTTLE_CHANGE, "", now)));
    assertThat(of(later, TrimTest.THROTTLE_CHANGE).state()).isEqualTo(Coach.State.STANDS);
    assertThat(later.nextTest().orElseThrow().test().test()).isEqualTo(TrimTest.INVERTED_45);
    Coach.CoachPlan skipping =
        Coach.plan(
            new Coach.Asked(
                now,
                List.of(),
                List.of(new Coach.Skipped(new TestCase(TrimTest.THROTTLE_CHANGE, ""), "no room")),
                Map.of("flight", Coach.LevelTrim.FLOWN),
                false));
    assertThat(of(skipping, TrimTest.THROTTLE_CHANGE).state()).isEqualTo(Coach.State.SKIPPED);
    assertThat(say(of(skipping, TrimTest.THROTTLE_CHANGE).words())).contains("no room");
    assertThat(skipping.nextTest().orElseThrow().test().test()).isEqualTo(TrimTest.INVERTED_45);
    Coach.CoachPlan level = Coach.plan(new Coach.Asked(now, List.of(), List.of(), Map.of(), false));
    assertThat(level.nextTest().orElseThrow().test().test()).isEqualTo(TrimTest.LEVEL_TRIM);
  }

  @Test
  void anOutcomeBecomesOneChangeInTheModelsOwnUnits() {
    FlownState now = as(BIPLANE);
    Coach.CoachPlan plan =
        plan(now, List.of(flown(TrimTest.KNIFE_EDGE, "", now, seen(TrimOutcome.TO_BELLY, 2))));
    CoachAdvice advice = of(plan, TrimTest.KNIFE_EDGE).advice();
    // The demo biplane has 2.5 % behind a rate of 90: clear is 4 more, to the next half.
    assertThat(advice.lever()).isEqualTo(TrimLever.RUDDER_TO_ELEVATOR);
    assertThat(advice.verdict()).isEqualTo(TrimStep.Verdict.TRY);
    assertThat(advice.from()).isCloseTo(2.25, within(1e-9));
    assertThat(advice.to()).isEqualTo(6.5);
    assertThat(say(advice.words()))
        .startsWith("First step: 4.3 % more up elevator with full rudder, so 6.5 %");
    assertThat(say(advice.sizes().get(0))).contains("mm to ").contains("at full right rudder");
    Setup moved =
        TrimLeverValues.moved(
            TrimLever.RUDDER_TO_ELEVATOR, BIPLANE, KNIFE, advice.to(), English.NAMES);
    assertThat(moved.mixes()).hasSameSizeAs(BIPLANE.mixes());
    assertThat(TrimLeverValues.value(TrimLever.RUDDER_TO_ELEVATOR, moved, KNIFE))
        .isCloseTo(advice.to(), within(0.06));
  }

  @Test
  void washersPacksAndTipsAreWorkedOut() {
    FlownState now = new FlownState(BIPLANE, "4S 3300, pack A", 115, Map.of());
    Coach.CoachPlan up =
        plan(now, List.of(flown(TrimTest.VERTICAL_UP, "", now, seen(TrimOutcome.DRIFTS_LEFT, 2))));
    // 25 mm · tan 1° = 0.44 mm, under the left bolts, so that the shaft points right.
    assertThat(English.say(of(up, TrimTest.VERTICAL_UP).advice().sizes()))
        .containsExactly(
            "A washer of 0.44 mm under the left bolts of the mount (bolts 25 mm apart).");
    Coach.CoachPlan across =
        plan(
            now, List.of(flown(TrimTest.INVERTED_LEVEL, "", now, seen(TrimOutcome.LEFT_RISES, 1))));
    // 0.1 % of 2050 + 365 g.
    assertThat(English.say(of(across, TrimTest.INVERTED_LEVEL).advice().sizes()).get(0))
        .startsWith("2 g at the left wing tip");
    Coach.CoachPlan balance =
        plan(now, List.of(flown(TrimTest.INVERTED_45, "", now, seen(TrimOutcome.CLIMBS, 1))));
    CoachAdvice advice = of(balance, TrimTest.INVERTED_45).advice();
    assertThat(say(advice.words())).contains("further forward");
    assertThat(English.say(advice.sizes())).anyMatch(one -> one.startsWith("Move 4S 3300, pack A"));
  }

  @Test
  void leftAndRightThatDisagreeAreNamed() {
    FlownState now = as(BIPLANE);
    SeenOutcome left = new SeenOutcome(TrimOutcome.AWAY_FROM_THE_ROLL, 2, Turn.LEFT);
    SeenOutcome right = new SeenOutcome(TrimOutcome.TOWARDS_THE_ROLL, 1, Turn.RIGHT);
    Coach.CoachPlan plan = plan(now, List.of(flown(TrimTest.ROLL_AXIS, "", now, left, right)));
    CoachAdvice advice = of(plan, TrimTest.ROLL_AXIS).advice();
    assertThat(advice.lever()).isNull();
    assertThat(say(advice.words())).contains("opposite changes");
    SeenOutcome same = new SeenOutcome(TrimOutcome.AWAY_FROM_THE_ROLL, 1, Turn.RIGHT);
    Coach.CoachPlan agreeing = plan(now, List.of(flown(TrimTest.ROLL_AXIS, "", now, left, same)));
    // Two and one are one and a half: clear.
    assertThat(
            of(agreeing, TrimTest.ROLL_AXIS).advice().to()
                - of(agreeing, TrimTest.ROLL_AXIS).advice().from())
        .isEqualTo(10);
  }

  @Test
  void theHouseRuleOfDifferentialCanBeTurnedRound() {
    FlownState now = as(BIPLANE);
    List<Coach.Flown> flown =
        List.of(flown(TrimTest.ROLL_AXIS, "", now, seen(TrimOutcome.AWAY_FROM_THE_ROLL, 1)));
    Coach.CoachPlan turned =
        Coach.plan(
            new Coach.Asked(now, flown, List.of(), Map.of("flight", Coach.LevelTrim.FLOWN), true));
    CoachAdvice advice = of(turned, TrimTest.ROLL_AXIS).advice();
    assertThat(advice.to() - advice.from()).isEqualTo(-5);
    assertThat(say(advice.why())).contains("opposite to the mechanics");
  }

  /** A new test is told in full, or this fails: its words, one for each step and no step more. */
  @ParameterizedTest
  @EnumSource(TrimTest.class)
  void everyTestHasItsWordsAndIsFlownWithSomeModel(TrimTest test) {
    List<String> words =
        new ArrayList<>(List.of("TrimTest." + test, "TestTells." + test, "TestWatch." + test));
    for (int step = 1; step <= test.flown().steps(); step++) {
      words.add("TestStep." + test + "." + step);
    }
    test.seen().forEach(one -> words.add("TrimOutcome." + one));
    words.add("TestCaution." + test.flown().height());
    assertThat(words).allMatch(English::has);
    assertThat(English.has("TestStep." + test + "." + (test.flown().steps() + 1))).isFalse();
    assertThat(test.voidedBy()).contains(VoidingChange.SERVO, VoidingChange.REPAIR);
    test.levers().forEach(one -> assertThat(test.voidedBy()).contains(one.moved()));
    boolean flown =
        Stream.of("quillon", "larkmere", "brindle", "skerrow")
            .map(DemoModels::read)
            .flatMap(one -> Stream.of(PhaseRole.values()).map(role -> firstPhase(one, role)))
            .anyMatch(one -> !test.parts().of(one).isEmpty());
    assertThat(flown).as("a model it is flown with").isTrue();
  }

  private static Setup firstPhase(Setup setup, PhaseRole role) {
    List<Phase> phases = new ArrayList<>(setup.phases());
    Phase one = phases.get(0);
    phases.set(
        0,
        new Phase(
            one.id(),
            one.name(),
            one.goal(),
            role,
            one.when(),
            one.fadeSeconds(),
            one.presets(),
            one.differential(),
            one.ownRoll(),
            one.ownPitch(),
            one.ownYaw(),
            one.trims(),
            one.nose()));
    return setup.change().phases(phases).done();
  }

  /** Every row of the table, by test: what is void after it. */
  @ParameterizedTest
  @CsvSource({
    "BALANCE, levelTrim throttleChange inverted45 dive verticalDown knifeEdge",
    "PACK, levelTrim throttleChange inverted45 dive verticalDown knifeEdge",
    "THRUST, levelTrim throttleChange verticalUp knifeEdge verticalDown",
    "PROPELLER, levelTrim throttleChange verticalUp knifeEdge verticalDown",
    "MOTOR, levelTrim throttleChange verticalUp knifeEdge verticalDown",
    "ACROSS, levelTrim invertedLevel rollAxis",
    "DIFFERENTIAL, rollAxis knifeEdge",
    "RUDDER_TO_ELEVATOR, knifeEdge verticalDown brakes",
    "RUDDER_TO_AILERON, knifeEdge",
    "LOW_THROTTLE_TO_ELEVATOR, verticalDown brakes",
    "BRAKE_TO_ELEVATOR, brakes",
    "AILERON_TO_RUDDER, circling"
  })
  void aChangeVoidsWhatItVoids(VoidingChange moved, String tests) {
    Set<String> wanted = Set.of(tests.split(" "));
    for (TrimTest test : TrimTest.values()) {
      assertThat(moved.voids(test)).as(test.id()).isEqualTo(wanted.contains(test.id()));
    }
  }

  private static Set<TrimTest> voidAfter(FlownState then, FlownState now, List<PartKind> parts) {
    List<Coach.Flown> flown = new ArrayList<>();
    for (TestCase one : TestCase.of(then.setup())) {
      flown.add(new Coach.Flown(1, new TestResult(one.test(), one.part(), List.of()), then, parts));
    }
    return plan(now, flown).tests().stream()
        .filter(one -> one.state() == Coach.State.VOID)
        .map(one -> one.test().test())
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(TrimTest.class)));
  }

  @Test
  void whatHasMovedIsSeenInTheModelItself() {
    FlownState then = as(BIPLANE);
    assertThat(voidAfter(then, then, List.of())).isEmpty();
    FlownState aft = new FlownState(BIPLANE, "", then.cgMm() + 3, Map.of());
    assertThat(voidAfter(then, aft, List.of()))
        .containsExactlyInAnyOrder(
            TrimTest.THROTTLE_CHANGE,
            TrimTest.INVERTED_45,
            TrimTest.KNIFE_EDGE,
            TrimTest.VERTICAL_DOWN);
    FlownState thrust = then.withAtModel(TrimLever.RIGHT_THRUST, 1);
    assertThat(voidAfter(then, thrust, List.of()))
        .containsExactlyInAnyOrder(
            TrimTest.THROTTLE_CHANGE,
            TrimTest.VERTICAL_UP,
            TrimTest.KNIFE_EDGE,
            TrimTest.VERTICAL_DOWN);
    FlownState across = then.withAtModel(TrimLever.LATERAL, 0.2);
    assertThat(voidAfter(then, across, List.of()))
        .containsExactlyInAnyOrder(TrimTest.INVERTED_LEVEL, TrimTest.ROLL_AXIS);
    TestCase roll = new TestCase(TrimTest.ROLL_AXIS, "");
    FlownState diff =
        as(TrimLeverValues.moved(TrimLever.DIFFERENTIAL, BIPLANE, roll, 12, English.NAMES));
    assertThat(voidAfter(then, diff, List.of()))
        .containsExactlyInAnyOrder(TrimTest.ROLL_AXIS, TrimTest.KNIFE_EDGE);
    FlownState knife =
        as(TrimLeverValues.moved(TrimLever.RUDDER_TO_AILERON, BIPLANE, KNIFE, 3, English.NAMES));
    assertThat(voidAfter(then, knife, List.of())).containsExactly(TrimTest.KNIFE_EDGE);
    assertThat(voidAfter(then, then, List.of(PartKind.SERVO))).hasSize(8);
    assertThat(voidAfter(then, then, List.of(PartKind.RECEIVER, PartKind.ROD))).isEmpty();
    assertThat(voidAfter(then, then, List.of(PartKind.PROPELLER))).hasSize(4);
  }

  @Test
  void packsOfAnotherMassOrPlaceVoidAndTheSamePackDoesNot() {
    FlownState one = new FlownState(BIPLANE, "4S 3300, pack A", 115, Map.of());
    FlownState other = new FlownState(BIPLANE, "4S 3300, pack B", 115, Map.of());
    assertThat(voidAfter(one, one, List.of())).isEmpty();
    assertThat(voidAfter(one, other, List.of())).contains(TrimTest.INVERTED_45);
  }

  @Test
  void brakesHaveAPointForEverySetting() {
    TestCase third = new TestCase(TrimTest.BRAKES, "33");
    TestCase full = new TestCase(TrimTest.BRAKES, "100");
    double before = TrimLeverValues.value(TrimLever.BRAKE_TO_ELEVATOR, GLIDER, full);
    Setup moved =
        TrimLeverValues.moved(TrimLever.BRAKE_TO_ELEVATOR, GLIDER, third, -7, English.NAMES);
    assertThat(TrimLeverValues.value(TrimLever.BRAKE_TO_ELEVATOR, moved, third))
        .isCloseTo(-7, within(1e-9));
    assertThat(TrimLeverValues.value(TrimLever.BRAKE_TO_ELEVATOR, moved, full))
        .isCloseTo(before, within(1e-9));
    FlownState then = as(GLIDER);
    Coach.CoachPlan plan =
        plan(
            as(moved),
            List.of(flown(TrimTest.BRAKES, "33", then), flown(TrimTest.BRAKES, "100", then)));
    assertThat(state(plan, third)).isEqualTo(Coach.State.VOID);
    assertThat(state(plan, full)).isEqualTo(Coach.State.STANDS);
  }

  private static Coach.State state(Coach.CoachPlan plan, TestCase test) {
    return plan.tests().stream()
        .filter(one -> one.test().equals(test))
        .findFirst()
        .orElseThrow()
        .state();
  }

  @Test
  void everyLeverOfTheProgramCanBeBuiltAndReadBack() {
    for (Setup setup : List.of(BIPLANE, GLIDER, WING, DemoModels.read("brindle"))) {
      for (TestCase test : TestCase.of(setup)) {
        for (TrimLever lever : test.test().levers()) {
          if (lever.inProgram()) {
            for (double value : new double[] {6, -3.5, 0}) {
              Setup moved = TrimLeverValues.moved(lever, setup, test, value, English.NAMES);
              assertThat(TrimLeverValues.value(lever, moved, test))
                  .as(setup.name() + " " + test + " " + lever)
                  .isCloseTo(value, within(0.06));
            }
          }
        }
      }
    }
  }

  /** Both ailerons from one servo: no program can part them, the lean of the arm does. */
  @Test
  void differentialOfOneServoIsWorkedOutAsGeometry() throws Exception {
    Setup one =
        new com.fasterxml.jackson.databind.ObjectMapper()
            .readValue(
                java.nio.file.Files.readString(
                    java.nio.file.Path.of(
                        "../app/src/main/resources/kinds/tailed-one-aileron-servo.json")),
                Setup.class);
    TestCase roll = new TestCase(TrimTest.ROLL_AXIS, "");
    assertThat(SharedAilerons.of(one)).isTrue();
    assertThat(SharedAilerons.of(BIPLANE)).isFalse();
    double begin = TrimLeverValues.value(TrimLever.DIFFERENTIAL, one, roll);
    Setup leant =
        TrimLeverValues.moved(TrimLever.DIFFERENTIAL, one, roll, begin + 20, English.NAMES);
    assertThat(leant.phases()).isEqualTo(one.phases());
    assertThat(TrimLeverValues.value(TrimLever.DIFFERENTIAL, leant, roll))
        .isCloseTo(begin + 20, within(3.0));
    FlownState now = as(one);
    Coach.CoachPlan plan =
        plan(
            now,
            List.of(flown(TrimTest.ROLL_AXIS, "", now, seen(TrimOutcome.AWAY_FROM_THE_ROLL, 3))));
    CoachAdvice advice = of(plan, TrimTest.ROLL_AXIS).advice();
    assertThat(English.say(advice.sizes()))
        .anyMatch(words -> words.startsWith("At the bench, since one channel drives both"));
    // Down is less than before on the side that goes down, in millimetres of the bench itself.
    assertThat(advice.to() - advice.from()).isEqualTo(20);
  }
}
