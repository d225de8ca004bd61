package hightally.core.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.program.Trims;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class ClickFitTest {
  private static final double STEP = 0.5;

  private static double left(double[][] shares, double[] lacking, double[] clicks) {
    double sum = 0;
    for (int i = 0; i < shares.length; i++) {
      double rest = lacking[i];
      for (int control = 0; control < clicks.length; control++) {
        rest -= STEP * shares[i][control] * clicks[control];
      }
      sum += rest * rest;
    }
    return sum;
  }

  private static double[] fit(double[][] shares, double[] lacking) {
    ClickFit fit = new ClickFit(STEP);
    for (int i = 0; i < shares.length; i++) {
      fit.servo(shares[i], lacking[i]);
    }
    return fit.exact();
  }

  @Property
  void noOtherClicksLeaveLess(@ForAll long seed, @ForAll @IntRange(min = 1, max = 8) int servos) {
    Random random = new Random(seed);
    double[][] shares = new double[servos][3];
    double[] lacking = new double[servos];
    for (int i = 0; i < servos; i++) {
      for (int control = 0; control < 3; control++) {
        shares[i][control] = (random.nextInt(5) - 2) / 2.0;
      }
      lacking[i] = 20 * random.nextDouble() - 10;
    }
    double[] best = fit(shares, lacking);
    double least = left(shares, lacking, best);
    for (int t = 0; t < 20; t++) {
      double[] other = best.clone();
      other[random.nextInt(3)] += 4 * random.nextDouble() - 2;
      assertThat(left(shares, lacking, other)).isGreaterThanOrEqualTo(least - 1e-9);
    }
  }

  @Example
  void whatNothingDependsOnAndWhatAnotherDoesGetsNoClicks() {
    // Two elevons take roll and pitch; yaw moves nothing.
    double[] found = fit(new double[][] {{-0.5, 0.5, 0}, {0.5, 0.5, 0}}, new double[] {1, 3});
    assertThat(found[0]).isCloseTo(4, within(1e-12));
    assertThat(found[1]).isCloseTo(8, within(1e-12));
    assertThat(found[2]).isZero();
    // A surface that takes pitch and yaw alike: one of the two does it, the other stays.
    double[] alike = fit(new double[][] {{0, 1, 1}}, new double[] {2});
    assertThat(alike[1] + alike[2]).isCloseTo(4, within(1e-12));
    assertThat(alike[1] * alike[2]).isZero();
    // A linkage that cannot reach says nothing.
    assertThat(fit(new double[][] {{0, 1, 0}, {0, 1, 0}}, new double[] {1, Double.NaN})[1])
        .isCloseTo(2, within(1e-12));
  }

  @Example
  void halvesGoAwayFromZero() {
    assertThat(ClickFit.whole(new double[] {1.5, -1.5, 0.49})).isEqualTo(new Trims(2, -2, 0));
  }
}
