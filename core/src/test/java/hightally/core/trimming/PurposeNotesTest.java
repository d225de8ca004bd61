package hightally.core.trimming;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.airframe.BalanceSheet;
import hightally.core.balance.BalanceAdvice;
import hightally.core.balance.HangingTest;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.trimming.Purpose.BalanceStation;
import hightally.core.trimming.Purpose.Limits;
import hightally.core.trimming.Purpose.Pilot;
import hightally.core.trimming.Purpose.Regime;
import hightally.core.trimming.Purpose.Wish;
import java.util.List;
import net.jqwik.api.Example;

/** Wishes, what goes with a balance point, and the thrust line by hanging: by hand. */
class PurposeNotesTest {
  private static final Setup BIPLANE = DemoModels.read("quillon");

  private static Purpose wishes(double balance, List<Wish> regimes, BalanceStation... stations) {
    return new Purpose(
        Pilot.EXPERT, balance, "", false, new Limits(5, ""), regimes, List.of(stations));
  }

  @Example
  void whoHasFlownLittleBeginsWithLessTravelAndTheBalanceAhead() {
    Purpose beginner = PurposeNotes.starting(BIPLANE, Pilot.BEGINNER);
    Purpose expert = PurposeNotes.starting(BIPLANE, Pilot.EXPERT);
    assertThat(beginner.balancePercent()).isLessThan(expert.balancePercent());
    assertThat(beginner.limits().windMetresPerSecond())
        .isLessThan(expert.limits().windMetresPerSecond());
    assertThat(beginner.regimes().get(0).regime()).isEqualTo(Regime.FIRST_FLIGHTS);
    assertThat(beginner.regimes().get(0).rollMm()).isLessThan(expert.regimes().get(0).rollMm());
    assertThat(expert.regimes()).extracting(Wish::regime).contains(Regime.HOVER, Regime.SNAP);
    assertThat(PurposeNotes.starting(DemoModels.read("larkmere"), Pilot.EXPERT).regimes())
        .extracting(Wish::regime)
        .contains(Regime.THERMAL, Regime.SPEED)
        .doesNotContain(Regime.HOVER);
    assertThat(PurposeNotes.of(BIPLANE, expert)).isEmpty();
  }

  @Example
  void aWishBeyondTheMakersRangeIsSaidAndNotRefused() {
    // The maker allows 108 to 121 mm.
    assertThat(PurposeNotes.balanceMm(BIPLANE, wishes(50, List.of())))
        .isCloseTo(114.5, within(1e-9));
    assertThat(say(PurposeNotes.of(BIPLANE, wishes(-10, List.of()))))
        .anyMatch(s -> s.contains("ahead"));
    assertThat(say(PurposeNotes.of(BIPLANE, wishes(110, List.of()))))
        .anyMatch(s -> s.contains("behind"));
    Wish much = new Wish(Regime.SNAP, "", "gone", 100, 5, 5, "", "", false);
    assertThat(say(PurposeNotes.of(BIPLANE, wishes(50, List.of(much)))))
        .anyMatch(s -> s.contains("no longer exists"))
        .anyMatch(s -> s.startsWith("For snap manoeuvres you want 100 mm of roll"));
    Wish once = new Wish(Regime.SNAP, "", "", 5, 5, 5, "", "", false);
    assertThatThrownBy(() -> Validation.check(wishes(50, List.of(once, once))))
        .isInstanceOf(InvalidInputException.class);
  }

  @Example
  void expoAndReflexGoWithTheBalanceBetweenStations() {
    Purpose found =
        wishes(
            50,
            List.of(),
            new BalanceStation(120, 45, 1),
            new BalanceStation(110, 25, 3),
            new BalanceStation(115, 30, 2.5));
    // 117 lies two fifths of the way from 115 to 120: 36 %, 1.9 mm.
    assertThat(say(PurposeNotes.between(found, 117).orElseThrow()))
        .isEqualTo(
            "With the balance at 117 mm: 36 % of expo on pitch and 1.9 mm of reflex, between the"
                + " positions you have found.");
    assertThat(say(PurposeNotes.between(found, 105).orElseThrow()))
        .contains("25 % of expo")
        .contains("the nearest position");
    assertThat(PurposeNotes.between(wishes(50, List.of()), 105)).isEmpty();
    assertThat(
            say(
                PurposeNotes.between(wishes(50, List.of(), new BalanceStation(110, 25, 0)), 110)
                    .orElseThrow()))
        .isEqualTo(
            "With the balance at 110 mm: 25 % of expo on pitch, between the positions you have found.");
  }

  @Example
  void theThrustLineIsReadFromAHangingModel() {
    HangingTest line = HangingTest.of(new HangingTest.HangingAsked(true, 3.5, 1.5, 25));
    // 25 · tan 2° = 0.873 mm.
    assertThat(line.changeDegrees()).isCloseTo(2, within(1e-9));
    assertThat(line.washerMm()).isCloseTo(0.873, within(1e-3));
    assertThat(say(line.words()))
        .contains("2.0° further")
        .contains("0.87 mm under the upper bolts");
    assertThat(say(HangingTest.of(new HangingTest.HangingAsked(false, 1, 2, 25)).words()))
        .contains("back")
        .contains("right bolts");
    assertThat(say(HangingTest.of(new HangingTest.HangingAsked(false, 2, 2, 25)).words()))
        .contains("points along it");
    assertThatThrownBy(() -> HangingTest.of(new HangingTest.HangingAsked(true, 40, 0, 25)))
        .isInstanceOf(InvalidInputException.class);
  }

  @Example
  void aPackThatWouldLeaveTheFuselageIsSaid() {
    BalanceSheet sheet = BIPLANE.balance();
    BalanceSheet far =
        new BalanceSheet(
            sheet.datum(),
            sheet.datumAftMm(),
            60,
            50,
            200,
            sheet.emptyMassGrams(),
            sheet.packs(),
            sheet.boltSpacingMm());
    Setup setup = BIPLANE.change().balance(far).done();
    BalanceAdvice advice =
        BalanceAdvice.of(
            new BalanceAdvice.BalanceQuestion(setup, BalanceAdvice.BalanceWish.of(setup)));
    assertThat(say(advice.packs().get(0).words())).contains("outside the fuselage");
    BalanceAdvice near =
        BalanceAdvice.of(
            new BalanceAdvice.BalanceQuestion(BIPLANE, BalanceAdvice.BalanceWish.of(BIPLANE)));
    assertThat(say(near.packs().get(0).words())).doesNotContain("outside the fuselage");
  }
}
