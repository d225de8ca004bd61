package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.adjustment.WorkStep.Kind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** The order of work: its words, and what it leaves when things have moved on. */
class WorkOrderTest {
  private static AdjustmentPlan plan(int roll, int pitch) {
    return AdjustmentPlanner.plan(Rigs.plain(), new Trims(roll, pitch, 0));
  }

  private static List<WorkStep> of(AdjustmentPlan plan, Kind kind) {
    return plan.steps().stream().filter(one -> one.kind() == kind).toList();
  }

  @Example
  void motorFirstAndTheTrimsTheFlightHad() {
    List<WorkStep> steps = plan(0, 16).steps();
    assertThat(steps.get(0).caution().isEmpty()).as("an unpowered model").isTrue();
    assertThat(say(steps.get(0).title())).contains("on the table");
    AdjustmentPlan motor = AdjustmentPlanner.plan(DemoModels.read("quillon"), new Trims(0, 12, 0));
    assertThat(say(motor.steps().get(0).title())).isEqualTo("Make the motor safe");
    assertThat(say(motor.steps().get(0).caution())).contains("propeller off");
    assertThat(say(steps.get(1).title())).isEqualTo("Trims in: pitch 16 clicks nose up");
    assertThat(say(steps.get(1).detail())).doesNotContain("stays in throughout");
    assertThat(AdjustmentPlanner.plan(Rigs.plain(), Trims.ZERO).steps())
        .extracting(WorkStep::kind)
        .containsExactly(Kind.SAFETY, Kind.TRIMS_IN, Kind.VERIFY);
    assertThat(say(AdjustmentPlanner.plan(Rigs.plain(), Trims.ZERO).steps().get(1).title()))
        .isEqualTo("Trims in: all at zero");
  }

  @Example
  void onlyTheControlsThatMoveTheSurfaceAreZeroed() {
    assertThat(say(of(plan(0, 16), Kind.ZERO).get(0).title())).isEqualTo("Trim to zero: pitch");
    assertThat(say(of(plan(16, 0), Kind.ZERO).get(0).title())).isEqualTo("Trim to zero: roll");
    AdjustmentPlan both = plan(20, -6);
    assertThat(say(of(both, Kind.ZERO).get(0).title())).isEqualTo("Trim to zero: roll and pitch");
    assertThat(say(of(both, Kind.TRIM_BACK).get(0).title()))
        .isEqualTo("Put the trim back: roll 20 clicks right, pitch 6 clicks nose down");
    // Yaw moves neither elevon: it is not named.
    AdjustmentPlan yaw = AdjustmentPlanner.plan(Rigs.plain(), new Trims(0, 16, 9));
    assertThat(say(of(yaw, Kind.ZERO).get(0).title())).isEqualTo("Trim to zero: pitch");
    assertThat(say(of(yaw, Kind.TRIM_BACK).get(0).title()))
        .isEqualTo("Put the trim back: pitch 16 clicks nose up");
  }

  @Example
  void whatTheEyeSeesAtEachStep() {
    // 16 clicks up are 1.8° or 1.6 mm: at zero the edge goes down by them, the rod brings it back.
    AdjustmentPlan up = plan(0, 16);
    assertThat(say(of(up, Kind.ZERO).get(0).detail())).contains("down by about 1.6 mm");
    assertThat(say(of(plan(0, -16), Kind.ZERO).get(0).detail())).contains("up by about 1.6 mm");
    assertThat(say(of(up, Kind.TURN).get(0).title())).isEqualTo("left: 1 turn out");
    assertThat(say(of(up, Kind.TURN).get(0).detail())).doesNotContain("slave");
    assertThat(say(of(up, Kind.CHECK).get(0).detail())).contains("within 0.1 mm");
    // 12 clicks: 1.35°, 0.283 mm of rod: one half turn of 0.2 mm leaves 0.083, 0.35 mm at the edge.
    assertThat(say(of(plan(0, 12), Kind.CHECK).get(0).detail())).contains("within 0.3 mm");
  }

  @Property(tries = 100)
  void theLastStepsSayWhatTheTransmitterShallShow(
      @ForAll @IntRange(min = -30, max = 30) int roll,
      @ForAll @IntRange(min = -30, max = 30) int pitch) {
    AdjustmentPlan plan = plan(roll, pitch);
    Trims after = plan.phases().get(0).after();
    WorkStep last = plan.steps().get(plan.steps().size() - 1);
    WorkStep before = plan.steps().get(plan.steps().size() - 2);
    if (after.allZero()) {
      assertThat(say(last.title())).startsWith("All trims at zero");
      assertThat(of(plan, Kind.TRIMS_IN)).hasSize(1);
    } else {
      assertThat(say(last.title())).startsWith("Trims as planned");
      assertThat(say(before.detail()))
          .startsWith("Flight: " + say(after.told(control -> true)) + ".");
    }
  }

