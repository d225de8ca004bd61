package hightally.core.history;

import static hightally.core.English.say;
import static hightally.core.history.Histories.in;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.Confirmation;
import hightally.core.adjustment.FlownTrims;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.history.History.Order;
import hightally.core.history.History.Origin;
import hightally.core.history.ModelStanding.Next;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ModelStandingTest {
  private static final Setup BIPLANE = DemoModels.read("quillon");
  private static final Setup GLIDER = DemoModels.read("larkmere");

  private static Histories biplane() {
    return new Histories(BIPLANE);
  }

  @Test
  void whatComesNextTheFirstThatApplies() {
    assertThat(biplane().standing().next()).isEqualTo(Next.FLY);
    assertThat(biplane().standing().stage()).isEqualTo(LoopStage.CHECK);
    assertThat(say(biplane().standing().waiting())).isEqualTo("Revision 1 has not been flown.");
    Histories once = biplane().flown(new Trims(0, 12, 0));
    assertThat(once.standing().next()).isEqualTo(Next.FLY);
    assertThat(say(once.standing().waiting()))
        .isEqualTo("Fly 2 more calm flights to confirm the trims.");
    Histories settled = biplane().flown(3, new Trims(0, 12, 0));
    assertThat(settled.standing().next()).isEqualTo(Next.ADJUST);
    assertThat(settled.standing().turn()).containsExactly(Control.PITCH);
    assertThat(settled.standing().waits()).isTrue();
    assertThat(say(settled.standing().waiting())).contains("pitch 12 clicks nose up");
    Histories rest = biplane().flown(3, new Trims(1, 1, 0));
    assertThat(rest.standing().next()).isEqualTo(Next.REST);
    assertThat(say(rest.standing().waiting())).contains("may stay").contains("roll 1 click right");
    assertThat(say(biplane().flown(3, Trims.ZERO).standing().waiting()))
        .isEqualTo("All trims at zero.");
    settled.grounds.add(Said.text("the range check"));
    assertThat(settled.standing().next()).isEqualTo(Next.MEND);
    settled.open = Optional.of(new History.OpenOrder(1, List.of()));
    assertThat(settled.standing().next()).isEqualTo(Next.FINISH_ORDER);
    settled.open = Optional.of(new History.OpenOrder(1, List.of("Elevator")));
    assertThat(settled.standing().next()).isEqualTo(Next.SETTLE_READING);
    assertThat(say(settled.standing().waiting())).contains("Elevator");
  }

  @Test
  void whatAChangedPartVoidsStandsUntilItIsDoneAgain() {
    Histories history = biplane().flown(3, new Trims(0, 12, 0));
    SeriesBreak rod =
        new SeriesBreak(
            1, Histories.FIRST.plusDays(9), List.of(Control.PITCH), Said.text("another rod"));
    history.changes.add(new History.Change(rod, List.of(Said.text("Throws")), "elevator", true));
    ModelStanding standing = history.standing();
    assertThat(standing.next()).isEqualTo(Next.DO_AGAIN);
    assertThat(standing.due()).hasSize(1);
    assertThat(standing.of("flight", Control.PITCH).orElseThrow().agreeing()).isZero();
    assertThat(standing.of("flight", Control.ROLL).orElseThrow().agreeing()).isEqualTo(3);
    assertThat(standing.turn()).isEmpty();
  }

  @Test
  void questionsComeBeforeTurning() {
    Histories sign = biplane().flown(3, new Trims(0, 12, 0)).flown(new Trims(0, -12, 0));
    assertThat(sign.standing().next()).isEqualTo(Next.ANSWER_SIGN);
    Histories slips = biplane();
    for (int pitch : new int[] {2, 4, 6, 8}) {
      slips.flown(new Trims(9, pitch, 0));
    }
    assertThat(slips.standing().next()).isEqualTo(Next.FIND_SLIP);
    assertThat(say(slips.standing().waiting())).startsWith("Pitch: it keeps moving");
    Histories large = biplane().flown(3, new Trims(0, 45, 0));
    assertThat(large.standing().next()).isEqualTo(Next.LOOK);
    large.said.add(new MarkedSettled("flight", Control.PITCH, 3, "looked everywhere"));
    assertThat(large.standing().next()).isEqualTo(Next.ADJUST);
  }

  /** An order, what it should have left, and the flights after it. */
  private static Histories adjusted(Trims before) {
    Histories history = biplane().flown(3, before);
    FlownTrims flown =
        ModelStanding.planned(history.done(), PlanOptions.PROPOSED).flown().orElseThrow();
    AdjustmentPlan plan = AdjustmentPlanner.plan(history.setup(), flown);
    history.revised(plan.after(), Origin.ADJUSTED);
    history.orders.add(new Order(1, 1, 2, flown, List.of(), List.of(), List.of()));
    return history;
  }

  @Test
  void theFlightsAfterAnAdjustmentConfirmItUntilSomethingElseIsChanged() {
    Histories history = adjusted(new Trims(0, 12, 0));
    Trims left = history.setup().trims();
    assertThat(history.standing().next()).isEqualTo(Next.CONFIRM);
    assertThat(history.standing().trims().of("flight")).isEqualTo(left);
    history.flown(left);
    Confirmation first = history.standing().confirmation().get(0);
    assertThat(first.done()).isTrue();
    assertThat(first.before()).isEqualTo(12);
    assertThat(history.standing().confirmation()).hasSize(1);
    SeriesBreak repair =
        new SeriesBreak(
            2, Histories.FIRST.plusDays(5), List.of(Control.values()), Said.text("a repair"));
    history.changes.add(new History.Change(repair, List.of(), "", false));
    history.flown(3, new Trims(0, 14, 0));
    assertThat(history.standing().confirmation().get(0).flown()).isEqualTo(left.pitch());
  }

  @Test
  void anAdjustmentPartsOnlyTheControlsItTurned() {
    Histories history = adjusted(new Trims(1, 12, 0));
    history.flown(new Trims(1, 0, 0));
    ModelStanding standing = history.standing();
    assertThat(standing.of("flight", Control.ROLL).orElseThrow().agreeing()).isEqualTo(4);
    assertThat(standing.of("flight", Control.PITCH).orElseThrow().agreeing()).isEqualTo(1);
  }

  @Test
  void aPhaseWithoutAReadingKeepsWhatStands() {
    Histories history = new Histories(GLIDER);
    history.flown(3, new Trims(12, 10, 0), in("speed", new Trims(12, -9, 0)));
    PlannedTrims planned = ModelStanding.planned(history.done(), PlanOptions.PROPOSED);
    assertThat(planned.reference()).isEqualTo("cruise");
    FlownTrims flown = planned.flown().orElseThrow();
    assertThat(flown.phases().get(0).phase()).isEqualTo("cruise");
    assertThat(flown.phases())
        .filteredOn(one -> one.phase().equals("speed"))
        .allMatch(one -> one.trims().pitch() == -9);
    // Landing was never flown: its own pitch stands as the setup has it, its roll is the shared
    // one.
    int own = GLIDER.phase("landing").orElseThrow().trims().pitch();
    assertThat(flown.phases())
        .filteredOn(one -> one.phase().equals("landing"))
        .allMatch(one -> one.trims().equals(new Trims(12, own, 0)));
  }

  @Test
  void readingsNameAWrongClickStepAndConsentEndsTheDoubt() {
    Histories history = biplane().flown(1, Trims.ZERO);
    CalibrationModel says = new CalibrationModel(BIPLANE);
    for (String surface : List.of("elevator", "rudder")) {
      Control control = says.mainControl(surface);
      double mm = says.predictedMm(surface, Seen.GAUGE, control, 40);
      history.readings.add(
          new BenchReading(surface, Seen.GAUGE, control, 40, 1.4 * mm, 1, Histories.FIRST));
      Calibration learned = history.standing().learned();
      boolean first = surface.equals("elevator");
      assertThat(learned.named() == null).as("one reading may be a misreading").isEqualTo(first);
      assertThat(history.standing().next()).isEqualTo(first ? Next.MEASURE : Next.CORRECT);
    }
    Calibration learned = history.standing().learned();
    assertThat(learned.named().cause()).isEqualTo(Cause.CLICK_STEP);
    assertThat(learned.named().was()).isEqualTo(0.5);
    assertThat(learned.named().becomes()).isBetween(0.67, 0.72);
    assertThat(say(learned.named().words())).startsWith("The click step:");
    assertThat(say(learned.named().words()))
        .contains("calculation for Left aileron, Right aileron, Upper left aileron")
        .contains("Elevator and Rudder");
    history.revised(
        Correction.applied(history.setup(), learned.explanations().get(0)), Origin.CORRECTED);
    ModelStanding after = history.standing();
    assertThat(after.learned().named()).isNull();
    assertThat(after.learned().observations()).isEqualTo(2);
    assertThat(after.of("flight", Control.PITCH).orElseThrow().agreeing()).isEqualTo(1);
  }

  @Test
  void anotherArmByTheDrawingVoidsWhatWasSeenOfTheOldOne() {
    Histories history = biplane();
    history.readings.add(
        new BenchReading("elevator", Seen.THROW, Control.PITCH, 1, 20, 1, Histories.FIRST));
    assertThat(history.standing().learned().observations()).isEqualTo(1);
    Setup longer =
        BIPLANE.withSurface(
            BIPLANE
                .surface("elevator")
                .orElseThrow()
                .withRod(BIPLANE.surface("elevator").orElseThrow().rod().withArm(15)));
    assertThat(history.revised(longer, Origin.EDITED).standing().learned().observations()).isZero();
  }
}
