package hightally.app.calculation;

import hightally.core.linkage.FourBar;
import hightally.core.linkage.RangeSearch;
import hightally.core.linkage.UsableRange;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Unit;
import java.util.Arrays;
import java.util.List;

/** Kind {@code linkage}: surface angle and gain over arm angles, and the usable range. */
final class LinkageCalculation {
  private LinkageCalculation() {}

  /** Arm angles in degrees. */
  record LinkagesGiven(LinkageGiven linkage, List<Double> arm) {}

  /** One arm angle; angle and gain are null where the linkage is locked. */
  record Stop(double arm, @Absentable Double angle, @Absentable Double gain) {}

  /** Angles in degrees; the usable range is looked for within ±120°. */
  record LinkagesFound(List<Stop> sweep, double usableFrom, double usableTo) {}

  static LinkagesFound of(LinkagesGiven given) {
    FourBar bar = Given.need("linkage", given.linkage()).bar("linkage.");
    double[] arms = Given.numbers("arm", given.arm(), -360, 360, Unit.DEGREES);
    UsableRange range = RangeSearch.of(bar);
    List<Stop> sweep = Arrays.stream(arms).mapToObj(arm -> stop(bar, arm)).toList();
    return new LinkagesFound(sweep, range.from(), range.to());
  }

  private static Stop stop(FourBar bar, double arm) {
    double angle = bar.surfaceAngle(arm);
    return Double.isNaN(angle)
        ? new Stop(arm, null, null)
        : new Stop(arm, angle, finite(bar.gain(arm)));
  }

  static Double finite(double value) {
    return Double.isFinite(value) ? value : null;
  }
}
