package hightally.core.signal;

import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RangeSearch;
import hightally.core.linkage.UsableRange;

/** One surface behind its rod, with the rod as it is and as it was at neutral. */
final class SurfacePath {
  private final Surface surface;
  private final FourBar neutral;
  private final FourBar now;
  private final UsableRange neutralRange;
  private final UsableRange range;

  SurfacePath(Surface surface) {
    this.surface = surface;
    neutral = FourBar.of(surface.rod().linkage());
    now = neutral.withRod(surface.rod().lengthMm());
    neutralRange = RangeSearch.of(neutral);
    range = surface.rod().adjustedMm() == 0 ? neutralRange : RangeSearch.of(now);
  }

  Surface surface() {
    return surface;
  }

  FourBar bar() {
    return now;
  }

  UsableRange range() {
    return range;
  }

  /** Surface angle, held where the rod locks, for the angle of whatever drives the rod. */
  double angle(double driver) {
    return now.surfaceAngle(held(driver, range));
  }

  /** The same with the rod as long as it was at neutral. */
  double angleAtNeutralRod(double driver) {
    return neutral.surfaceAngle(held(driver, neutralRange));
  }

  /** The driver's angle up to where the rod locks. */
  double held(double driver) {
    return held(driver, range);
  }

  private static double held(double driver, UsableRange range) {
    return Math.max(range.reachFrom(), Math.min(range.reachTo(), driver));
  }
}
