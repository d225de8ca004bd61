package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.adjustment.WorthTurning.ControlWorth;
import hightally.core.flightlog.PhaseReading;
import hightally.core.history.TrueModel;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WorthTurningTest {
  private static final List<Control> ALL = List.of(Control.values());

  private static FlownTrims base(Setup setup, Trims trims, List<RodAlternative> means) {
    return new FlownTrims(
        setup.basePhase().id(),
        List.of(FlownTrims.reading(setup.basePhase().id(), trims)),
        false,
        ALL,
        means,
        List.of(),
        List.of());
  }

  private static WorthTurning of(Setup setup, Trims trims) {
    return WorthTurning.of(setup, base(setup, trims, List.of()));
  }

  private static ControlWorth pitch(WorthTurning worth) {
    return worth.verdicts().stream()
        .filter(one -> one.control() == Control.PITCH)
        .findFirst()
        .orElseThrow();
  }

  /** The plain way: turn the pushrods of a plan, and see which clicks the model needs then. */
  @Test
  void whatIsLeftIsWhatTheTurnedModelNeeds() {
    Random random = new Random(15);
    for (String name : List.of("quillon", "skerrow", "brindle", "larkmere")) {
      Setup setup = DemoModels.read(name);
      for (int round = 0; round < 12; round++) {
        Trims trims =
            new Trims(
                random.nextInt(31) - 15,
                random.nextInt(31) - 15,
                name.equals("skerrow") ? 0 : random.nextInt(31) - 15);
        WorthTurning worth = of(setup, trims);
        double before = 0;
        double after = 0;
        for (ControlWorth one : worth.verdicts()) {
          before += Math.abs(one.clicks());
          after += Math.abs(one.worth() ? one.leftClicks() : one.clicks());
          if (one.worth()) {
            assertThat(Math.abs(one.leftClicks()))
                .as(name + " " + trims + " " + one)
                .isLessThanOrEqualTo(
                    Math.abs(one.clicks()) - WorthTurning.LEAST_GAIN_CLICKS + 1e-6);
          }
        }
        assertThat(after).isLessThanOrEqualTo(before);
        TrueModel real = new TrueModel(setup);
        String phase = setup.basePhase().id();
        real.fliesWith(phase, trims);
        FlownTrims flown = base(setup, trims, List.of());
        if (!worth.controls().isEmpty()) {
          List<PlannedRod> rods = AdjustmentPlanner.plan(setup, flown.of(worth.controls())).rods();
          assertThat(rods).as(name + trims).anyMatch(PlannedRod::toDo);
          rods.forEach(rod -> real.turn(rod.surface(), rod.steps()));
          double[] needs = real.needs(phase);
          for (ControlWorth one : worth.verdicts()) {
            if (one.worth()) {
              assertThat(needs[one.control().ordinal()])
                  .as(name + " " + trims + " " + one)
                  .isCloseTo(one.leftClicks(), within(0.4));
            }
          }
        }
      }
    }
  }

  @Test
  void halfATurnIsSoManyClicksAndTheLineIsOneAndAHalf() {
    Setup setup = DemoModels.read("quillon");
    double step = pitch(of(setup, new Trims(0, 1, 0))).stepClicks();
    assertThat(step).isBetween(3.0, 6.0);
    for (int clicks = 1; clicks <= 12; clicks++) {
      WorthTurning worth = of(setup, new Trims(0, clicks, 0));
      double steps = Math.floor(clicks / step + 0.5);
      double gain = clicks - Math.abs(clicks - steps * step);
      // Near the line itself the linkage's bend decides.
      if (Math.abs(gain - WorthTurning.LEAST_GAIN_CLICKS) > 0.1) {
        assertThat(worth.controls().contains(Control.PITCH))
            .as(clicks + " of " + step)
            .isEqualTo(gain > WorthTurning.LEAST_GAIN_CLICKS);
      }
    }
    assertThat(say(pitch(of(setup, new Trims(0, 1, 0))).words()))
        .startsWith("Pitch stays at 1 click nose up: one step of the clevis or ball link is")
        .contains("cannot do better than ±");
    assertThat(say(pitch(of(setup, new Trims(0, 12, 0))).words()))
        .startsWith("Pitch: 12 clicks nose up go into the pushrods");
    assertThat(of(setup, Trims.ZERO).verdicts()).isEmpty();
  }

  @Test
  void aFinerEndMakesItWorthTurning() {
    Setup setup = DemoModels.read("quillon");
    Trims two = new Trims(0, 2, 0);
    assertThat(of(setup, two).controls()).isEmpty();
    RodAlternative finer =
        new RodAlternative("elevator", 0, new RodEnd(RodEndKind.TURNBUCKLE, 0.3));
    WorthTurning worth = WorthTurning.of(setup, base(setup, two, List.of(finer)));
    assertThat(worth.controls()).containsExactly(Control.PITCH);
    assertThat(pitch(worth).close()).as("only just: two clicks cannot gain more").isTrue();
    assertThat(pitch(of(setup, two)).close()).as("not turned").isFalse();
    assertThat(pitch(of(setup, new Trims(0, 12, 0))).close()).as("clearly").isFalse();
    FlownTrims wanted = base(setup, two, List.of(finer)).of(List.of(Control.PITCH));
    List<WorkStep> steps = AdjustmentPlanner.plan(setup, wanted).steps();
    assertThat(steps)
        .filteredOn(one -> one.kind() == WorkStep.Kind.FIT)
        .singleElement()
        .satisfies(one -> assertThat(one.surface()).isEqualTo("elevator"))
        .satisfies(one -> assertThat(say(one.title())).isEqualTo("Elevator: fit the turnbuckle"));
    assertThat(steps).extracting(WorkStep::kind).doesNotContain(WorkStep.Kind.SEAT);
    assertThat(steps)
        .filteredOn(one -> one.kind() == WorkStep.Kind.TURN)
        .extracting(WorkStep::surface)
        .containsExactly("elevator");
  }

  @Test
  void phasesThatAreNotNamedComeAfterThoseThatAre() {
    Setup glider = DemoModels.read("larkmere");
    FlownTrims some =
        new FlownTrims("speed", List.of(FlownTrims.reading("speed", new Trims(0, 5, 0))));
    assertThat(some.mostFlownFirst(glider))
        .startsWith("speed")
        .hasSameSizeAs(glider.phases())
        .doesNotHaveDuplicates();
    assertThat(some.standing(glider)).isEqualTo(new Trims(0, 5, 0));
  }

  @Test
  void anArmATeethOverLeavesTheRodTheRest() {
    Setup setup = DemoModels.read("quillon");
    Trims trims = new Trims(0, 24, 0);
    AdjustmentPlan plain = AdjustmentPlanner.plan(setup, base(setup, trims, List.of()));
    long turned = steps(plain);
    List<RodMethod> offered =
        plain.ways().stream().filter(one -> one.surface().equals("elevator")).toList();
    assertThat(say(offered.stream().map(RodMethod::words).toList()))
        .containsExactly(
            "turn the existing end",
            "fit a turnbuckle first",
            "move the arm one tooth away from the surface");
    assertThat(offered).extracting(RodMethod::chosen).containsExactly(true, false, false);
    FlownTrims over = base(setup, trims, List.of(offered.get(2).means()));
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, over);
    assertThat(plan.ways())
        .filteredOn(one -> one.surface().equals("elevator"))
        .extracting(RodMethod::chosen)
        .containsExactly(false, false, true);
    assertThat(Math.abs(steps(plan))).isLessThan(Math.abs(turned));
    double then =
        SignalPath.of(setup)
            .evaluateTrimmed(Moment.centred(Trims.ZERO).withThrottle(0.5, true), 0, trims)
            .travelMm()[4];
    Setup after = plan.after();
    double now =
        SignalPath.of(after)
            .evaluateTrimmed(Moment.centred(Trims.ZERO).withThrottle(0.5, true), 0, after.trims())
            .travelMm()[4];
    assertThat(now).isCloseTo(then, within(0.35));
    assertThat(plan.steps()).extracting(WorkStep::kind).contains(WorkStep.Kind.SEAT);
    assertThat(after.servo("servo-elevator").orElseThrow().armOffsetDegrees())
        .isNotEqualTo(setup.servo("servo-elevator").orElseThrow().armOffsetDegrees());
  }

  private static long steps(AdjustmentPlan plan) {
    return plan.rods().stream()
        .filter(one -> one.surface().equals("elevator"))
        .mapToLong(PlannedRod::steps)
        .sum();
  }

  /** Where the reference owns a trim, the phases that share it go on flying as they did. */
  @Test
  void aReferenceWithItsOwnTrimLeavesTheSharersFlyingAsTheyDid() {
    Random random = new Random(16);
    Setup glider = DemoModels.read("larkmere");
    for (int round = 0; round < 25; round++) {
      String reference = List.of("speed", "thermal-1", "landing").get(round % 3);
      List<PhaseReading> readings = new ArrayList<>();
      int roll = random.nextInt(9) - 4;
      int yaw = random.nextInt(9) - 4;
      for (Phase phase : glider.phases()) {
        int pitch = random.nextInt(25) - 12;
        readings.add(FlownTrims.reading(phase.id(), new Trims(roll, pitch, yaw)));
      }
      Setup setup = owning(glider, reference);
      FlownTrims flown = new FlownTrims(reference, readings, false, List.of(Control.PITCH));
      AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown);
      for (PhaseOutcome outcome : plan.phases()) {
        boolean shares = !setup.phase(outcome.phase()).orElseThrow().ownPitch();
        assertThat(outcome.after().roll()).as(outcome.phase()).isEqualTo(roll);
        if (shares) {
          assertThat(outcome.after().pitch())
              .as("one entry for all that share it")
              .isEqualTo(plan.after().trims().pitch());
        }
        SignalPath before = SignalPath.of(setup);
        SignalPath after = SignalPath.of(plan.after());
        int index = setup.phases().indexOf(setup.phase(outcome.phase()).orElseThrow());
        Moment rest = Moment.centred(Trims.ZERO).withThrottle(0.5, true);
        double[] stood = before.evaluateTrimmed(rest, index, outcome.before()).travelMm();
        double[] stands =
            after
                .evaluateTrimmed(
                    rest, index, plan.after().phases().get(index).effective(plan.after().trims()))
                .travelMm();
        boolean decides = shares && outcome.phase().equals(firstSharer(setup, readings));
        if (decides || outcome.phase().equals(reference)) {
          for (int i = 0; i < stood.length; i++) {
            assertThat(stands[i])
                .as(reference + " " + outcome.phase() + " surface " + i)
                .isCloseTo(stood[i], within(0.35));
          }
        }
      }
    }
  }

  private static String firstSharer(Setup setup, List<PhaseReading> readings) {
    return readings.stream()
        .map(PhaseReading::phase)
        .filter(one -> !setup.phase(one).orElseThrow().ownPitch())
        .findFirst()
        .orElseThrow();
  }

  /** Only the reference has a pitch trim of its own; all the others share one. */
  private static Setup owning(Setup setup, String reference) {
    return setup
        .change()
        .phases(
            setup.phases().stream()
                .map(
                    one ->
                        new Phase(
                            one.id(),
                            one.name(),
                            one.goal(),
                            one.role(),
                            one.when(),
                            one.fadeSeconds(),
                            one.presets(),
                            one.differential(),
                            false,
                            one.id().equals(reference),
                            false,
                            one.id().equals(reference) ? one.trims() : Trims.ZERO,
                            one.nose()))
                .toList())
        .done();
  }
}
