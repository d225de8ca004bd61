package hightally.core.linkage;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * The planar four-bar between a servo arm (or the horn of a driving surface) and a surface's horn,
 * as it stands at neutral. Geometry and formulas: {@code docs/computation.md}, "Linkage".
 *
 * @param armRadiusMm shaft to the rod's hole
 * @param hornRadiusMm hinge line to the rod's hole
 * @param rodLengthMm between pin centres at neutral
 * @param armLeanDegrees how far, at centre, the arm leans aft of square to the rod
 * @param hornLeanDegrees how far the hole sits aft of square over the hinge line
 * @param opposite whether horn and arm stand on opposite sides of the rod
 * @param pushRaises whether pushing the rod raises the trailing edge (or moves it right)
 */
@Copyable
public record Linkage(
    @Within(min = 1, max = 150, unit = Unit.MILLIMETRES) double armRadiusMm,
    @Within(min = 1, max = 150, unit = Unit.MILLIMETRES) double hornRadiusMm,
    @Within(min = 5, max = 3000, unit = Unit.MILLIMETRES) double rodLengthMm,
    @Within(min = -60, max = 60, unit = Unit.DEGREES) double armLeanDegrees,
    @Within(min = -60, max = 60, unit = Unit.DEGREES) double hornLeanDegrees,
    boolean opposite,
    boolean pushRaises) {
  /** A copy to change, part by part. */
  public LinkageCopy change() {
    return LinkageCopy.from(this);
  }

  /** The same linkage with another arm. */
  public Linkage withArm(double radiusMm) {
    return change().armRadiusMm(radiusMm).done();
  }

  /** The same linkage in another hole of the horn. */
  public Linkage withHorn(double radiusMm) {
    return change().hornRadiusMm(radiusMm).done();
  }

  /** The same linkage, pushing raising the surface or lowering it. */
  public Linkage raising(boolean raises) {
    return change().pushRaises(raises).done();
  }

  /** The same linkage leaning otherwise. */
  public Linkage leaning(double arm, double horn) {
    return change().armLeanDegrees(arm).hornLeanDegrees(horn).done();
  }
}
