package hightally.core.adjustment;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.adjustment.RulerCheck.GaugeReading;
import hightally.core.adjustment.RulerCheck.Went;
import hightally.core.airframe.Surface;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A ruler good to 0.5 mm, a click of 0.5 %, a horn of 12 mm, a chord of 50 mm. */
class RulerCheckTest {
  private static final Setup SETUP = Rigs.plain();
  private static final Surface LEFT = SETUP.surface("left").orElseThrow();

  private static RulerCheck read(double computed, double measured) {
    return RulerCheck.of(SETUP, LEFT, computed, new GaugeReading(measured));
  }

  @ParameterizedTest
  @CsvSource({
    "1, 1.5, 0.5, true", // the ruler's own error is the larger one
    "1, 0.45, 0.5, false",
    "4, 5, 1, true", // a quarter is the larger one
    "4, 5.01, 1, false",
    "-4, -3, 1, true",
    "-4, -2.9, 1, false",
    "0.2, -0.2, 0.5, true" // both within nothing
  })
  void theyAgreeWithinTheRulerOrAQuarter(
      double computed, double measured, double tolerance, boolean agree) {
    RulerCheck found = read(computed, measured);
    assertThat(found.computedMm()).isEqualTo(computed);
    assertThat(found.measuredMm()).isEqualTo(measured);
    assertThat(found.toleranceMm()).isCloseTo(tolerance, within(1e-12));
    assertThat(found.agree()).isEqualTo(agree);
    assertThat(found.explanations().isEmpty()).isEqualTo(agree);
    assertThat(found.tells()).as("1 mm proves nothing").isEqualTo(Math.abs(computed) > 1);
  }

  @Test
  void theOtherWayRoundIsSaidFirst() {
    assertThat(say(read(4, -3).explanations().get(0))).contains("opposite way");
    assertThat(say(read(-4, 3).explanations().get(0))).contains("opposite way");
    assertThat(say(read(4, 0).explanations().get(0))).doesNotContain("opposite way");
    assertThat(say(read(-4, -2.9).explanations())).noneMatch(one -> one.contains("opposite way"));
  }

  @Test
  void almostNothingIsALooseHornOrNoTrim() {
    assertThat(say(read(4, 0.4).explanations()))
        .anyMatch(one -> one.contains("almost no movement"));
    assertThat(say(read(4, 0.5).explanations()))
        .noneMatch(one -> one.contains("almost no movement"));
    assertThat(say(read(-4, -0.4).explanations()))
        .anyMatch(one -> one.contains("almost no movement"));
  }

  @ParameterizedTest
  @CsvSource({
    "4, 8, twice, 1.00",
    "4, 7.1, twice, 0.89",
    "4, 8.9, twice, 1.11",
    "4, 2, half, 0.25",
    "4, 1.6, half, 0.20",
    "4, 2.4, half, 0.30",
    "-4, -8, twice, 1.00"
  })
  void twiceOrHalfIsTheClick(double computed, double measured, String word, String step) {
    assertThat(say(read(computed, measured).explanations()))
        .anyMatch(
            one ->
                one.startsWith("The edge moved almost exactly " + word)
                    && one.contains("probably " + step + " %, not 0.50 %"));
  }

  @ParameterizedTest
  @CsvSource({"4, 6", "4, 7", "4, 9", "4, 2.5", "4, 1.5", "4, 0"})
  void neitherTwiceNorHalfIsNotCalledSo(double computed, double measured) {
    assertThat(say(read(computed, measured).explanations()))
        .noneMatch(one -> one.startsWith("The edge moved almost exactly"));
  }

  @Test
  void whatWouldExplainItInNumbers() {
    // 6 mm where 4 was computed: half as much again. A click of 0.75 %, a horn of 12 / 1.5 = 8 mm,
    // or 75 mm behind the hinge.
    assertThat(say(read(4, 6).explanations()))
        .anyMatch(one -> one.contains("click of 0.75 % instead of 0.50 %"))
        .anyMatch(one -> one.contains("horn radius of 8.0 mm instead of 12.0 mm"))
        .anyMatch(one -> one.contains("75 mm behind the hinge line instead of 50 mm"));
  }

  @Test
  void theDirectionIsSuspectedFirstAndAlone() {
    assertThat(read(4, -3).explanations()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({"4, 33", "-4, -32.5", "0.5, 8.5"})
  void centimetresAreAskedAbout(double computed, double measured) {
    assertThatThrownBy(() -> read(computed, measured)).satisfies(saying("millimetres"));
  }

  @Test
  void aSizeAndAWordBecomeAReading() {
    assertThat(GaugeReading.zeroing(LEFT, 1.2, Went.UP).mm()).isEqualTo(-1.2);
    assertThat(GaugeReading.zeroing(LEFT, 1.2, Went.DOWN).mm()).isEqualTo(1.2);
    assertThat(GaugeReading.zeroing(LEFT, 0, Went.SAME).mm()).isZero();
    assertThatThrownBy(() -> GaugeReading.zeroing(LEFT, 1.2, Went.LEFT))
        .satisfies(saying("up, down or the same"));
    assertThatThrownBy(() -> GaugeReading.zeroing(LEFT, 1.2, Went.SAME))
        .satisfies(saying("the way it went"));
    assertThatThrownBy(() -> GaugeReading.zeroing(LEFT, -1, Went.UP)).satisfies(saying("0 to 300"));
    Surface rudder = DemoModels.read("quillon").surface("rudder").orElseThrow();
    assertThat(GaugeReading.zeroing(rudder, 2, Went.RIGHT).mm()).isEqualTo(-2);
    assertThatThrownBy(() -> GaugeReading.zeroing(rudder, 2, Went.UP))
        .satisfies(saying("right, left or the same"));
  }

  @Test
  void aMovementIsToldByTheWayItsSurfaceGoes() {
    Surface rudder = DemoModels.read("quillon").surface("rudder").orElseThrow();
    assertThat(Went.of(LEFT, 0)).isEqualTo(Went.SAME);
    assertThat(Went.of(rudder, 0)).isEqualTo(Went.SAME);
    assertThat(Went.of(LEFT, 0.2)).isEqualTo(Went.UP);
    assertThat(Went.of(LEFT, -0.2)).isEqualTo(Went.DOWN);
    assertThat(Went.of(rudder, 0.2)).isEqualTo(Went.RIGHT);
    assertThat(Went.of(rudder, -0.2)).isEqualTo(Went.LEFT);
  }

  @Test
  void aReadingNoRulerHasIsRefused() {
    assertThatThrownBy(() -> read(1, 301))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("−300 to 300 mm"));
  }
}
