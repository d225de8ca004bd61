package hightally.core.linkage;

import hightally.core.quantity.Validation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Searches every pair of holes, every seating of the arm and both sides of the rod for the ones
 * that give wanted throws.
 *
 * <p>For each the arm angles that give the two throws follow in closed form, so nothing is swept;
 * the endpoints follow from them. Cost adds up what a pilot pays: slop (each 0.1 mm at the edge per
 * 0.1 mm in the rod costs 1), coarseness (each 0.02 mm per µs costs 1), endpoints out of the
 * proportion of the throws (each 10 % costs 1), a margin to dead centre below 25° (each 5° costs 1)
 * and an arm off square (each 2° costs 1). So full servo movement on an inner hole wins over a
 * reduced endpoint on an outer one: the same throw with more torque and finer steps.
 */
public final class HoleSearch {
  /** An arm further off square than this belongs a tooth over. */
  static final double LARGEST_LEAN_DEGREES = 30;

  private static final double SLOP_MM = 0.1;
  private static final double SLOP_COST_MM = 0.1;
  private static final double COARSE_COST_MM = 0.02;
  private static final double APART_COST_PERCENT = 10;
  private static final double SAFE_MARGIN_DEGREES = 25;
  private static final double MARGIN_COST_DEGREES = 5;
  private static final double LEAN_COST_DEGREES = 2;

  /** A closed form may answer with the other intersection; further off than this, it did. */
  private static final double SAME_DEGREES = 1e-6;

  private final ThrowWish wish;
  private final double plusDegrees;
  private final double minusDegrees;

  private HoleSearch(ThrowWish wish) {
    this.wish = wish;
    plusDegrees = Math.toDegrees(Math.asin(wish.plusMm() / wish.chordMm()));
    minusDegrees = -Math.toDegrees(Math.asin(wish.minusMm() / wish.chordMm()));
  }

  /**
   * The best choices, cheapest first; of two that cost the same, the larger arm hole first. Empty
   * when no combination reaches the throws.
   *
   * @param most how many to answer with, at least 1
   */
  public static List<RigChoice> best(ThrowWish wish, int most) {
    return new HoleSearch(Validation.check(wish)).best(most);
  }

  /** Leans of every seating, degrees. */
  public static List<Double> leans(ThrowWish wish) {
    double step = wish.seating().finestStepDegrees();
    int seats = (int) Math.round(360 / step);
    List<Double> leans = new ArrayList<>();
    for (int seat = 0; seat < seats; seat++) {
      leans.add(Math.IEEEremainder(seat * step - wish.offSquareDegrees(), 360));
    }
    return leans;
  }

  /** The order of answers. */
  public static Comparator<RigChoice> ranking() {
    return Comparator.comparingDouble(RigChoice::cost)
        .thenComparing(choice -> -choice.linkage().armRadiusMm())
        .thenComparing(choice -> choice.linkage().opposite());
  }

  private List<RigChoice> best(int most) {
    List<Double> leans = leans(wish);
    leans.removeIf(lean -> Math.abs(lean) > LARGEST_LEAN_DEGREES);
    List<RigChoice> found = new ArrayList<>();
    for (double armHole : wish.armHolesMm()) {
      for (double hornHole : wish.hornHolesMm()) {
        for (double lean : leans) {
          consider(armHole, hornHole, lean, false, found);
          consider(armHole, hornHole, lean, true, found);
        }
      }
    }
    return found.stream().sorted(ranking()).limit(most).toList();
  }

  private void consider(
      double armHole, double hornHole, double lean, boolean opposite, List<RigChoice> found) {
    Linkage linkage =
        new Linkage(
            armHole,
            hornHole,
            wish.rodLengthMm(),
            lean,
            wish.hornLeanDegrees(),
            opposite,
            !opposite);
    FourBar bar = FourBar.trusted(linkage);
    double plusArm = armFor(bar, plusDegrees);
    double minusArm = armFor(bar, minusDegrees);
    if (!Double.isNaN(plusArm) && !Double.isNaN(minusArm)) {
      RigChoice choice = choice(wish, linkage, bar, plusArm, minusArm);
      if (choice != null) {
        found.add(choice);
      }
    }
  }

  private double armFor(FourBar bar, double surfaceDegrees) {
    double arm = bar.armFor(surfaceDegrees, 0);
    boolean reaches =
        Math.abs(arm) <= wish.maxAngleDegrees()
            && Math.abs(bar.surfaceAngle(arm) - surfaceDegrees) < SAME_DEGREES;
    return reaches ? arm : Double.NaN;
  }

  /**
   * What a linkage costs, once the arm angles of both throws are known.
   *
   * @return nothing where an endpoint is beyond the transmitter or dead centre lies in between
   */
  public static RigChoice choice(
      ThrowWish wish, Linkage linkage, FourBar bar, double plusArm, double minusArm) {
    double perPercent = wish.degreesPerMicrosecond() * wish.microsecondsPer100() / 100;
    double plusEndpoint = Math.abs(plusArm) / perPercent;
    double minusEndpoint = Math.abs(minusArm) / perPercent;
    if (Math.max(plusEndpoint, minusEndpoint) > wish.endpointLimitPercent()) {
      return null;
    }
    UsableRange range = RangeSearch.of(bar);
    double low = Math.min(plusArm, minusArm);
    double high = Math.max(plusArm, minusArm);
    double margin = Math.min(low - range.from(), range.to() - high);
    if (margin <= 0 || plusArm * minusArm >= 0) {
      return null;
    }
    double gain = Math.abs(bar.gain(0));
    double perDegree = wish.chordMm() * Math.PI / 180;
    double fine = perDegree * gain * wish.degreesPerMicrosecond();
    double slop = Math.abs(perDegree * bar.withRod(bar.rodLengthMm() + SLOP_MM).surfaceAngle(0));
    double evenly = minusEndpoint * wish.plusMm() / wish.minusMm();
    double cost =
        slop / SLOP_COST_MM
            + fine / COARSE_COST_MM
            + Math.abs(plusEndpoint - evenly) / APART_COST_PERCENT
            + Math.max(0, SAFE_MARGIN_DEGREES - margin) / MARGIN_COST_DEGREES
            + Math.abs(linkage.armLeanDegrees()) / LEAN_COST_DEGREES;
    return new RigChoice(
        linkage,
        plusEndpoint,
        minusEndpoint,
        wish.torqueNewtonCentimetres() / gain,
        fine,
        slop,
        margin,
        cost);
  }
}
