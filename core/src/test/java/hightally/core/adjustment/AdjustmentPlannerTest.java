package hightally.core.adjustment;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.adjustment.WorkStep.Kind;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodChange;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class AdjustmentPlannerTest {
  @Example
  void handWorkedClevis() {
    // 16 clicks up at 0.5 %: 8 % of pitch, half to each elevon: 4 % = 20 µs = 1.8° of arm and, on a
    // parallelogram, of surface (the arm's 0.5° offset is there with and without trim). The rod
    // must
    // push the horn's hole, 12 mm over the hinge, from 0.5° to 2.3°: 12·(sin 2.3° - sin 0.5°) =
    // 0.3769 mm along a long rod. M2 thread, 0.4 mm: 0.94 turns, so two half turns out, 0.4 mm.
    AdjustmentPlan plan = AdjustmentPlanner.plan(Rigs.plain(), new Trims(0, 16, 0));
    PlannedRod left = rod(plan, "left");
    assertThat(left.exactMm()).isCloseTo(0.3769, within(2e-3));
    assertThat(left.steps()).isEqualTo(2);
    assertThat(left.direction()).isEqualTo(RodDirection.LENGTHEN);
    assertThat(say(left.sentence()))
        .startsWith("left: 1 turn out. The trailing edge goes up by 1.7 mm.");
  }

  @Example
  void theSecondOfAPairIsMarkedWithTheTrimPutBack() {
    AdjustmentPlan plan = AdjustmentPlanner.plan(Rigs.plain(), new Trims(0, 16, 0));
    List<Kind> kinds = plan.steps().stream().map(WorkStep::kind).toList();
    assertThat(kinds)
        .containsExactly(
            Kind.SAFETY,
            Kind.TRIMS_IN,
            Kind.MARK,
            Kind.ZERO,
            Kind.TURN,
            Kind.CHECK,
            Kind.TRIM_BACK,
            Kind.MARK,
            Kind.ZERO,
            Kind.TURN,
            Kind.CHECK,
            Kind.TRIMS_IN,
            Kind.VERIFY);
    assertThat(say(plan.steps().get(6).title()))
        .isEqualTo("Put the trim back: pitch 16 clicks nose up");
  }

  @Example
  void aLargeTrimIsCalledASymptom() {
    AdjustmentPlan plan = AdjustmentPlanner.plan(Rigs.plain(), new Trims(30, 10, 0));
    assertThat(say(plan.cautions()))
        .hasSize(1)
        .first()
        .asString()
        .contains("roll trim of 30 clicks right");
  }

  @Example
  void refusesClicksTheTransmitterCannotHave() {
    assertThatThrownBy(() -> AdjustmentPlanner.plan(Rigs.plain(), new Trims(0, 61, 0)))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("trims.pitch is 61; it must be -60 to 60 clicks"));
  }

  @Example
  void aLinkageThatCannotReachSaysHowFarItDoesAndWhatElseToDo() {
    Setup long60 =
        Rigs.plain()
            .withSurfaces(
                Rigs.plain().surfaces().stream()
                    .map(one -> one.withRod(one.rod().withArm(60)))
                    .toList());
    assertThatThrownBy(() -> AdjustmentPlanner.plan(long60, new Trims(0, 60, 0)))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("locked with what drives it at"))
        .satisfies(saying("this one goes from"))
        .satisfies(saying("further in on the arm"));
  }

  @Property
  void afterTheStepsEverySurfaceStandsWithinHalfAStepOfWhereItFlew(
      @ForAll long seed,
      @ForAll @IntRange(min = -20, max = 20) int roll,
      @ForAll @IntRange(min = -20, max = 20) int pitch) {
    Setup setup = Rigs.random(seed);
    Trims trims = new Trims(roll, pitch, 0);
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, trims);
    Positions flown = SignalPath.of(setup).evaluate(Moment.centred(trims));
    Positions now = SignalPath.of(plan.after()).evaluate(Moment.centred(Trims.ZERO));
    SignalPath path = SignalPath.of(setup);
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      PlannedRod rod = rod(plan, surface.id());
      double error = now.travelMm()[i] - flown.travelMm()[i];
      assertThat(error).isCloseTo(rod.errorMm(), within(1e-9));
      double halfStep = surface.rod().end().stepMm() / 2;
      double longest = path.bar(i).rodLengthMm() + rod.exactMm();
      double driver = path.driverDegrees(i, path.evaluate(Moment.centred(Trims.ZERO)));
      double most =
          Math.max(
              slip(path, i, surface, longest, halfStep, driver, rod.targetMm()),
              slip(path, i, surface, longest, -halfStep, driver, rod.targetMm()));
      if (!rod.slave()) {
        assertThat(Math.abs(error)).isLessThanOrEqualTo(most + 1e-9);
      }
    }
  }

  @Property
  void withTheExactRodNothingIsLeft(
      @ForAll long seed, @ForAll @IntRange(min = -20, max = 20) int pitch) {
    Setup setup = Rigs.random(seed);
    SignalPath path = SignalPath.of(setup);
    int left = path.indexOf("left");
    double with = path.driverDegrees(left, path.evaluate(Moment.centred(new Trims(0, pitch, 0))));
    double without = path.driverDegrees(left, path.evaluate(Moment.centred(Trims.ZERO)));
    Surface surface = setup.surfaces().get(left);
    RodChange.Found change =
        (RodChange.Found) RodChange.of(path.bar(left), surface.rod().end(), 50, with, without);
    double after =
        path.bar(left)
            .withRod(path.bar(left).rodLengthMm() + change.changeMm())
            .surfaceAngle(without);
    assertThat(surface.travelMm(after)).isCloseTo(change.targetTravelMm(), within(1e-9));
  }

  private static double slip(
      SignalPath path, int i, Surface part, double rod, double by, double driver, double target) {
    double degrees = path.bar(i).withRod(rod + by).surfaceAngle(driver);
    return Math.abs(part.travelMm(degrees) - target);
  }

  private static PlannedRod rod(AdjustmentPlan plan, String surface) {
    return plan.rods().stream()
        .filter(one -> one.surface().equals(surface))
        .findFirst()
        .orElseThrow();
  }

  @net.jqwik.api.Example
  void aModelWithPhasesAndTrimsOfTheirOwnIsPlannedInItsBasePhase() {
    Setup plain = Rigs.plain();
    Phase own =
        new Phase(
            "own",
            "Own",
            "",
            PhaseRole.OTHER,
            "on",
            0,
            List.of(),
            List.of(),
            false,
            true,
            false,
            new Trims(0, 9, 0),
            NoseNote.NOT_FLOWN);
    Phase base =
        new Phase(
            "base",
            "Base",
            "",
            PhaseRole.OTHER,
            "",
            0,
            List.of(),
            List.of(),
            true,
            true,
            true,
            new Trims(0, 16, 0),
            NoseNote.NOT_FLOWN);
    Condition on = new Condition("on", "On", ConditionKind.SWITCH_AT, "switch", 1, List.of(), 0);
    Setup phased = plain.change().conditions(List.of(on)).phases(List.of(own, base)).done();
    Trims flown = new Trims(0, 16, 0);
    AdjustmentPlan expected = AdjustmentPlanner.plan(plain, flown);
    AdjustmentPlan found = AdjustmentPlanner.plan(phased, flown);
    assertThat(found.rods()).isEqualTo(expected.rods());
    assertThat(found.after().basePhase().trims()).isEqualTo(found.phases().get(1).after());
    assertThat(found.phases().get(1).after().pitch()).isBetween(-1, 1);
    // The other phase keeps flying as trimmed: the rods carry 16 of its 9 clicks now.
    assertThat(found.after().phases().get(0).trims().pitch()).isBetween(-8, -6);
    found.phases().get(0).errors().forEach(one -> assertThat(one.mm()).isBetween(-0.25, 0.25));
  }
}
