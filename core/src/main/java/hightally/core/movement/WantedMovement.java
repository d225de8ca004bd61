package hightally.core.movement;

import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import hightally.core.setup.TypedMovement;
import java.util.function.Consumer;

/**
 * A movement as a pilot thinks it: so many millimetres, degrees or percent.
 *
 * @param kind of what
 * @param subject id of the phase, mix or set of rates it belongs to; empty for the plain rates
 * @param surface id of the surface it is told for
 * @param plusSide whether it is the plus side of the stick or source; says nothing of a preset
 * @param value how much; of rates and differential the size alone counts
 * @param minusWay whether that is down or left; up or right if not
 * @param unit millimetres, degrees or percent of command
 * @param pair whether the surface that mirrors it follows, each by its own linkage
 * @param bothSides whether the other side of the stick gets the same percent
 */
public record WantedMovement(
    TypedMovement.Kind kind,
    @Text(min = 0, max = 40) String subject,
    @Text(max = 40) String surface,
    boolean plusSide,
    @Within(min = -600, max = 600, unit = Unit.NONE) double value,
    boolean minusWay,
    Unit unit,
    boolean pair,
    boolean bothSides)
    implements SelfChecked {
  private static final double MOST_PERCENT = 150;
  private static final double MOST_DEGREES = 90;

  @Override
  public void check(String path, Consumer<Violation> found) {
    double most =
        switch (unit) {
          case PERCENT -> MOST_PERCENT;
          case DEGREES -> MOST_DEGREES;
          case MILLIMETRES -> Double.MAX_VALUE;
          default -> -1;
        };
    if (most < 0) {
      found.accept(Violation.of(path + "unit", unit, Said.of("demand.unitOfMovement")));
    } else if (Math.abs(value) > most) {
      found.accept(Violation.of(path + "value", value, Validation.range(-most, most, unit)));
    }
  }

  /** The same wish for another surface, size and side. */
  WantedMovement at(String changedSurface, double changedValue) {
    return new WantedMovement(
        kind, subject, changedSurface, plusSide, changedValue, false, unit, false, bothSides);
  }

  /** What is wished for, plus up or right; of rates and differential in millimetres a size. */
  double signed() {
    boolean sized = kind.sized() && unit != Unit.PERCENT;
    double way = minusWay && !kind.sized() ? -value : value;
    return sized ? Math.abs(value) : way;
  }
}
