package hightally.core.movement;

import hightally.core.signal.Positions;

/** How far a surface goes, as sizes. */
public record Deflection(double mm, double degrees) {
  /** No ruler tells two movements apart that are this close. */
  private static final double SAME_MM = 0.05;

  /**
   * Whether the two of a pair have the same: the same percent, or by their own linkages the same
   * movement, the same way or the other.
   */
  static boolean alike(double percent, double otherPercent, double mm, double otherMm) {
    return Math.abs(percent) == Math.abs(otherPercent)
        || Math.abs(Math.abs(mm) - Math.abs(otherMm)) <= SAME_MM;
  }

  static Deflection between(Positions rest, Positions there, int surface) {
    return new Deflection(
        Math.abs(there.travelMm()[surface] - rest.travelMm()[surface]),
        Math.abs(there.surfaceDegrees()[surface] - rest.surfaceDegrees()[surface]));
  }
}
