package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * Two surfaces that touch once both have gone so far, as it was seen on the bench.
 *
 * @param first id of one surface
 * @param firstMm its travel from neutral where they touch; the sign says which way
 * @param second id of the other
 * @param secondMm likewise
 */
@Copyable
public record Contact(
    @Text(max = 40) String first,
    @Within(min = -600, max = 600, unit = Unit.MILLIMETRES) double firstMm,
    @Text(max = 40) String second,
    @Within(min = -600, max = 600, unit = Unit.MILLIMETRES) double secondMm) {
  /** A copy to change, part by part. */
  public ContactCopy change() {
    return ContactCopy.from(this);
  }

  /** Whether both travels are as far as where they touch, or further. */
  public boolean touches(double firstTravelMm, double secondTravelMm) {
    return beyond(firstTravelMm, firstMm) && beyond(secondTravelMm, secondMm);
  }

  private static boolean beyond(double travel, double limit) {
    return limit >= 0 ? travel >= limit : travel <= limit;
  }
}
