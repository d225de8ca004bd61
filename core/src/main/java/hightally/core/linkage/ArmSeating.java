package hightally.core.linkage;

import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;

/**
 * Where a servo arm can be seated.
 *
 * @param teeth of the spline
 * @param arms equally spaced on the horn
 */
public record ArmSeating(
    @Within(min = 1, max = 120) int teeth, @Within(min = 1, max = 12) int arms) {
  private static final double TURN_DEGREES = 360;

  /**
   * A way to seat the arm.
   *
   * @param tooth teeth to turn the horn by, either way
   * @param arm which arm to use, 0 being the one that stands nearest now
   * @param reachedDegrees how far the arm turns, in (-180, 180]
   * @param remainderDegrees wanted - reached, left for the sub-trim
   */
  public record Seat(int tooth, int arm, double reachedDegrees, double remainderDegrees) {}

  /** Finest step, {@code 360 / lcm(teeth, arms)}, degrees. */
  public double finestStepDegrees() {
    return TURN_DEGREES / (teeth * arms / greatestCommonDivisor(teeth, arms));
  }

  /**
   * The seat nearest to a wanted turn; of two as near, the first found turning the least.
   *
   * @param wantedDegrees how far the arm must turn to stand square, -180 to 180
   */
  public Seat nearest(double wantedDegrees) {
    Validation.check(this);
    Seat best = null;
    for (int turn = 0; turn < teeth; turn++) {
      int tooth = turn % 2 == 0 ? turn / 2 : -(turn + 1) / 2;
      for (int arm = 0; arm < arms; arm++) {
        Seat seat = seat(tooth, arm, wantedDegrees);
        if (best == null || nearer(seat, best)) {
          best = seat;
        }
      }
    }
    return best;
  }

  /** Rounding must not decide between seats that are equally near. */
  private static boolean nearer(Seat seat, Seat best) {
    return Math.abs(seat.remainderDegrees()) < Math.abs(best.remainderDegrees()) - 1e-9;
  }

  private Seat seat(int tooth, int arm, double wanted) {
    double reached = wrap(tooth * TURN_DEGREES / teeth + arm * TURN_DEGREES / arms);
    return new Seat(tooth, arm, reached, wrap(wanted - reached));
  }

  private static double wrap(double degrees) {
    double rest = degrees - TURN_DEGREES * Math.floor(degrees / TURN_DEGREES);
    return rest > TURN_DEGREES / 2 ? rest - TURN_DEGREES : rest;
  }

  private static int greatestCommonDivisor(int a, int b) {
    return b == 0 ? a : greatestCommonDivisor(b, a % b);
  }
}
