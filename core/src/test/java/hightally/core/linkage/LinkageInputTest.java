package hightally.core.linkage;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.linkage.LinkageFit.Explanation;
import hightally.core.linkage.LinkageFit.FitQuestion;
import hightally.core.linkage.LinkageFit.Reading;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is refused, and what is said at the ends. */
class LinkageInputTest {
  private static final Linkage PLAIN = new Linkage(12, 15, 120, 0, 0, false, true);

  private static ThrowWish wish(double plus, double minus, List<Double> arm, List<Double> horn) {
    return new ThrowWish(
        plus, minus, 50, arm, horn, 120, 0, new ArmSeating(25, 4), 0, 0.09, 60, 20, 500, 150);
  }

  private static List<String> fields(Record record) {
    return Validation.violations(record).stream().map(Violation::field).toList();
  }

  @Test
  void aWishNamesEveryHoleAndThrowThatCannotBe() {
    List<Double> one = List.of(12.0);
    assertThat(fields(wish(14, 14, one, one))).isEmpty();
    assertThat(fields(wish(50, 14, one, one))).containsExactly("plusMm");
    assertThat(fields(wish(14, 50, one, one))).containsExactly("minusMm");
    assertThat(fields(wish(49.9, 49.9, one, one))).isEmpty();
    assertThat(fields(wish(14, 14, List.of(), one))).containsExactly("armHolesMm");
    assertThat(fields(wish(14, 14, one, Collections.nCopies(21, 12.0))))
        .containsExactly("hornHolesMm");
    assertThat(fields(wish(14, 14, one, Collections.nCopies(20, 12.0)))).isEmpty();
    assertThat(fields(wish(14, 14, List.of(1.0, 0.9, 150.0, 150.1), one)))
        .containsExactly("armHolesMm[1]", "armHolesMm[3]");
    assertThat(say(Validation.violations(wish(14, 14, List.of(0.5), one)).get(0).requirement()))
        .isEqualTo("1 to 150 mm");
  }

  private static FitQuestion question(Reading... readings) {
    return new FitQuestion(PLAIN, 50, List.of(readings), 0.5);
  }

  @Test
  void aFitNeedsTwoReadingsAndNoneBeyondTheChord() {
    Reading up = new Reading(20, 12);
    Reading down = new Reading(-20, -12);
    assertThat(fields(question(up))).containsExactly("readings");
    assertThat(fields(question(up, down))).isEmpty();
    assertThat(fields(question(up, new Reading(-20, -50)))).containsExactly("readings[1].travelMm");
    assertThat(fields(question(up, new Reading(-20, -49.9)))).isEmpty();
    FitQuestion many = new FitQuestion(PLAIN, 50, Collections.nCopies(51, up), 0.5);
    assertThat(fields(many)).containsExactly("readings");
    assertThat(fields(new FitQuestion(PLAIN, 50, Collections.nCopies(50, up), 0.5))).isEmpty();
  }

  /** Readings made with another horn are explained by that horn, and by nothing simpler. */
  @ParameterizedTest
  @CsvSource({"15, true", "13, true", "19, true"})
  void anotherHornIsFoundFromWhatItDoes(double horn, boolean explains) {
    FourBar real = FourBar.of(PLAIN.withHorn(horn));
    Reading[] readings =
        IntStream.of(-25, -10, 10, 25)
            .mapToObj(
                arm -> new Reading(arm, 50 * Math.sin(Math.toRadians(real.surfaceAngle(arm)))))
            .toArray(Reading[]::new);
    List<Explanation> found = LinkageFit.explanations(question(readings));
    Explanation first = found.get(0);
    assertThat(first.explains()).isEqualTo(explains);
    assertThat(first.linkage().hornRadiusMm()).isCloseTo(horn, within(0.01));
    assertThat(first.linkage().hornLeanDegrees()).isCloseTo(0, within(0.01));
    assertThat(first.leanPlusMinusDegrees()).as("the simplest that fits is first").isZero();
    assertThat(first.leftOverMm()).isLessThan(1e-3);
    // Half a millimetre at four readings of about 20 mm: a few percent of the radius.
    assertThat(first.radiusPlusMinusMm()).isBetween(0.05, 1.0);
    assertThat(found).hasSize(3);
  }

  @Test
  void whatNoHornExplainsIsSaidNotToBe() {
    List<Explanation> found =
        LinkageFit.explanations(
            question(
                new Reading(20, 12),
                new Reading(-20, 12),
                new Reading(10, -8),
                new Reading(-10, 9)));
    assertThat(found).noneMatch(Explanation::explains);
    assertThat(found.get(0).leftOverMm()).isGreaterThan(0.5);
  }

  @Test
  void anEndTurnsInItsOwnStepsHalvesAwayFromZero() {
    RodEnd clevis = new RodEnd(RodEndKind.CLEVIS, 0.4);
    assertThat(clevis.turns(0.8)).isCloseTo(2, within(1e-12));
    assertThat(clevis.steps(0.1)).isEqualTo(1);
    assertThat(clevis.steps(-0.1)).isEqualTo(-1);
    assertThat(clevis.steps(0.099)).isZero();
    RodEnd turnbuckle = new RodEnd(RodEndKind.TURNBUCKLE, 0.5);
    assertThat(turnbuckle.turns(1)).as("both threads move").isCloseTo(1, within(1e-12));
    assertThat(turnbuckle.steps(1)).isEqualTo(6);
    RodEnd slide = new RodEnd(RodEndKind.SLIDE, 0.1);
    assertThat(slide.turns(0.73)).isEqualTo(0.73);
    assertThat(slide.steps(0.73)).isEqualTo(7);
  }

  @Test
  void anArmIsFoundForAnAngleOnTheNearSideAndNoneWhereTheRodCannotReach() {
    FourBar bar = FourBar.of(PLAIN);
    for (int arm = -60; arm <= 60; arm += 15) {
      assertThat(bar.armFor(bar.surfaceAngle(arm), arm)).isCloseTo(arm, within(1e-9));
    }
    // 6 mm of arm move a horn of 20 mm by some 17° either way.
    FourBar little = FourBar.of(new Linkage(6, 20, 120, 0, 0, false, true));
    assertThat(little.armFor(15, 0)).isBetween(50.0, 70.0);
    assertThat(little.armFor(40, 0)).isNaN();
    assertThatThrownBy(() -> FourBar.of(new Linkage(12, 15, 4, 0, 0, true, true)))
        .satisfies(saying("rodLengthMm is 4"));
    assertThat(bar.withRod(121).rodLengthMm()).isEqualTo(121);
  }
}
