package hightally.core.benchsetup;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.MeasuredThrows.MeasuredAnswer;
import hightally.core.benchsetup.MeasuredThrows.MeasuredQuestion;
import hightally.core.benchsetup.MeasuredThrows.StickReading;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.plain.PlainModel;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** What the ruler read against what the program says, worked out a plain second way. */
class RulerTest {
  private static final Setup PLAIN = Rigs.plain();

  private static StepResult judged(Setup setup, String step, double... values) {
    List<Double> read = new ArrayList<>();
    for (double value : values) {
      read.add(value);
    }
    StepAnswer answer = new StepAnswer(step, "", read);
    return AnswerComparison.verdicts(setup, CentringMethod.ROD_FIRST, List.of(answer)).get(0);
  }

  private static BenchStep step(Setup setup, String id) {
    return BenchSetUp.steps(setup).stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static double travel(Setup setup, String id, Moment moment) {
    return new PlainModel(setup).travel(setup.surface(id).orElseThrow(), moment, 0);
  }

  private static final Moment REST = Moment.centred(Trims.ZERO);

  /** From rest, the furthest up and down by one of the sticks. */
  private static double[] furthest(Setup setup, String id) {
    double rest = travel(setup, id, REST);
    double[] best = {0, 0};
    for (Control control : List.of(Control.ROLL, Control.PITCH)) {
      double one = travel(setup, id, REST.with(control, 1)) - rest;
      double other = travel(setup, id, REST.with(control, -1)) - rest;
      double up = Math.max(0, Math.max(one, other));
      double down = -Math.min(0, Math.min(one, other));
      if (up + down > best[0] + best[1] + 1e-9) {
        best = new double[] {up, down};
      }
    }
    return best;
  }

  @Property(tries = 60, seed = "20261126")
  void theFiguresTheGuideExpectsAreThoseThatAPlainSecondWayFinds(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = Rigs.random(seed);
    for (Surface surface : rig.surfaces()) {
      String id = surface.id();
      double[] full = furthest(rig, id);
      BenchStep travel = step(rig, "travel/" + id);
      assertThat(travel.figures().get(0).expected()).isCloseTo(full[0], within(1e-6));
      assertThat(travel.figures().get(1).expected()).isCloseTo(full[1], within(1e-6));
      StepResult same = judged(rig, "travel/" + id, full[0], full[1]);
      assertThat(same.agrees()).isTrue();
      if (full[0] * 0.2 > rig.house().unevenMm() + 0.05) {
        StepResult other = judged(rig, "travel/" + id, full[0] * 1.2, full[1]);
        assertThat(other.agrees()).as("a fifth more").isFalse();
      }
    }
  }

  @Example
  void tenClicksAreCountedAndAnotherStepIsNoted() {
    // Ten clicks of 0.5 % on half a share are 2.5 %, 1.125° and 50 · sin 1.125° = 0.98 mm: half of
    // that and all of it look alike, so forty are asked for.
    assertThat(say(step(PLAIN, "clicks/right").title())).contains("40 clicks");
    assertThat(step(PLAIN, "clicks/right").figures().get(0).expected())
        .isCloseTo(4 * 0.98, within(0.02));
    assertThat(judged(PLAIN, "clicks/right", 4.4).agrees()).isTrue();
    assertThat(judged(PLAIN, "clicks/right", 2).agrees()).as("half of it").isFalse();
    StepResult twice = judged(PLAIN, "clicks/right", 8);
    assertThat(twice.agrees()).isFalse();
    assertThat(twice.mends().get(0).edits()).hasSize(1);
    Edit edit = twice.mends().get(0).edits().get(0);
    assertThat(edit.figure()).isEqualTo(Figure.CLICK_STEP);
    assertThat(edit.value()).isCloseTo(0.5 * 8 / 3.93, within(0.005));
    assertThat(step(Edits.made(PLAIN, List.of(edit)), "clicks/right").figures().get(0).expected())
        .isCloseTo(4, within(0.02));
  }

  @Example
  void whatARulerCannotTellIsNotJudged() {
    Setup fine = PLAIN.change().transmitter(PLAIN.transmitter().withClickStep(0.05)).done();
    for (double read : new double[] {0.2, 0.4, 0.8, 1.2}) {
      StepResult found = judged(fine, "clicks/right", read);
      assertThat(found.agrees()).isFalse();
      assertThat(found.mends()).isEmpty();
      assertThat(say(found.words())).startsWith("Too small to be sure");
    }
  }

  @Example
  void oneTurnIsMeasuredAndAnotherThreadIsNoted() {
    // 0.4 mm at a horn of 12 mm are 1.91°, at a chord of 50 mm 1.67 mm; a ruler tells two turns.
    double turn = step(PLAIN, "turn/right").figures().get(0).expected();
    assertThat(turn).isCloseTo(2 * 1.67, within(0.04));
    assertThat(judged(PLAIN, "turn/right", turn * 1.2).agrees()).isTrue();
    assertThat(judged(PLAIN, "turn/right", turn * 10).asks()).isTrue();
    assertThat(judged(PLAIN, "turn/right", turn / 25.4).agrees()).isFalse();
    StepResult half = judged(PLAIN, "turn/right", turn * 0.6);
    Edit edit = half.mends().get(0).edits().get(0);
    assertThat(edit.figure()).isEqualTo(Figure.THREAD_PITCH);
    assertThat(edit.value()).isCloseTo(0.24, within(0.001));
  }

  @Example
  void figuresInAnotherUnitAreAskedAbout() {
    for (double factor : new double[] {10, 0.1, 25.4, 1 / 25.4}) {
      StepResult asked = judged(PLAIN, "travel/right", 15.45 * factor, 15.45);
      assertThat(asked.asks()).as("times " + factor).isTrue();
    }
    assertThat(AnswerComparison.otherUnit(0, 12)).isFalse();
    assertThat(AnswerComparison.otherUnit(9, 0.9)).as("too small to be sure").isFalse();
    assertThat(AnswerComparison.otherUnit(12, 1)).isTrue();
    assertThat(AnswerComparison.otherUnit(20, 10)).isFalse();
    assertThat(judged(PLAIN, "flush/right", 50).asks()).as("as far as the chord").isTrue();
    assertThat(judged(PLAIN, "flush/right", 49).asks()).isFalse();
  }

  @Example
  void aPairThatWasMeasuredIsMadeEvenByTheEndpointOfItsLargerSide() {
    List<StepAnswer> answers =
        List.of(
            new StepAnswer("travel/left", "", List.of(15.4, 15.4)),
            new StepAnswer("travel/right", "", List.of(14.0, 15.4)));
    List<StepResult> verdicts = AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, answers);
    assertThat(verdicts).allMatch(StepResult::agrees);
    assertThat(verdicts.get(1).mends()).isEmpty();
    Mend mend = verdicts.get(0).mends().get(0);
    assertThat(verdicts.get(0).mends()).hasSize(1);
    Setup made = Edits.made(PLAIN, mend.edits());
    double[] left = furthest(made, "left");
    double[] right = furthest(made, "right");
    assertThat(right)
        .as("described as it was read")
        .containsExactly(new double[] {14.0, 15.4}, within(0.1));
    assertThat(left[0]).as("as far as the other side").isCloseTo(14.0, within(0.15));
    assertThat(left[1]).as("its other end as it was read").isCloseTo(15.4, within(0.1));
  }

