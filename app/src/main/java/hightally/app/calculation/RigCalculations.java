package hightally.app.calculation;

import hightally.core.airframe.Balance;
import hightally.core.linkage.ArmSeating;
import hightally.core.quantity.Unit;

/** Kinds {@code armSeating}, {@code balance} and {@code washer}. */
final class RigCalculations {
  private RigCalculations() {}

  /** Wanted: degrees the arm must turn to stand square. */
  record ArmSeatingGiven(Integer teeth, Integer arms, Double wanted) {}

  /** Degrees; which tooth and arm, and what is left for the sub-trim. */
  record ArmSeatingFound(double reached, double remainder, double finestStep, int tooth, int arm) {}

  static ArmSeatingFound seating(ArmSeatingGiven given) {
    ArmSeating seating =
        Given.checked(
            "",
            new ArmSeating(Given.need("teeth", given.teeth()), Given.need("arms", given.arms())));
    double wanted = Given.number("wanted", given.wanted(), -180, 180, Unit.DEGREES);
    ArmSeating.Seat seat = seating.nearest(wanted);
    return new ArmSeatingFound(
        seat.reachedDegrees(),
        seat.remainderDegrees(),
        seating.finestStepDegrees(),
        seat.tooth(),
        seat.arm());
  }

  /** Masses in g, stations in mm aft of the datum. */
  record BalanceGiven(
      Double totalMass, Double batteryMass, Double cgNow, Double cgWanted, Double ballastAt) {}

  /** Battery shift in mm, plus aft; ballast in g, negative: that station cannot do it. */
  record BalanceFound(double batteryShift, double ballast) {}

  static BalanceFound balance(BalanceGiven given) {
    Balance balance =
        Given.checked(
            "",
            new Balance(
                Given.need("totalMass", given.totalMass()),
                Given.need("cgNow", given.cgNow()),
                Given.need("cgWanted", given.cgWanted())));
    return new BalanceFound(
        balance.batteryShiftMm(Given.need("batteryMass", given.batteryMass())),
        balance.ballastGrams(
            Given.number("ballastAt", given.ballastAt(), -5000, 10_000, Unit.MILLIMETRES)));
  }

  /** Angle in degrees, bolt spacing in mm. */
  record WasherGiven(Double angle, Double boltSpacing) {}

  /** Thickness in mm. */
  record WasherFound(double thickness) {}

  static WasherFound washer(WasherGiven given) {
    double angle = Given.number("angle", given.angle(), -30, 30, Unit.DEGREES);
    double spacing = Given.number("boltSpacing", given.boltSpacing(), 1, 1000, Unit.MILLIMETRES);
    return new WasherFound(Balance.washerMm(angle, spacing));
  }
}
