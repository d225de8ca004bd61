package hightally.core.benchsetup;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.Rigs;
import hightally.core.benchsetup.BenchVerification.Expected;
import hightally.core.benchsetup.BenchVerification.Verified;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Way;
import hightally.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

class BenchVerificationTest {
  private static final Setup SETUP = Rigs.plain();

  private static Expected left(Verified... measured) {
    return BenchVerification.of(SETUP, List.of(measured)).stream()
        .filter(one -> one.surface().equals("left"))
        .findFirst()
        .orElseThrow();
  }

  private static Verified seen(Expected asked, double plusMm, boolean rightWay) {
    return new Verified("left", asked.by(), rightWay, true, plusMm, asked.minusMm());
  }

  @Test
  void anElevonIsAskedForPitchAndForRoll() {
    List<Expected> all = BenchVerification.of(SETUP, List.of());
    assertThat(all)
        .filteredOn(one -> one.surface().equals("left"))
        .extracting(Expected::by)
        .containsExactly("ROLL", "PITCH");
    assertThat(all).allMatch(Expected::open);
    Expected roll = left();
    Verified looked = new Verified("left", "ROLL", true, false, 0, 0);
    assertThat(left(looked).open()).isFalse();
    assertThat(left(looked).fits()).isTrue();
    assertThat(
            BenchVerification.of(SETUP, List.of(looked)).stream()
                .filter(one -> one.surface().equals("left") && one.by().equals("PITCH"))
                .allMatch(Expected::open))
        .isTrue();
    assertThat(roll.wrongWay()).isFalse();
  }

  @Test
  void aRulerTenTimesOffAndAStickThatMovesNothingAreRefused() {
    Expected roll = left();
    Verified centimetres =
        new Verified("left", "ROLL", true, true, 10 * roll.plusMm() + 10, roll.minusMm());
    assertThatThrownBy(() -> BenchVerification.check(SETUP, centimetres))
        .satisfies(saying("plusMm"))
        .satisfies(saying("millimetres at the trailing edge"));
    Verified yaw = new Verified("left", "YAW", true, false, 0, 0);
    assertThatThrownBy(() -> BenchVerification.check(SETUP, yaw)).satisfies(saying("by is YAW"));
  }

  @Test
  void saysWhichStickAndWhichWayAndHowFar() {
    Expected left = left();
    assertThat(say(left.how())).contains("stick");
    assertThat(left.first()).isIn(Way.UP, Way.DOWN);
    assertThat(left.plusMm()).isPositive();
    assertThat(left.fits()).isTrue();
    assertThat(left.measured()).isNull();
  }

  @Test
  void agreesWithinTheRulerAndTellsWhatDoesNot() {
    Expected asked = left();
    double ruler = SETUP.house().rulerMm();
    Verified near = seen(asked, asked.plusMm() + 0.9 * ruler, true);
    assertThat(say(left(near).words())).isEqualTo("As expected.");
    Verified far = seen(asked, 1.5 * asked.plusMm() + ruler, true);
    assertThat(left(far).fits()).isFalse();
    assertThat(say(left(far).words())).contains("horn hole");
    Verified wrong = seen(asked, asked.plusMm(), false);
    assertThat(left(wrong).wrongWay()).isTrue();
    assertThat(say(left(wrong).words())).contains("do not fly it like this");
  }

  @Test
  void whichWayItMustGoIsItsRolesAndNotItsDescriptions() {
    boolean raises = SETUP.surface("left").orElseThrow().rod().linkage().pushRaises();
    Setup mirrored = Edits.made(SETUP, List.of(Edit.flag(Figure.PUSH_RAISES, "left", !raises)));
    for (Setup setup : List.of(SETUP, mirrored)) {
      Expected left =
          BenchVerification.of(setup, List.of()).stream()
              .filter(one -> one.surface().equals("left"))
              .findFirst()
              .orElseThrow();
      boolean roll = say(left.how()).contains("stick to the right");
      assertThat(left.first()).isEqualTo(roll ? Way.DOWN : Way.UP);
    }
  }

  @Test
  void refusesWhatIsNoSurfaceAndNoLength() {
    assertThatThrownBy(
            () -> BenchVerification.check(SETUP, new Verified("nose", "ROLL", true, true, 1, 1)))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("surface is nose"));
    assertThatThrownBy(
            () -> BenchVerification.check(SETUP, new Verified("left", "ROLL", true, true, -1, 1)))
        .satisfies(saying("0 to 600 mm"));
  }
}
