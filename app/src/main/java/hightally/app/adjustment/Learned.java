package hightally.app.adjustment;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * What the flight after an adjustment has taught.
 *
 * @param basedOn the revision the pilot saw
 * @param clickStepPercent what one click moves; as it was where that is not what was learned
 * @param arms effective radii of arms
 */
record Learned(
    int basedOn,
    @Within(min = 0.05, max = 5, unit = Unit.PERCENT) double clickStepPercent,
    List<Arm> arms) {
  /** The radius an arm acts with. */
  record Arm(
      @Text(max = 40) String surface,
      @Within(min = 1, max = 100, unit = Unit.MILLIMETRES) double armRadiusMm) {}
}
