package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * A flight pack and where the model balances with it.
 *
 * @param cgMm measured, ready to fly, mm aft of the datum
 * @param stationMm where the pack lies, mm aft of the datum
 */
@Copyable
public record Pack(
    @Text String name,
    @Within(min = 1, max = 20_000, unit = Unit.GRAMS) double massGrams,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double cgMm,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double stationMm) {
  /** A copy to change, part by part. */
  public PackCopy change() {
    return PackCopy.from(this);
  }
}
