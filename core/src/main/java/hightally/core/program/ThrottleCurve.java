package hightally.core.program;

import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Violation;
import java.util.List;
import java.util.function.Consumer;

/**
 * What the motor is told in some phases, over the throttle stick from -100 back to 100 full.
 *
 * @param phases ids of the phases it acts in; empty for all others
 * @param points command of the motor, -100 to 100 percent
 */
public record ThrottleCurve(List<String> phases, List<CurvePoint> points) implements SelfChecked {
  /** The whole stick over the whole range. */
  public static final ThrottleCurve PLAIN =
      new ThrottleCurve(List.of(), List.of(new CurvePoint(-100, -100), new CurvePoint(100, 100)));

  public ThrottleCurve {
    phases = phases == null ? null : List.copyOf(phases);
    points = points == null ? null : List.copyOf(points);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    Curve.violations(path + "points", points).forEach(found);
  }
}
