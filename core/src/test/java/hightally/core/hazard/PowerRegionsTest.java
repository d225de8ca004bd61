package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.program.Power;
import java.util.List;
import java.util.function.BiPredicate;
import net.jqwik.api.Example;

/** Starting, rising, turning round, as regions, against what the words mean, on a fine grid. */
class PowerRegionsTest {
  private static final double JUMP = 0.1;
  private static final double STEP = 2.5;
  private static final double FURTHEST = 150;

  private static Power power(boolean twoWay) {
    Power one = Power.PLAIN;
    return new Power(
        "",
        twoWay,
        one.curves(),
        "",
        twoWay ? 0 : -100,
        "",
        true,
        List.of(),
        true,
        List.of(),
        List.of(),
        List.of(),
        0);
  }

  private static boolean in(List<CommandRegion> regions, double was, double is) {
    return regions.stream().anyMatch(region -> region.holds(was, is));
  }

  private static void agree(List<CommandRegion> regions, BiPredicate<Double, Double> meaning) {
    for (double was = -FURTHEST; was <= FURTHEST; was += STEP) {
      for (double is = -FURTHEST; is <= FURTHEST; is += STEP) {
        assertThat(in(regions, was, is)).as(was + " to " + is).isEqualTo(meaning.test(was, is));
      }
    }
  }

  private static double oneWay(double command) {
    return Math.max(0, Math.min(1, (command + 100) / 200));
  }

  private static double twoWay(double command) {
    return Math.min(1, Math.abs(command) / 100);
  }

  @Example
  void oneWayMotors() {
    PowerRegions regions = new PowerRegions(power(false), JUMP);
    agree(regions.running(), (was, is) -> oneWay(was) >= 0.005);
    agree(regions.starting(), (was, is) -> oneWay(was) == 0 && oneWay(is) >= 0.005);
    agree(regions.startingHeld(), (was, is) -> oneWay(is) >= 0.005);
    agree(regions.rising(), (was, is) -> was >= -100 && oneWay(is) - oneWay(was) >= JUMP - 1e-9);
    assertThat(regions.turning()).isEmpty();
  }

  @Example
  void twoWayMotors() {
    PowerRegions regions = new PowerRegions(power(true), JUMP);
    agree(regions.running(), (was, is) -> twoWay(was) >= 0.005);
    agree(regions.starting(), (was, is) -> was == 0 && twoWay(is) >= 0.005);
    agree(regions.startingHeld(), (was, is) -> twoWay(is) >= 0.005);
    agree(regions.rising(), (was, is) -> twoWay(is) - twoWay(was) >= JUMP - 1e-9);
    agree(regions.turning(), (was, is) -> was * is < 0);
  }

  @Example
  void theThresholds() {
    PowerRegions one = new PowerRegions(power(false), JUMP);
    // Half a percent of power is a percent of command above the stop at -100.
    assertThat(in(one.running(), -98.9, 0)).isTrue();
    assertThat(in(one.running(), -99.1, 0)).isFalse();
    // A hundredth of a percent of power is 0.02 % of command: less stands still.
    assertThat(in(one.starting(), -99.99, 0)).isTrue();
    assertThat(in(one.starting(), -99.9, 0)).isFalse();
    PowerRegions two = new PowerRegions(power(true), JUMP);
    assertThat(in(two.running(), -0.51, 0)).isTrue();
    assertThat(in(two.running(), 0.49, 0)).isFalse();
    assertThat(in(two.starting(), 0.009, -0.51)).isTrue();
    assertThat(in(two.starting(), -0.011, 0.51)).isFalse();
    assertThat(in(two.turning(), 0.51, -0.49)).isFalse();
    assertThat(in(two.turning(), 0.51, -0.51)).isTrue();
  }

  @Example
  void whatIsLargestIsThePowerOrItsRise() {
    PowerRegions one = new PowerRegions(power(false), JUMP);
    assertThat(one.running().get(0).most().of(30, 7)).isEqualTo(30);
    assertThat(one.starting().get(0).most().of(30, 7)).isEqualTo(7);
    assertThat(one.startingHeld().get(0).most().of(30, 7)).isEqualTo(7);
    assertThat(one.rising().get(0).most().of(30, 70)).isEqualTo(40);
    assertThat(one.rising().get(0).enough()).as("from back to full").isEqualTo(200);
    assertThat(one.running().get(0).enough()).isEqualTo(100);
    PowerRegions two = new PowerRegions(power(true), JUMP);
    assertThat(two.running()).hasSize(2).allMatch(r -> Math.abs(r.most().of(-30, 7)) == 30);
    assertThat(two.rising()).hasSize(4);
    for (CommandRegion region : two.rising()) {
      if (region.holds(-20, 70)) {
        assertThat(region.most().of(-20, 70)).isCloseTo(50, within(1e-9));
      }
    }
    for (CommandRegion region : two.turning()) {
      if (region.holds(-20, 70)) {
        assertThat(region.most().of(-20, 70)).isCloseTo(90, within(1e-9));
        assertThat(region.enough()).isEqualTo(200);
      }
    }
  }
}
