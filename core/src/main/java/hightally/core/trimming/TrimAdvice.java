package hightally.core.trimming;

import hightally.core.airframe.Balance;
import hightally.core.airframe.Side;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * The one change an outcome of a trim test asks for, in the model's own units.
 *
 * @param lever what is moved
 * @param change by how much, in the lever's unit and with its sign
 * @param washerMm under the bolts, with the sign of the change; NaN where the lever is no thrust
 *     line
 * @param balanceShiftMm of the balance point, plus aft; NaN where the lever is not the balance
 * @param batteryShiftMm of the pack instead, plus aft; NaN likewise
 * @param ballastGrams at the tip of the wing that gets it; NaN where the lever is not across
 * @param side which wing; null likewise
 */
public record TrimAdvice(
    TrimLever lever,
    double change,
    double washerMm,
    double balanceShiftMm,
    double batteryShiftMm,
    double ballastGrams,
    Side side) {
  private static final double PERCENT = 100;
  private static final int STRONGEST = 3;

  /** What is known of the model. */
  public record TrimFacts(
      @Within(min = 1, max = 300, unit = Unit.MILLIMETRES) double boltSpacingMm,
      @Within(min = 1, max = 150_000, unit = Unit.GRAMS) double totalMassGrams,
      @Within(min = 1, max = 20_000, unit = Unit.GRAMS) double batteryMassGrams,
      @Within(min = 5, max = 3000, unit = Unit.MILLIMETRES) double meanChordMm) {}

  /**
   * The change for an outcome.
   *
   * @param strength 1 slight, 2 clear, 3 strong
   */
  public static TrimAdvice of(TrimTest test, TrimOutcome outcome, int strength, TrimFacts facts) {
    TrimTest.Way way =
        test.way(outcome)
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "outcome",
                        outcome.name(),
                        Said.of(
                            "demand.oneOf",
                            "names",
                            String.join(
                                ", ",
                                test.outcomes().stream().sorted().map(Enum::name).toList()))));
    if (strength < 1 || strength > STRONGEST) {
      throw InvalidInputException.of("strength", strength, Said.of("demand.strength"));
    }
    TrimLever lever = way.lever();
    double change = way.sign() * lever.step(strength);
    double none = Double.NaN;
    return switch (lever) {
      case DOWN_THRUST, RIGHT_THRUST ->
          new TrimAdvice(
              lever,
              change,
              Balance.washerMm(change, facts.boltSpacingMm()),
              none,
              none,
              none,
              null);
      case BALANCE -> {
        double shift = change * facts.meanChordMm() / PERCENT;
        double battery = shift * facts.totalMassGrams() / facts.batteryMassGrams();
        yield new TrimAdvice(lever, change, none, shift, battery, none, null);
      }
      case LATERAL -> {
        double grams = Math.abs(change) * facts.totalMassGrams() / PERCENT;
        Side side = change > 0 ? Side.RIGHT : Side.LEFT;
        yield new TrimAdvice(lever, change, none, none, none, grams, side);
      }
      default -> new TrimAdvice(lever, change, none, none, none, none, null);
    };
  }
}
