package hightally.core.simulator;

import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimOutcome;
import hightally.core.trimming.TrimTest;
import java.util.Optional;

/**
 * What is measured in a test flight, with the sizes from which it is slight, clear and strong:
 * midway between the effects of nothing and the first steps of its lever. Its sign is that of the
 * way the lever must go.
 */
public enum TestMeasure {
  /** Degrees the path has left the level after 4 s hands off; plus climbs. */
  LEVEL_PATH(TrimTest.LEVEL_TRIM, null, 3, 8, 20),
  /** Degrees of bank after 4 s hands off; plus is right wing down. */
  LEVEL_BANK(TrimTest.LEVEL_TRIM, null, 3, 8, 20),
  /** Degrees the nose gains in half a second of full power. */
  NOSE_AT_ONCE(TrimTest.THROTTLE_CHANGE, TrimLever.DOWN_THRUST, 0.6, 1.7, 3.4),
  /** Degrees the path gains from 1.5 to 4 s of full power. */
  PATH_WITH_SPEED(TrimTest.THROTTLE_CHANGE, TrimLever.BALANCE, 2, 5, 12),
  /** Degrees the path drops in 2 s, inverted on a 45° climb, beyond what is wished. */
  INVERTED_DROP(TrimTest.INVERTED_45, TrimLever.BALANCE, 6, 15, 30),
  /** Degrees the path gains in 2 s of a 35° dive, less 15. */
  DIVE_PATH(TrimTest.DIVE, TrimLever.BALANCE, 3, 7, 15),
  /** Degrees the right wing rises in 3 s of inverted flight. */
  INVERTED_BANK(TrimTest.INVERTED_LEVEL, TrimLever.LATERAL, 1.5, 4, 8),
  /** Degrees the path leaves a vertical line to the left in 2 s. */
  VERTICAL_SIDE(TrimTest.VERTICAL_UP, TrimLever.RIGHT_THRUST, 2, 6, 12),
  /** Degrees it leaves it to the canopy. */
  VERTICAL_CANOPY(TrimTest.VERTICAL_UP, TrimLever.DOWN_THRUST, 6, 18, 36),
  /** Degrees of sideslip the nose lags while it rolls. */
  ROLL_SLIP(TrimTest.ROLL_AXIS, TrimLever.DIFFERENTIAL, 0.15, 0.4, 0.8),
  /** Degrees a second the nose goes to the belly on the knife edge. */
  KNIFE_BELLY(TrimTest.KNIFE_EDGE, TrimLever.RUDDER_TO_ELEVATOR, 5, 16, 32),
  /** Degrees a second it rolls against the rudder. */
  KNIFE_ROLL(TrimTest.KNIFE_EDGE, TrimLever.RUDDER_TO_AILERON, 9, 26, 52),
  /** Degrees the path leaves a vertical line down to the belly in 1.5 s. */
  DOWN_BELLY(TrimTest.VERTICAL_DOWN, TrimLever.LOW_THROTTLE_TO_ELEVATOR, 4, 12, 24),
  /** Degrees the nose drops in 1.5 s of brakes. */
  BRAKE_NOSE(TrimTest.BRAKES, TrimLever.BRAKE_TO_ELEVATOR, 4, 10, 22),
  /** Degrees of sideslip the nose hangs out while it rolls into a turn. */
  CIRCLING_SLIP(TrimTest.CIRCLING, TrimLever.AILERON_TO_RUDDER, 0.2, 0.6, 1.1);

  private final TrimTest test;
  private final TrimLever lever;
  private final double[] sizes;

  TestMeasure(TrimTest test, TrimLever lever, double... sizes) {
    this.test = test;
    this.lever = lever;
    this.sizes = sizes;
  }

  /** The test it is measured in. */
  public TrimTest test() {
    return test;
  }

  /** The lever that puts it right; none for clicks. */
  public Optional<TrimLever> lever() {
    return Optional.ofNullable(lever);
  }

  /** How strong a value is, 0 to 3, with its sign. */
  public int severity(double value) {
    int strength = 0;
    for (double size : sizes) {
      strength += Math.abs(value) >= size ? 1 : 0;
    }
    return value < 0 ? -strength : strength;
  }

  /** What a pilot calls a severity; none where it is right, or has no name but clicks. */
  public Optional<TrimOutcome> outcome(int severity) {
    return severity == 0
        ? Optional.empty()
        : test.seen().stream()
            .filter(
                one ->
                    test.way(one).stream()
                        .anyMatch(
                            way -> way.lever() == lever && way.sign() == Integer.signum(severity)))
            .findFirst();
  }
}