  @Example
  void thePairOfASurfaceThatWasMeasuredIsMadeEvenAsComputed() {
    Setup uneven =
        Edits.made(
            PLAIN,
            List.of(Edit.of(Figure.ENDPOINT_LOW, 1, 80), Edit.of(Figure.ENDPOINT_LOW, 2, 85)));
    double[] left = furthest(uneven, "left");
    double[] right = furthest(uneven, "right");
    List<Mend> mends = EvenPair.mends(hightally.core.signal.SignalPath.of(uneven), 1);
    assertThat(mends).hasSize(2);
    List<Edit> edits = mends.stream().flatMap(one -> one.edits().stream()).toList();
    Setup made = Edits.made(uneven, edits);
    for (int side = 0; side < 2; side++) {
      double least = Math.min(left[side], right[side]);
      assertThat(furthest(made, "left")[side]).isCloseTo(least, within(0.12));
      assertThat(furthest(made, "right")[side]).isCloseTo(least, within(0.12));
    }
    assertThat(EvenPair.mends(hightally.core.signal.SignalPath.of(PLAIN), 1)).isEmpty();
    assertThat(EvenPair.mends(hightally.core.signal.SignalPath.of(PLAIN), 0))
        .as("nothing mirrors the slave")
        .isEmpty();
  }