  @Example
  void aSlaveRodIsCalledOne() {
    // One so fine, 0.017 mm a step, takes up what its master's half turns leave.
    Setup plain = Rigs.plain();
    Surface slave = plain.surface("slave").orElseThrow();
    Rod rod = slave.rod();
    RodEnd fine = new RodEnd(RodEndKind.TURNBUCKLE, 0.05);
    Setup setup =
        plain.withSurface(
            slave.withRod(
                new Rod(rod.driver(), rod.driverId(), rod.linkage(), fine, rod.adjustedMm())));
    List<WorkStep> slaves =
        IntStream.rangeClosed(-60, 60)
            .mapToObj(pitch -> planned(setup, pitch))
            .flatMap(plan -> of(plan, Kind.TURN).stream())
            .filter(step -> step.surface().equals("slave"))
            .toList();
    assertThat(slaves)
        .isNotEmpty()
        .allSatisfy(one -> assertThat(say(one.detail())).contains("This is the slave pushrod."));
  }

  private static AdjustmentPlan planned(Setup setup, int pitch) {
    return AdjustmentPlanner.plan(setup, new Trims(0, pitch, 0));
  }

  @Example
  void givingUpTurnsBackWhatWasTurnedTheLastFirst() {
    AdjustmentPlan plan = plan(0, 16);
    List<Kind> kinds = plan.steps().stream().map(WorkStep::kind).toList();
    int first = kinds.indexOf(Kind.TURN);
    int second = kinds.lastIndexOf(Kind.TURN);
    assertThat(say(plan.undoneFrom(0))).isEmpty();
    assertThat(say(plan.undoneFrom(first))).isEmpty();
    assertThat(say(plan.undoneFrom(first + 1))).containsExactly("left: 1 turn in.");
    assertThat(say(plan.undoneFrom(second))).containsExactly("left: 1 turn in.");
    List<String> both = List.of("right: 1 turn in.", "left: 1 turn in.");
    assertThat(say(plan.undoneFrom(second + 1))).isEqualTo(both);
    assertThat(say(plan.undoneFrom(1000))).isEqualTo(both);
  }

  @Example
  void onASetupUnchangedItLeavesThePlan() {
    Setup setup = Rigs.plain();
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, new Trims(0, 16, 0));
    assertThat(plan.onto(setup, setup)).isSameAs(plan.after());
  }

  @Example
  void onASetupThatMovedOnTheSameTurnsAreMade() {
    Setup setup = Rigs.plain();
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, new Trims(0, 16, 0));
    Phase base = setup.basePhase();
    Phase soft =
        new Phase(
            base.id(),
            "Renamed",
            "",
            PhaseRole.OTHER,
            "",
            2,
            List.of(),
            List.of(),
            true,
            true,
            true,
            new Trims(1, 2, 3),
            NoseNote.NOT_FLOWN);
    Setup now = setup.change().phases(List.of(soft)).trims(new Trims(9, 9, 9)).done();
    Setup left = plan.onto(setup, now);
    assertThat(left.trims()).isEqualTo(plan.after().trims());
    assertThat(left.basePhase().name()).isEqualTo("Renamed");
    assertThat(left.basePhase().trims()).isEqualTo(plan.after().basePhase().trims());
    for (PlannedRod rod : plan.rods()) {
      double before = now.surface(rod.surface()).orElseThrow().rod().lengthMm();
      assertThat(left.surface(rod.surface()).orElseThrow().rod().lengthMm())
          .isCloseTo(before + rod.appliedMm(), within(1e-12));
    }
    Setup named = setup.change().trims(new Trims(5, 0, 0)).done();
    assertThat(plan.onto(setup, named).phases()).isEqualTo(plan.after().phases());
  }

  @Example
  void aPhaseAddedSinceIsLeftAlone() {
    Setup setup = Rigs.plain();
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, new Trims(0, 16, 0));
    Phase added =
        new Phase(
            "new",
            "New",
            "",
            PhaseRole.OTHER,
            "",
            0,
            List.of(),
            List.of(),
            false,
            true,
            false,
            new Trims(0, 4, 0),
            NoseNote.NOT_FLOWN);
    Setup now = setup.change().phases(List.of(added, setup.basePhase())).done();
    assertThat(plan.onto(setup, now).phases().get(0)).isEqualTo(added);
  }

  @Property(tries = 150)
  void aTrimLeftInPercentWouldTakeTheErrorOut(
      @ForAll long seed, @ForAll @IntRange(min = -20, max = 20) int pitch) {
    Setup setup = Rigs.random(seed);
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, new Trims(0, pitch, 0));
    SignalPath before = SignalPath.of(setup);
    SignalPath after = SignalPath.of(plan.after());
    for (PlannedRod rod : plan.rods()) {
      if (rod.slave()) {
        assertThat(rod.leftPercent()).isZero();
      } else {
        int i = before.indexOf(rod.surface());
        double[] command = before.evaluate(Moment.centred(Trims.ZERO)).commandPercent();
        command[before.channelBehind(i)] += rod.leftPercent();
        assertThat(after.ofCommands(command).travelMm()[i])
            .isCloseTo(rod.targetMm(), within(0.4 * Math.abs(rod.errorMm()) + 1e-3));
      }
    }
    assertThat(plan.trims().of(Control.PITCH)).isEqualTo(pitch);
  }
}
