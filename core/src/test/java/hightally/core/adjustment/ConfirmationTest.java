package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.adjustment.Confirmation.LearnedArm;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConfirmationTest {
  /** What is learned is as fine as it is typed in: a hundredth of a percent, a tenth of a mm. */
  private static final double CLICK = 0.00501;

  private static final double ARM = 0.0501;

  private static final Setup SETUP = Rigs.plain();
  private static final double STEP = SETUP.transmitter().clickStepPercent();

  private static List<Confirmation> said(Trims before, Trims predicted, Trims flown) {
    return Confirmation.of(SETUP, before, predicted, flown);
  }

  @Test
  void aClickMoreOrLessConfirms() {
    Confirmation one = said(new Trims(0, 20, 0), Trims.ZERO, new Trims(0, -1, 0)).get(0);
    assertThat(one.done()).isTrue();
    assertThat(say(one.words())).contains("1 click nose down").contains("0 clicks");
  }

  @Test
  void oneControlCannotTellTheClickStepFromTheArm() {
    // 20 clicks went into the rods, 5 are needed again: the rods did what 15 of them would have,
    // so a click moves 20/15 as much as was reckoned, or the arms are as much longer.
    Confirmation one = said(new Trims(0, 20, 0), Trims.ZERO, new Trims(0, 5, 0)).get(0);
    assertThat(one.done()).isFalse();
    assertThat(one.learnedClickPercent()).isCloseTo(STEP * 20 / 15, within(CLICK));
    assertThat(one.learnedArms()).extracting(LearnedArm::surface).contains("left", "right");
    one.learnedArms()
        .forEach(
            arm -> assertThat(arm.learnedMm()).isCloseTo(arm.radiusMm() * 20 / 15, within(ARM)));
    assertThat(say(one.words())).contains("count the clicks from end to end");
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
              assertThat(one.learnedClickPercent()).isCloseTo(STEP * 4 / 3, within(CLICK));
              assertThat(one.learnedArms()).isEmpty();
            });
  }

  @Test
  void fewClicksOrTheWrongWayTeachNothing() {
    Confirmation few = said(new Trims(0, 5, 0), Trims.ZERO, new Trims(0, 3, 0)).get(0);
    assertThat(few.learnedClickPercent()).isNull();
    assertThat(say(few.words())).contains("may be the pilot's");
    Confirmation wrong = said(new Trims(0, 12, 0), Trims.ZERO, new Trims(0, 24, 0)).get(0);
    assertThat(wrong.learnedArms()).isEmpty();
    assertThat(say(wrong.words())).contains("turns made the wrong way");
  }

  private static Confirmation pitch(int before, int predicted, int flown) {
    return said(new Trims(0, before, 0), new Trims(0, predicted, 0), new Trims(0, flown, 0)).get(0);
  }

  @ParameterizedTest
  @CsvSource({
    // before, predicted, flown, done, factor (0: nothing is learned)
    "20, 0, 1, true, 0",
    "20, 0, -1, true, 0",
    "20, 0, 2, false, 0", // two clicks of rest are the pilot's
    "20, 0, 3, false, 1.17647", // 20 / 17
    "20, 0, -3, false, 0.86957", // 20 / 23
    "8, 0, 3, false, 1.6", // eight clicks in the rods are enough
    "7, 0, 3, false, 0",
    "20, 0, 10, false, 2", // twice is still believed
    "20, 0, 11, false, 0",
    "20, 0, -20, false, 0.5", // half too
    "20, 0, -21, false, 0",
    "20, 0, 20, false, 0", // nothing moved at all
    "-20, 2, -4, false, 1.375", // 22 / 16
    "20, 4, 8, false, 1.33333" // 16 / 12
  })
  void whatEachRestTeaches(int before, int predicted, int flown, boolean done, double factor) {
    Confirmation one = pitch(before, predicted, flown);
    assertThat(one.control()).isEqualTo(Control.PITCH);
    assertThat(List.of(one.before(), one.predicted(), one.flown()))
        .containsExactly(before, predicted, flown);
    assertThat(one.done()).isEqualTo(done);
    if (factor == 0) {
      assertThat(one.learnedClickPercent()).isNull();
      assertThat(one.learnedArms()).isEmpty();
    } else {
      assertThat(one.learnedClickPercent()).isCloseTo(STEP * factor, within(CLICK));
      assertThat(say(one.words())).contains(String.format(Locale.ROOT, "%.2f %%", STEP * factor));
      // The slave's arm is its master's business.
      assertThat(one.learnedArms())
          .extracting(LearnedArm::surface)
          .containsExactly("left", "right");
    }
  }

  @Test
  void onlyControlsWithClicksAreCompared() {
    assertThat(said(Trims.ZERO, Trims.ZERO, Trims.ZERO)).isEmpty();
    assertThat(said(new Trims(4, 0, 0), Trims.ZERO, new Trims(0, 0, 1)))
        .extracting(Confirmation::control)
        .containsExactly(Control.ROLL, Control.YAW);
    assertThat(said(Trims.ZERO, new Trims(0, 1, 0), Trims.ZERO)).hasSize(1);
  }

  @Test
  void onlyArmsBehindTheControlAreLearned() {
    // Yaw moves none of the two elevons.
    Confirmation yaw = said(new Trims(0, 0, 20), Trims.ZERO, new Trims(0, 0, 5)).get(0);
    assertThat(yaw.learnedArms()).isEmpty();
    assertThat(yaw.learnedClickPercent()).isNotNull();
  }

  @Test
  void aControlConfirmedByAFewClicksClearsNothing() {
    List<Confirmation> few = said(new Trims(7, 20, 0), Trims.ZERO, new Trims(0, 5, 0));
    assertThat(few.get(1).learnedClickPercent()).isNotNull();
    List<Confirmation> enough = said(new Trims(8, 20, 0), Trims.ZERO, new Trims(0, 5, 0));
    assertThat(enough.get(1).learnedClickPercent()).isNull();
    assertThat(say(enough.get(1).words())).contains("Another control is confirmed");
  }

  @Test
  void twoThatDisagreeConvictNothing() {
    // 20 / 17 = 1.18 and 20 / 15 = 1.33 of 0.5 %: 0.08 apart, a seventh of a click is 0.075.
    List<Confirmation> apart = said(new Trims(20, 20, 0), Trims.ZERO, new Trims(3, 5, 0));
    assertThat(apart).allSatisfy(one -> assertThat(one.learnedArms()).hasSize(2));
    // 20 / 16 = 1.25: 0.04 apart.
    List<Confirmation> alike = said(new Trims(20, 20, 0), Trims.ZERO, new Trims(4, 5, 0));
    assertThat(alike).allSatisfy(one -> assertThat(one.learnedArms()).isEmpty());
    assertThat(say(alike.get(0).words())).contains("All controls say the same");
  }
}
