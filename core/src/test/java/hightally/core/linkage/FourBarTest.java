package hightally.core.linkage;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.quantity.InvalidInputException;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;

class FourBarTest {
  @Provide
  static Arbitrary<Linkage> linkages() {
    Arbitrary<Double> radius = Arbitraries.doubles().between(6, 25);
    Arbitrary<Double> lean = Arbitraries.doubles().between(-15, 15);
    Arbitrary<Boolean> either = Arbitraries.of(true, false);
    return Combinators.combine(
            radius, radius, Arbitraries.doubles().between(80, 500), lean, lean, either, either)
        .as(Linkage::new);
  }

  @Example
  void parallelogramCarriesTheArmAngleToTheSurface() {
    FourBar bar = FourBar.of(new Linkage(12, 12, 150, 0, 0, false, true));
    assertThat(bar.surfaceAngle(30)).isCloseTo(30, within(1e-9));
    assertThat(bar.gain(30)).isCloseTo(1, within(1e-9));
  }

  @Example
  void equalRadiiTurnBackWhereArmAndRodAreInLine() {
    // Arm and rod in line: shaft to horn hole = arm + rod. With the arm at 90° the arm lies along
    // the
    // rod's neutral line, 12 mm above the shaft; the parallelogram is then flat only at 90°.
    UsableRange range = RangeSearch.of(FourBar.of(new Linkage(12, 12, 150, 0, 0, false, true)));
    assertThat(range.to()).isCloseTo(90, within(1e-4));
    assertThat(range.from()).isCloseTo(-90, within(1e-4));
  }

  @Example
  void namesFieldValueAndRange() {
    assertThatThrownBy(() -> FourBar.of(new Linkage(0, 12, -3, 0, 0, false, true)))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("armRadiusMm is 0; it must be 1 to 150 mm"))
        .satisfies(saying("rodLengthMm is −3; it must be 5 to 3000 mm"));
  }

  @Property
  void standsAtNeutralWhenTheArmDoes(@ForAll("linkages") Linkage linkage) {
    assertThat(FourBar.of(linkage).surfaceAngle(0)).isCloseTo(0, within(1e-9));
  }

  @Property
  void aRodFoundForAnAngleGivesThatAngle(
      @ForAll("linkages") Linkage linkage,
      @ForAll @DoubleRange(min = -12, max = 12) double arm,
      @ForAll @DoubleRange(min = -15, max = 15) double surface) {
    FourBar bar = FourBar.of(linkage);
    double rod = bar.rodFor(arm, surface);
    double found = bar.withRod(rod).surfaceAngle(arm);
    assertThat(found).isCloseTo(surface, within(1e-8));
  }

  @Property
  void armForIsTheInverseOfSurfaceAngle(
      @ForAll("linkages") Linkage linkage, @ForAll @DoubleRange(min = -20, max = 20) double arm) {
    FourBar bar = FourBar.of(linkage);
    double surface = bar.surfaceAngle(arm);
    Assume.that(Math.abs(bar.gain(arm)) > 0.05 && Math.abs(bar.gain(arm)) < 20);
    assertThat(bar.armFor(surface, arm)).isCloseTo(arm, within(1e-7));
  }

  @Property
  void gainIsTheSlopeOfTheAngle(
      @ForAll("linkages") Linkage linkage, @ForAll @DoubleRange(min = -25, max = 25) double arm) {
    FourBar bar = FourBar.of(linkage);
    Assume.that(Math.abs(bar.gain(arm)) < 5);
    double step = 1e-4;
    double slope = (bar.surfaceAngle(arm + step) - bar.surfaceAngle(arm - step)) / (2 * step);
    assertThat(bar.gain(arm)).isCloseTo(slope, within(1e-4));
  }

  @Property
  void theSurfaceNeverJumpsInsideTheUsableRange(
      @ForAll("linkages") Linkage linkage, @ForAll @DoubleRange(min = 0, max = 0.99) double where) {
    FourBar bar = FourBar.of(linkage);
    UsableRange range = RangeSearch.of(bar);
    double arm = range.from() + where * (range.to() - range.from());
    double next = Math.min(range.to(), arm + 1e-7);
    assertThat(bar.surfaceAngle(next)).isCloseTo(bar.surfaceAngle(arm), within(1e-2));
  }

  @Property
  void theRangeInClosedFormIsTheOneASweepFinds(@ForAll("linkages") Linkage linkage) {
    FourBar bar = FourBar.of(linkage);
    UsableRange range = RangeSearch.of(bar);
    assertThat(range.to()).isCloseTo(swept(bar, 1), within(0.02));
    assertThat(range.from()).isCloseTo(-swept(bar, -1), within(0.02));
  }

  private static double swept(FourBar bar, int sign) {
    boolean rising = bar.gain(0) > 0;
    double arm = 0;
    while (arm < 120 && (rising ? bar.gain(sign * arm) > 0 : bar.gain(sign * arm) < 0)) {
      arm += 0.01;
    }
    return arm;
  }
}
