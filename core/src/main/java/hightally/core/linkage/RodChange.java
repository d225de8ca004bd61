package hightally.core.linkage;

/**
 * The rod that puts a surface, with the trim at zero, where it stood with the trim in.
 *
 * <p>With θ₁ the driver's angle with the trim in and θ₀ with it at zero: target = surface angle at
 * θ₁ on today's rod; new rod = |A(θ₀) - B(target)|, exact, no iteration. Then the nearest whole
 * step of the rod's end, halves away from zero. Angles in degrees, lengths in mm, travels at the
 * trailing edge.
 */
public sealed interface RodChange {
  /**
   * Works out a change.
   *
   * @param bar the linkage with today's rod
   * @param end its adjustable end
   * @param chordMm hinge line to trailing edge
   * @param trimmed θ₁
   * @param untrimmed θ₀
   */
  static RodChange of(FourBar bar, RodEnd end, double chordMm, double trimmed, double untrimmed) {
    double target = bar.surfaceAngle(trimmed);
    double today = bar.surfaceAngle(untrimmed);
    if (Double.isNaN(target) || Double.isNaN(today)) {
      return new Locked(Double.isNaN(target) ? trimmed : untrimmed);
    }
    double change = bar.rodFor(untrimmed, target) - bar.rodLengthMm();
    return new Found(bar, end, chordMm, untrimmed, target, today, change);
  }

  /** The rod cannot reach at this driver angle, so there is nothing to carry over. */
  record Locked(double driverDegrees) implements RodChange {}

  /**
   * A change that can be made.
   *
   * @param driverDegrees θ₀
   * @param targetDegrees where the surface must stand
   * @param todayDegrees where it stands with the trim at zero on today's rod
   * @param changeMm exact change of the rod, plus is longer
   */
  record Found(
      FourBar bar,
      RodEnd end,
      double chordMm,
      double driverDegrees,
      double targetDegrees,
      double todayDegrees,
      double changeMm)
      implements RodChange {

    /** Travel at the target. */
    public double targetTravelMm() {
      return travel(targetDegrees);
    }

    /** What a gauge at the trailing edge reads between trim zeroed and trim in. */
    public double gaugeChangeMm() {
      return travel(targetDegrees) - travel(todayDegrees);
    }

    /** Exact turns, or mm for a sliding stopper. */
    public double turnsExact() {
      return end.turns(changeMm);
    }

    /** Whole steps of the rod's end. */
    public long steps() {
      return end.steps(changeMm);
    }

    /** The change those steps make, mm. */
    public double appliedMm() {
      return steps() * end.stepMm();
    }

    /** Surface angle after the steps; {@code NaN} if the changed rod no longer reaches. */
    public double afterDegrees() {
      return changedBar().surfaceAngle(driverDegrees);
    }

    /** Travel after the steps against the target, mm. */
    public double errorMm() {
      return travel(afterDegrees()) - travel(targetDegrees);
    }

    /** How far the driver would have to turn to reach the target after all, degrees. */
    public double driverLeftDegrees() {
      return changedBar().armFor(targetDegrees, driverDegrees) - driverDegrees;
    }

    private FourBar changedBar() {
      return bar.withRod(bar.rodLengthMm() + appliedMm());
    }

    private double travel(double degrees) {
      return chordMm * Math.sin(Math.toRadians(degrees));
    }
  }
}
