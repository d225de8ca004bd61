package hightally.core.balance;

import hightally.core.airframe.Balance;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;

/**
 * The thrust line that goes through the balance point, found by hanging the model from its motor's
 * shaft: the plumb line below the shaft passes the balance point, so the angle between it and the
 * fuselage's line is where the thrust has to point to turn the model neither up nor aside.
 *
 * @param changeDegrees of the thrust line, plus down or right
 * @param washerMm under the bolts, with the sign of the change
 * @param words all of it in words
 */
public record HangingTest(double changeDegrees, double washerMm, Said words) {
  private static final double NOTHING_DEGREES = 0.05;

  /**
   * What was read.
   *
   * @param down whether seen from the side; if not, from above
   * @param readDegrees from the fuselage's line to the plumb line, plus down or right
   * @param nowDegrees where the thrust line points today, likewise
   */
  public record HangingAsked(
      boolean down,
      @Within(min = -20, max = 20, unit = Unit.DEGREES) double readDegrees,
      @Within(min = -20, max = 20, unit = Unit.DEGREES) double nowDegrees,
      @Within(min = 1, max = 300, unit = Unit.MILLIMETRES) double boltSpacingMm) {}

  /** The change that makes the thrust line point along the plumb line. */
  public static HangingTest of(HangingAsked asked) {
    Validation.check(asked);
    double change = asked.readDegrees() - asked.nowDegrees();
    double washer = Balance.washerMm(change, asked.boltSpacingMm());
    if (Math.abs(change) < NOTHING_DEGREES) {
      return new HangingTest(change, washer, Said.of("guide.hangingRight"));
    }
    boolean more = change > 0;
    return new HangingTest(
        change,
        washer,
        Said.of(
            "guide.hanging",
            "way",
            more,
            "size",
            Quantity.degrees(Math.abs(change), 1),
            "washer",
            Quantity.mm(Math.abs(washer), 2),
            "bolts",
            Said.of("guide.hangingBolts", "down", asked.down(), "more", more)));
  }
}
