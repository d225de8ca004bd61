package hightally.core.airframe;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;

/**
 * Moving the balance point. Stations in mm aft of the model's datum, masses in g.
 *
 * @param totalMassGrams ready to fly
 * @param cgNowMm where it balances
 * @param cgWantedMm where it should
 */
public record Balance(
    @Within(min = 1, max = 150_000, unit = Unit.GRAMS) double totalMassGrams,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double cgNowMm,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double cgWantedMm) {

  /**
   * How far to move the battery, mm, plus aft: {@code (wanted - now) · total / battery}.
   *
   * @param batteryMassGrams above 0, at most the total mass
   */
  public double batteryShiftMm(double batteryMassGrams) {
    Validation.check(this);
    if (!(batteryMassGrams > 0 && batteryMassGrams <= totalMassGrams)) {
      throw InvalidInputException.of(
          "batteryMass", batteryMassGrams, Said.of("demand.belowTotalMass"));
    }
    return (cgWantedMm - cgNowMm) * totalMassGrams / batteryMassGrams;
  }

  /**
   * Ballast at a station, g: {@code M (now - wanted) / (wanted - station)}. Negative: that station
   * cannot do it.
   *
   * @param stationMm anywhere but at the wanted balance point
   */
  public double ballastGrams(double stationMm) {
    Validation.check(this);
    if (stationMm == cgWantedMm || !Double.isFinite(stationMm)) {
      throw InvalidInputException.of("ballastAt", stationMm, Said.of("demand.otherStation"));
    }
    return totalMassGrams * (cgNowMm - cgWantedMm) / (cgWantedMm - stationMm);
  }

  /**
   * Washer behind a motor mount, mm: {@code spacing · tan(angle)}.
   *
   * @param angleDegrees change of the thrust line, -30 to 30
   * @param boltSpacingMm between the bolts in that direction, above 0
   */
  public static double washerMm(double angleDegrees, double boltSpacingMm) {
    return boltSpacingMm * Math.tan(Math.toRadians(angleDegrees));
  }
}
