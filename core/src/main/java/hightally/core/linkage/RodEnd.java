package hightally.core.linkage;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * The adjustable end of a rod.
 *
 * @param kind what it is
 * @param pitchMm length per turn of one thread; for a sliding stopper its smallest step
 */
public record RodEnd(
    RodEndKind kind, @Within(min = 0.05, max = 2, unit = Unit.MILLIMETRES) double pitchMm) {

  /** Change of length in one step, mm. */
  public double stepMm() {
    return kind == RodEndKind.SLIDE ? pitchMm : unitMm() * kind.sixthsPerStep() / 6.0;
  }

  /** Turns for a change of length; for a sliding stopper the change itself, mm. */
  public double turns(double changeMm) {
    return kind == RodEndKind.SLIDE ? changeMm : changeMm / unitMm();
  }

  /** The nearest whole number of steps, halves away from zero. */
  public long steps(double changeMm) {
    double exact = changeMm / stepMm();
    return (long) (Math.signum(exact) * Math.floor(Math.abs(exact) + 0.5));
  }

  private double unitMm() {
    return pitchMm * kind.threads();
  }
}
