package hightally.core.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.adjustment.Confirmation.LearnedArm;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

class ConfirmationTest {
  private static final Setup SETUP = Rigs.plain();
  private static final double STEP = SETUP.transmitter().clickStepPercent();

  private static List<Confirmation> said(Trims before, Trims predicted, Trims flown) {
    return Confirmation.of(SETUP, before, predicted, flown);
  }

  @Test
  void aClickMoreOrLessConfirms() {
    Confirmation one = said(new Trims(0, 20, 0), Trims.ZERO, new Trims(0, -1, 0)).get(0);
    assertThat(one.done()).isTrue();
    assertThat(one.words()).contains("1 click down").contains("0 clicks");
  }

  @Test
  void oneControlCannotTellTheClickStepFromTheArm() {
    // 20 clicks went into the rods, 5 are needed again: the rods did what 15 of them would have,
    // so a click moves 20/15 as much as was reckoned, or the arms are as much longer.
    Confirmation one = said(new Trims(0, 20, 0), Trims.ZERO, new Trims(0, 5, 0)).get(0);
    assertThat(one.done()).isFalse();
    assertThat(one.learnedClickPercent()).isCloseTo(STEP * 20 / 15, within(1e-12));
    assertThat(one.learnedArms()).extracting(LearnedArm::surface).contains("left", "right");
    one.learnedArms()
        .forEach(
            arm ->
                assertThat(arm.learnedMm() / arm.radiusMm()).isCloseTo(20 / 15.0, within(1e-12)));
    assertThat(one.words()).contains("count the clicks from end to end");
  }

  @Test
  void aConfirmedControlClearsTheClickStepAndTwoThatAgreeConvictIt() {
    List<Confirmation> mixed = said(new Trims(16, 20, 0), Trims.ZERO, new Trims(0, 5, 0));
    assertThat(mixed.get(0).done()).isTrue();
    assertThat(mixed.get(1).learnedClickPercent()).isNull();
    assertThat(mixed.get(1).learnedArms()).isNotEmpty();
    List<Confirmation> alike = said(new Trims(16, 20, 0), Trims.ZERO, new Trims(4, 5, 0));
    assertThat(alike)
        .allSatisfy(
            one -> {
              assertThat(one.learnedClickPercent()).isCloseTo(STEP * 4 / 3, within(1e-12));
              assertThat(one.learnedArms()).isEmpty();
            });
  }

  @Test
  void fewClicksOrTheWrongWayTeachNothing() {
    Confirmation few = said(new Trims(0, 5, 0), Trims.ZERO, new Trims(0, 3, 0)).get(0);
    assertThat(few.learnedClickPercent()).isNull();
    assertThat(few.words()).contains("may be the pilot's");
    Confirmation wrong = said(new Trims(0, 12, 0), Trims.ZERO, new Trims(0, 24, 0)).get(0);
    assertThat(wrong.learnedArms()).isEmpty();
    assertThat(wrong.words()).contains("turns made the wrong way");
  }
}
