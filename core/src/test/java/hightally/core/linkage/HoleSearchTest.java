package hightally.core.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.quantity.InvalidInputException;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class HoleSearchTest {
  private static ThrowWish wish(double plus, double minus, double offSquare, double hornLean) {
    return new ThrowWish(
        plus,
        minus,
        50,
        List.of(7.0, 9.0, 11.0, 13.0),
        List.of(10.0, 13.0, 16.0),
        120,
        hornLean,
        new ArmSeating(25, 4),
        offSquare,
        0.09,
        60,
        25,
        500,
        150);
  }

  @Property
  void theThrowsFoundAreTheOnesTheLinkageThenGives(
      @ForAll @DoubleRange(min = 5, max = 25) double plus,
      @ForAll @DoubleRange(min = 5, max = 25) double minus,
      @ForAll @DoubleRange(min = -180, max = 180) double offSquare,
      @ForAll @DoubleRange(min = -12, max = 12) double hornLean) {
    List<RigChoice> choices = HoleSearch.best(wish(plus, minus, offSquare, hornLean), 5);
    assertThat(choices).isNotEmpty().isSortedAccordingTo(HoleSearch.ranking());
    for (RigChoice choice : choices) {
      FourBar bar = FourBar.of(choice.linkage());
      double way = bar.gain(0) > 0 ? 1 : -1;
      double up = bar.surfaceAngle(way * choice.plusEndpointPercent() / 100 * 500 * 0.09);
      double down = bar.surfaceAngle(-way * choice.minusEndpointPercent() / 100 * 500 * 0.09);
      assertThat(50 * Math.sin(Math.toRadians(up))).isCloseTo(plus, within(1e-6));
      assertThat(50 * Math.sin(Math.toRadians(down))).isCloseTo(-minus, within(1e-6));
      assertThat(choice.marginDegrees()).isPositive();
    }
  }

  @Property
  void theArmIsSeatedWithinHalfTheFinestStepWhenNothingElseSpeaksAgainstIt(
      @ForAll @DoubleRange(min = -180, max = 180) double offSquare) {
    RigChoice best = HoleSearch.best(wish(14, 14, offSquare, 0), 1).get(0);
    assertThat(Math.abs(best.linkage().armLeanDegrees())).isLessThanOrEqualTo(3.6);
  }

  @Example
  void anInnerHoleWithFullEndpointsIsBetterThanAnOuterOneWithSmallOnes() {
    RigChoice best = HoleSearch.best(wish(12, 12, 0, 0), 1).get(0);
    assertThat(best.linkage().armRadiusMm()).isEqualTo(7);
    assertThat(best.linkage().hornRadiusMm()).isEqualTo(16);
  }

  @Example
  void saysWhichFieldCannotBe() {
    assertThatThrownBy(() -> HoleSearch.best(wish(50, 12, 0, 0), 1))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("plusMm is 50.0; it must be less than the chord");
    ThrowWish far =
        new ThrowWish(
            45,
            45,
            50,
            List.of(7.0),
            List.of(16.0),
            120,
            0,
            new ArmSeating(25, 4),
            0,
            0.09,
            60,
            25,
            500,
            150);
    assertThat(HoleSearch.best(far, 1)).as("an arm hole too far in").isEmpty();
  }
}
