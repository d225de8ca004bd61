package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RodWordsTest {
  private static final Surface LEFT = Rigs.plain().surface("left").orElseThrow();

  @ParameterizedTest
  @CsvSource({
    "CLEVIS, 0.4, 1, ½ turn out, counter-clockwise",
    "CLEVIS, 0.4, -3, 1½ turns in, turn it clockwise",
    "BALL_LINK, 0.4, 2, 2 turns out, counter-clockwise",
    "BALL_LINK, 0.4, -1, 1 turn in, turn it clockwise",
    "TURNBUCKLE, 0.5, 4, ⅔ turn out, the pushrod gets longer",
    "TURNBUCKLE, 0.5, -8, 1⅓ turns in, the pushrod gets shorter",
    "SLIDE, 0.5, 1, 'stopper 0.5 mm, pushrod longer', 'Loosen the stopper, slide it, tighten it again.'",
    "SLIDE, 0.5, -3, 'stopper 1.5 mm, pushrod shorter', 'Loosen the stopper, slide it, tighten it again.'"
  })
  void howFarAndWhichWay(RodEndKind kind, double pitch, long steps, String turn, String rotation) {
    RodEnd end = new RodEnd(kind, pitch);
    assertThat(say(RodWords.turn(end, steps))).isEqualTo(turn);
    assertThat(say(RodWords.rotation(end, steps))).contains(rotation);
  }

  /** What stands with the driver at {@code with} degrees shall stand with it at none. */
  private static RodChange.Found change(double with) {
    FourBar bar = FourBar.of(LEFT.rod().linkage());
    return (RodChange.Found) RodChange.of(bar, new RodEnd(RodEndKind.CLEVIS, 0.4), 50, with, 0);
  }

  @Test
  void aSentenceSaysTurnAndTravel() {
    // 3° of a 12 mm horn: 0.63 mm, three half turns of 0.2 mm; 0.6 mm is 2.87° or 2.5 mm of 2.6.
    String up = say(RodWords.sentence(LEFT, change(3), false));
    assertThat(up)
        .isEqualTo(
            "left: 1½ turns out. The trailing edge goes up by 2.5 mm. 0.1 mm remains, less than half a step can correct.");
    String down = say(RodWords.sentence(LEFT, change(-3), false));
    assertThat(down).contains("1½ turns in. The trailing edge goes down by 2.5 mm.");
    assertThat(say(RodWords.sentence(LEFT, change(3), true))).contains("out on the slave pushrod.");
    assertThat(up).doesNotContain("slave");
  }

  @Test
  void whatIsLeftIsOnlySaidWhereItCanBeSeen() {
    // 2.866° of 12 mm are 0.6 mm: nothing is left of three half turns.
    double exact = Math.toDegrees(Math.asin(0.6 / 12));
    assertThat(say(RodWords.sentence(LEFT, change(exact), false))).doesNotContain("left over");
    assertThat(say(RodWords.sentence(LEFT, change(0.4), false)))
        .isEqualTo(
            "left: leave the pushrod as it is. 0.3 mm remains, less than half a step can correct.");
    assertThat(say(RodWords.sentence(LEFT, change(0), true)))
        .isEqualTo("left: leave the slave pushrod as it is.");
  }

  @ParameterizedTest
  @CsvSource({
    "0.2, LENGTHEN",
    "-0.2, SHORTEN",
    "0, NONE",
    "1e-10, NONE",
    "-1e-10, NONE",
    "1e-8, LENGTHEN"
  })
  void lengthOfARod(double mm, RodDirection expected) {
    assertThat(RodDirection.of(mm)).isEqualTo(expected);
  }
}
