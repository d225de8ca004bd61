package hightally.core.desk;

import hightally.core.signal.Positions;

/** How far a surface goes, as sizes. */
public record Amount(double mm, double degrees) {
  static Amount between(Positions rest, Positions there, int surface) {
    return new Amount(
        Math.abs(there.travelMm()[surface] - rest.travelMm()[surface]),
        Math.abs(there.surfaceDegrees()[surface] - rest.surfaceDegrees()[surface]));
  }
}
