package hightally.core.linkage;

import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.Consumer;

/**
 * Throws a pilot wants, and the parts he has to get them with.
 *
 * @param plusMm wanted up (or right), for the largest rate
 * @param minusMm wanted down (or left), as a positive size
 * @param chordMm hinge line to trailing edge
 * @param armHolesMm holes on the arm
 * @param hornHolesMm holes on the horn
 * @param rodLengthMm pin to pin; about right is enough
 * @param hornLeanDegrees how far the horn's holes sit aft of the hinge line
 * @param seating teeth and arms of the servo
 * @param offSquareDegrees how far the arm must turn to stand square, as it is seated now
 * @param degreesPerMicrosecond of the servo
 * @param maxAngleDegrees the servo's own stop
 * @param torqueNewtonCentimetres of the servo
 * @param microsecondsPer100 of the transmitter
 * @param endpointLimitPercent largest endpoint it takes
 */
public record ThrowWish(
    @Within(min = 0.5, max = 300, unit = Unit.MILLIMETRES) double plusMm,
    @Within(min = 0.5, max = 300, unit = Unit.MILLIMETRES) double minusMm,
    @Within(min = 5, max = 600, unit = Unit.MILLIMETRES) double chordMm,
    List<Double> armHolesMm,
    List<Double> hornHolesMm,
    @Within(min = 5, max = 3000, unit = Unit.MILLIMETRES) double rodLengthMm,
    @Within(min = -60, max = 60, unit = Unit.DEGREES) double hornLeanDegrees,
    ArmSeating seating,
    @Within(min = -180, max = 180, unit = Unit.DEGREES) double offSquareDegrees,
    @Within(min = 0.01, max = 0.5, unit = Unit.DEGREES_PER_MICROSECOND)
        double degreesPerMicrosecond,
    @Within(min = 10, max = 180, unit = Unit.DEGREES) double maxAngleDegrees,
    @Within(min = 0, max = 2000, unit = Unit.NEWTON_CENTIMETRES) double torqueNewtonCentimetres,
    @Within(min = 1, max = 2000, unit = Unit.MICROSECONDS) double microsecondsPer100,
    @Within(min = 50, max = 200, unit = Unit.PERCENT) double endpointLimitPercent)
    implements SelfChecked {
  private static final int MOST_HOLES = 20;
  private static final double SMALLEST_MM = 1;
  private static final double LARGEST_MM = 150;

  public ThrowWish {
    armHolesMm = armHolesMm == null ? null : List.copyOf(armHolesMm);
    hornHolesMm = hornHolesMm == null ? null : List.copyOf(hornHolesMm);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    holes(path + "armHolesMm", armHolesMm, found);
    holes(path + "hornHolesMm", hornHolesMm, found);
    double most = Math.max(plusMm, minusMm);
    if (most >= chordMm) {
      String field = path + (plusMm >= minusMm ? "plusMm" : "minusMm");
      found.accept(
          Violation.of(field, most, Said.of("demand.belowChord", "chord", Quantity.mm(chordMm))));
    }
  }

  private static void holes(String field, List<Double> holes, Consumer<Violation> found) {
    if (holes.isEmpty() || holes.size() > MOST_HOLES) {
      found.accept(
          Violation.of(
              field,
              Said.of("given.holes", "count", holes.size()),
              Said.of("demand.holes", "most", MOST_HOLES)));
    }
    for (int i = 0; i < holes.size(); i++) {
      if (!(holes.get(i) >= SMALLEST_MM && holes.get(i) <= LARGEST_MM)) {
        Said range =
            Said.of(
                "demand.range",
                "min",
                Quantity.mm(SMALLEST_MM, 0),
                "max",
                Quantity.mm(LARGEST_MM, 0));
        found.accept(Violation.of(field + "[" + i + "]", holes.get(i), range));
      }
    }
  }
}
