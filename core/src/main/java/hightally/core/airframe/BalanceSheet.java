package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.Consumer;

/**
 * Where a model should balance and where it does, with each pack.
 *
 * @param datum what stations are measured from, in words
 * @param datumAftMm where that is on the drawing, aft of the nose
 * @param targetMm wanted balance point
 * @param foremostMm front end of the range that may be flown
 * @param aftmostMm its rear end
 * @param emptyMassGrams ready to fly but for the pack
 * @param packs every pack in use
 * @param boltSpacingMm between the motor mount's bolts
 */
@Copyable
public record BalanceSheet(
    @Text String datum,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double datumAftMm,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double targetMm,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double foremostMm,
    @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double aftmostMm,
    @Within(min = 1, max = 150_000, unit = Unit.GRAMS) double emptyMassGrams,
    List<Pack> packs,
    @Within(min = 1, max = 300, unit = Unit.MILLIMETRES) double boltSpacingMm)
    implements SelfChecked {
  public BalanceSheet {
    packs = packs == null ? null : List.copyOf(packs);
  }

  /** A copy to change, part by part. */
  public BalanceSheetCopy change() {
    return BalanceSheetCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (foremostMm > targetMm) {
      Said most = Said.of("airframe.aboveWanted", "target", Quantity.mm(targetMm));
      found.accept(Violation.of(path + "foremostMm", foremostMm, most));
    }
    if (aftmostMm < targetMm) {
      Said least = Said.of("airframe.belowWanted", "target", Quantity.mm(targetMm));
      found.accept(Violation.of(path + "aftmostMm", aftmostMm, least));
    }
  }

  /** The same sheet with other packs. */
  public BalanceSheet withPacks(List<Pack> changed) {
    return change().packs(changed).done();
  }
}
