package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Servo;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.List;
import net.jqwik.api.Example;

/**
 * The plain rig by hand: a percent is 5 µs, a microsecond 0.09° of arm, the arm stands half a
 * degree off, a parallelogram hands on its angle, and the chord is 50 mm; pulses end at 900 and
 * 2100 µs, which is 120 %.
 */
class LostTravelTest {
  private static final int LEFT = 1;
  private final SignalPath path = SignalPath.of(Rigs.plain());

  private static double travel(double degrees) {
    return 50 * Math.sin(Math.toRadians(degrees));
  }

  @Example
  void freeAndRealTravelPartWhereThePulseEnds() {
    for (double command : new double[] {-200, -130, -120, -40, 0, 75, 119, 121, 160}) {
      double free = travel(0.5 + 0.45 * command);
      double real = travel(0.5 + 0.45 * Math.max(-120, Math.min(120, command)));
      assertThat(LostTravel.freeMm(path, LEFT, command)).isCloseTo(free, within(1e-6));
      assertThat(LostTravel.realMm(path, LEFT, command)).isCloseTo(real, within(1e-6));
      assertThat(LostTravel.mm(path, LEFT, command)).isCloseTo(Math.abs(free - real), within(1e-6));
      assertThat(LostTravel.cuts(path, LEFT, command)).isEqualTo(Math.abs(command) > 120.2);
    }
    // A hair is a microsecond, a fifth of a percent.
    assertThat(LostTravel.lastFree(path, LEFT, 1)).isCloseTo(120.2, within(1e-6));
    assertThat(LostTravel.lastFree(path, LEFT, -1)).isCloseTo(-120.2, within(1e-6));
  }

  @Example
  void theServosOwnEndsCutAsWell() {
    Setup rig = Rigs.plain();
    List<Servo> wide =
        rig.servos().stream()
            .map(
                one ->
                    new Servo(
                        one.id(),
                        one.name(),
                        one.channel(),
                        0.12,
                        1500,
                        60,
                        one.pullsOnIncrease(),
                        0,
                        20,
                        one.seating(),
                        List.of(),
                        250))
            .toList();
    SignalPath ends = SignalPath.of(rig.change().servos(wide).done());
    // 0.12 degrees a microsecond: 60 degrees at 500 µs, which is 100 %.
    assertThat(LostTravel.lastFree(ends, LEFT, 1)).isCloseTo(100, within(1e-6));
    assertThat(LostTravel.lastFree(ends, LEFT, -1)).isCloseTo(-100, within(1e-6));
    assertThat(LostTravel.cuts(ends, LEFT, 101)).isTrue();
    assertThat(LostTravel.cuts(ends, LEFT, 99)).isFalse();
    assertThat(LostTravel.realMm(ends, LEFT, 110)).isCloseTo(travel(60), within(1e-6));
    assertThat(LostTravel.freeMm(ends, LEFT, 110)).isCloseTo(travel(66), within(1e-6));
  }

  @Example
  void whereASurfaceGetsToALimit() {
    double up = (Math.toDegrees(Math.asin(20 / 50.0)) - 0.5) / 0.45;
    double down = (-Math.toDegrees(Math.asin(20 / 50.0)) - 0.5) / 0.45;
    assertThat(LostTravel.reachedAt(path, LEFT, 20)).isCloseTo(up, within(1e-6));
    assertThat(LostTravel.reachedAt(path, LEFT, -20)).isCloseTo(down, within(1e-6));
    assertThat(LostTravel.reachedAt(path, LEFT, 45)).isEqualTo(Double.POSITIVE_INFINITY);
    assertThat(LostTravel.reachedAt(path, LEFT, -45)).isEqualTo(Double.NEGATIVE_INFINITY);
    // It stands 0.44 mm up at rest: beyond 0 already.
    assertThat(LostTravel.reachedAt(path, LEFT, 0)).isNaN();
  }
}
