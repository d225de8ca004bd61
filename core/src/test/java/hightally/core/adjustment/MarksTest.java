package hightally.core.adjustment;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.adjustment.AdjustmentPlanner.Reckoned;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the marks say once rods are turned: the biplane's elevator, twelve clicks up. */
class MarksTest {
  private static final Setup SETUP = DemoModels.read("quillon");
  private static final Trims TWELVE = new Trims(0, 12, 0);
  private static final int ELEVATOR = 4;

  private static AdjustmentPlan plan(MarkSeen... marks) {
    return AdjustmentPlanner.plan(SETUP, flown(marks));
  }

  private static FlownTrims flown(MarkSeen... marks) {
    return FlownTrims.base(SETUP, TWELVE).withMade(List.of(marks));
  }

  private static PlannedRod rod(AdjustmentPlan plan) {
    return plan.rods().stream()
        .filter(one -> one.surface().equals("elevator"))
        .findFirst()
        .orElseThrow();
  }

  private static MarkSeen mark(long steps, double off) {
    return new MarkSeen("elevator", steps, off);
  }

  private static double travel(Setup setup, Trims trims) {
    Moment rest = Moment.centred(Trims.ZERO).withThrottle(0.5, true);
    return SignalPath.of(setup).evaluateTrimmed(rest, 0, trims).travelMm()[ELEVATOR];
  }

  private static double adjusted(AdjustmentPlan plan) {
    return plan.after().surface("elevator").orElseThrow().rod().adjustedMm();
  }

  private static double perClick() {
    return (travel(SETUP, TWELVE) - travel(SETUP, Trims.ZERO)) / 12;
  }

  @Test
  void whatTheEyeCannotTellFromTheArithmeticIsLeftToTheArithmetic() {
    AdjustmentPlan planned = plan();
    long steps = rod(planned).steps();
    AdjustmentPlan seen = plan(mark(steps, 0));
    assertThat(seen.after()).isEqualTo(planned.after());
    assertThat(seen.phases().get(0).exact()).isEqualTo(planned.phases().get(0).exact());
    assertThat(rod(seen).madeSteps()).isEqualTo(steps);
  }

  @Test
  void moreTurnsThanPlannedToTheMarkLeaveNoClicksAndAreKept() {
    long steps = rod(plan()).steps();
    AdjustmentPlan seen = plan(mark(steps + 2, 0));
    assertThat(seen.phases().get(0).exact().get(1)).isCloseTo(0, within(0.05));
    assertThat(seen.after().trims().pitch()).isZero();
    double step = SETUP.surface("elevator").orElseThrow().rod().end().stepMm();
    assertThat(adjusted(seen)).isCloseTo((steps + 2) * step, within(1e-9));
    assertThat(rod(seen).steps()).as("the plan is what it was").isEqualTo(steps);
    assertThat(rod(seen).appliedMm()).isCloseTo((steps + 2) * step, within(1e-9));
    assertThat(seen.undoneFrom(seen.steps().size())).hasSize(1);
  }

  @Test
  void offTheMarkIsMadeUpByClicks() {
    long steps = rod(plan()).steps();
    for (double off : new double[] {1.5, -1.5, 3}) {
      AdjustmentPlan seen = plan(mark(steps, off));
      // It stands so much from its mark: clicks the other way bring it back.
      assertThat(seen.phases().get(0).exact().get(1))
          .isCloseTo(-off / perClick(), within(0.05 * Math.abs(off / perClick())));
      assertThat(adjusted(seen)).isEqualTo(adjusted(plan()));
    }
  }

  @Test
  void noneMadeAndOffByAllOfItIsWhereItStood() {
    double way = travel(SETUP, Trims.ZERO) - travel(SETUP, TWELVE);
    AdjustmentPlan seen = plan(mark(0, way));
    assertThat(seen.phases().get(0).exact().get(1)).isCloseTo(12, within(0.05));
    assertThat(adjusted(seen)).isZero();
  }

  @Test
  void theReckoningKnowsNothingOfTheMarks() {
    long steps = rod(plan()).steps();
    Reckoned plain = AdjustmentPlanner.reckon(SETUP, flown());
    Reckoned seen = AdjustmentPlanner.reckon(SETUP, flown(mark(steps, 3)));
    assertThat(seen.leftClicks()).containsExactly(plain.leftClicks());
    assertThat(seen.madeMm()).isEqualTo(plain.madeMm());
    Surface elevator = SETUP.surface("elevator").orElseThrow();
    double moved = plain.madeMm().get("elevator");
    double trim = travel(SETUP, TWELVE) - travel(SETUP, Trims.ZERO);
    assertThat(moved).isCloseTo(trim, within(elevator.rod().end().stepMm() * 62 / 18));
    assertThat(plain.leftClicks()[1]).isCloseTo((trim - moved) / perClick(), within(0.2));
    assertThat(plain.madeMm().get("rudder")).isZero();
    Reckoned more = AdjustmentPlanner.reckon(SETUP, flown(mark(2 * steps, 0)));
    assertThat(more.madeMm().get("elevator") / moved).isCloseTo(2, within(0.1));
    assertThat(more.after().trims().pitch()).isLessThan(-5);
    FlownTrims presets = new FlownTrims("flight", flown().phases(), true, List.of(Control.PITCH));
    assertThat(AdjustmentPlanner.reckon(SETUP, presets).leftClicks()).containsOnly(0);
  }

  @Test
  void whatStoodInTheTransmitterIsTheEntryThatIsChanged() {
    Setup glider = DemoModels.read("larkmere");
    List<PhaseReading> readings = new ArrayList<>();
    glider.phases().forEach(one -> readings.add(FlownTrims.reading(one.id(), new Trims(10, 4, 0))));
    FlownTrims flown =
        new FlownTrims("cruise", readings, false, List.of(Control.ROLL, Control.PITCH));
    AdjustmentPlan plan = AdjustmentPlanner.plan(glider, flown);
    assertThat(plan.entries())
        .extracting(one -> one.before().toString())
        .anyMatch(one -> one.contains("10"));
    assertThat(plan.after().trims().roll()).isBetween(-4, 4);
  }

  @Test
  void meansAreOfThisModelAndWithinReason() {
    RodAlternative nowhere = new RodAlternative("nose", 0, SETUP.surfaces().get(0).rod().end());
    RodAlternative far = new RodAlternative("elevator", 21, SETUP.surfaces().get(0).rod().end());
    for (RodAlternative one : List.of(nowhere, far)) {
      FlownTrims wanted =
          new FlownTrims(
              "flight",
              flown().phases(),
              false,
              List.of(Control.PITCH),
              List.of(one),
              List.of(),
              List.of());
      assertThatThrownBy(() -> AdjustmentPlanner.plan(SETUP, wanted))
          .satisfies(saying(one == far ? "means[0].teeth is 21" : "means[0].surface is nose"));
    }
  }
}