  @Example
  void readingsAreExplainedByTheSimplestGeometryAndComparedWithWhatWasExpected() {
    Setup other = Edits.made(PLAIN, List.of(Edit.of(Figure.HORN_RADIUS, "right", 16)));
    List<StickReading> readings = new ArrayList<>();
    List<Double> expected = new ArrayList<>();
    for (double stick : new double[] {1, -1, 0.5}) {
      Moment moved = REST.with(Control.ROLL, stick);
      readings.add(new StickReading(stick, travel(other, "right", moved)));
      expected.add(travel(PLAIN, "right", moved));
    }
    MeasuredAnswer answer = MeasuredThrows.answer(new MeasuredQuestion(PLAIN, "right", readings));
    for (int i = 0; i < expected.size(); i++) {
      assertThat(answer.expectedMm().get(i)).isCloseTo(expected.get(i), within(1e-6));
    }
    assertThat(answer.question().isEmpty()).isTrue();
    assertThat(answer.explanations()).hasSameSizeAs(answer.mends());
    Setup taken = Edits.made(PLAIN, answer.mends().get(0).edits());
    for (StickReading one : readings) {
      assertThat(travel(taken, "right", REST.with(Control.ROLL, one.stick())))
          .isCloseTo(one.travelMm(), within(0.1));
    }
    assertThat(
            say(
                MeasuredThrows.answer(
                        new MeasuredQuestion(
                            PLAIN,
                            "right",
                            List.of(new StickReading(1, 1.5), new StickReading(-1, -15))))
                    .question()))
        .contains("Measured 1.50, expected 15.9 mm");
  }

  @Example
  void aLeverIsMeasuredFromEndToEnd() {
    Surface right = PLAIN.surface("right").orElseThrow();
    Shares lever = new Shares(0, 0, 0, List.of(new LeverShare("lever", 0.6)));
    Setup flap = PLAIN.withSurface(right.withShares(lever));
    BenchStep travel = step(flap, "travel/right");
    assertThat(say(travel.instruction())).contains("Lever end to end");
    double whole = travel(flap, "right", REST.withInput(0, 1)) - travel(flap, "right", REST);
    assertThat(travel.figures().get(0).expected()).isCloseTo(Math.max(0, whole), within(1e-6));
    assertThat(travel.figures().get(1).expected()).isCloseTo(Math.max(0, -whole), within(1e-6));
  }

  @Example
  void reflexIsToldInDegreesAndComparedWithTheOtherSide() {
    StepResult alone = judged(PLAIN, "reflex/right", 2.0);
    // asin(2 / 50) = 2.3°.
    assertThat(say(alone.words())).contains("2.0 mm is 2.3° of reflex");
    assertThat(judged(PLAIN, "reflex/right", 50).asks()).isTrue();
    List<StepAnswer> both =
        List.of(
            new StepAnswer("reflex/left", "", List.of(3.1)),
            new StepAnswer("reflex/right", "", List.of(2.0)));
    StepResult apart = AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, both).get(0);
    assertThat(apart.agrees()).isFalse();
    assertThat(say(apart.words())).contains("is 1.1 mm different");
    List<StepAnswer> near =
        List.of(
            new StepAnswer("reflex/left", "", List.of(2.4)),
            new StepAnswer("reflex/right", "", List.of(2.0)));
    StepResult even = AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, near).get(0);
    assertThat(even.agrees()).isTrue();
    assertThat(say(even.words())).contains("Both sides agree");
    Surface right = PLAIN.surface("right").orElseThrow();
    Setup tailed = PLAIN.withSurface(right.withShares(new Shares(0, 1, 0, List.of())));
    assertThat(BenchSetUp.steps(tailed)).noneMatch(one -> one.kind() == StepKind.REFLEX);
  }

  @Example
  void anAnswerWithTooFewFiguresOrOfAnotherModelSaysNothing() {
    List<StepAnswer> odd =
        List.of(
            new StepAnswer("travel/right", "", List.of(12.0)),
            new StepAnswer("travel/gone", "", List.of(12.0, 12.0)),
            new StepAnswer("power", "", List.of()));
    assertThat(AnswerComparison.verdicts(PLAIN, CentringMethod.ROD_FIRST, odd)).isEmpty();
  }

  @Example
  void aSeatIsDrawnAsItIsTold() {
    StepResult.SeatPicture seat = judged(PLAIN, "seat/right", 10).seats().get(0);
    assertThat(seat.teeth()).isEqualTo(25);
    assertThat(seat.arms()).isEqualTo(4);
    assertThat(seat.offDegrees()).isEqualTo(10);
    assertThat(seat.reachedDegrees()).isCloseTo(-10.8, within(1e-9));
    assertThat(seat.remainderDegrees()).isCloseTo(0.8, within(1e-9));
    List<Edit> rod = judged(PLAIN, "seat/right", 10).mends().get(0).edits();
    assertThat(rod)
        .containsExactlyInAnyOrder(
            Edit.of(Figure.SUB_TRIM, 2, 0), Edit.of(Figure.ARM_LEAN, "right", -0.8));
    assertThat(say(judged(PLAIN, "seat/right", 0).words())).contains("Leave the arm as it is");
    assertThat(say(judged(PLAIN, "seat/right", -10).words())).contains("towards the surface");
  }
}
