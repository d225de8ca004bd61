package hightally.core.linkage;

import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;

/**
 * Works back from measured throws to the geometry that explains them.
 *
 * <p>Each explanation lets the effective horn radius and at most one lean differ from the planned
 * linkage and finds, by damped least squares (Gauss-Newton with numerical slopes), where the
 * computed travels meet the measured ones. How sure it is comes from the same slopes: the standard
 * deviation of each value is that of the ruler through the inverse of the normal matrix.
 * Explanations that fit equally well are all given: then the points cannot tell them apart.
 */
public final class LinkageFit {
  private static final int ROUNDS = 60;
  private static final double RADIUS_STEP_MM = 1e-4;
  private static final double LEAN_STEP_DEGREES = 1e-4;
  private static final double SMALLEST_MM = 1;
  private static final double LARGEST_MM = 150;
  private static final double LARGEST_LEAN = 60;
  private static final double UNKNOWN = 90;

  private LinkageFit() {}

  /** A reading: the arm's angle from centre and what the ruler said. */
  public record Reading(
      @Within(min = -180, max = 180, unit = Unit.DEGREES) double armDegrees,
      @Within(min = -600, max = 600, unit = Unit.MILLIMETRES) double travelMm) {}

  /**
   * What is asked.
   *
   * @param linkage as planned or last measured
   * @param chordMm where the ruler stood
   * @param readings two or more
   * @param rulerMm what a reading may be out by
   */
  public record FitQuestion(
      Linkage linkage,
      @Within(min = 5, max = 600, unit = Unit.MILLIMETRES) double chordMm,
      List<Reading> readings,
      @Within(min = 0.05, max = 5, unit = Unit.MILLIMETRES) double rulerMm)
      implements SelfChecked {
    private static final int MOST_READINGS = 50;

    public FitQuestion {
      readings = readings == null ? null : List.copyOf(readings);
    }

    @Override
    public void check(String path, Consumer<Violation> found) {
      if (readings.size() < 2 || readings.size() > MOST_READINGS) {
        Said range = Said.of("linkage.readings", "most", MOST_READINGS);
        found.accept(
            Violation.of(
                path + "readings", Said.of("given.readings", "count", readings.size()), range));
      }
      for (int i = 0; i < readings.size(); i++) {
        if (Math.abs(readings.get(i).travelMm()) >= chordMm) {
          String field = path + "readings[" + i + "].travelMm";
          Said range =
              Said.of(
                  "linkage.lessThanChord", "chord", Quantity.mm(chordMm), "unit", Unit.MILLIMETRES);
          found.accept(Violation.of(field, readings.get(i).travelMm(), range));
        }
      }
    }
  }

  /**
   * One explanation.
   *
   * @param words what it says of the linkage
   * @param linkage with the values found
   * @param radiusPlusMinusMm how sure the horn radius is, one standard deviation
   * @param leanPlusMinusDegrees how sure the lean is; 0 where none was fitted
   * @param leftOverMm root mean square of what it leaves unexplained
   * @param explains whether that is within the ruler's error
   */
  public record Explanation(
      Said words,
      Linkage linkage,
      double radiusPlusMinusMm,
      double leanPlusMinusDegrees,
      double leftOverMm,
      boolean explains) {}

  /** Explanations, the simplest that fits first. */
  public static List<Explanation> explanations(FitQuestion question) {
    List<Explanation> found = new ArrayList<>();
    for (Freedom freedom : Freedom.values()) {
      found.add(fit(question, freedom));
    }
    found.sort(
        Comparator.comparing((Explanation one) -> !one.explains())
            .thenComparing(one -> one.leanPlusMinusDegrees() > 0)
            .thenComparingDouble(Explanation::leftOverMm));
    return found;
  }

  /** Which values an explanation lets differ. */
  private enum Freedom {
    RADIUS,
    RADIUS_AND_HORN_LEAN,
    RADIUS_AND_ARM_LEAN
  }

  private static Explanation fit(FitQuestion question, Freedom freedom) {
    int count = freedom == Freedom.RADIUS ? 1 : 2;
    double[] values = new double[count];
    double damping = 1e-3;
    double[] errors = errors(question, freedom, values);
    for (int round = 0; round < ROUNDS; round++) {
      double[][] slopes = slopes(question, freedom, values);
      double[] step = solved(normal(slopes, damping), gradient(slopes, errors));
      double[] tried = values.clone();
      for (int i = 0; i < count; i++) {
        tried[i] -= step[i];
      }
      double[] left = errors(question, freedom, tried);
      boolean better = inside(question, freedom, tried) && squares(left) < squares(errors);
      damping = better ? damping / 5 : damping * 5;
      if (better) {
        values = tried;
        errors = left;
      }
    }
    return explanation(question, freedom, values, errors);
  }

  private static Explanation explanation(
      FitQuestion question, Freedom freedom, double[] values, double[] errors) {
    double rms = Math.sqrt(squares(errors) / errors.length);
    double[][] normal = normal(slopes(question, freedom, values), 0);
    double ruler = question.rulerMm();
    double radius = sure(ruler * Math.sqrt(inverseDiagonal(normal, 0)));
    double lean = values.length == 1 ? 0 : sure(ruler * Math.sqrt(inverseDiagonal(normal, 1)));
    Linkage found = changed(question.linkage(), freedom, values);
    return new Explanation(
        words(freedom, found, radius, lean), found, radius, lean, rms, rms <= ruler);
  }

  /** A value the points say nothing about is as unsure as can be. */
  private static double sure(double deviation) {
    return deviation < UNKNOWN ? deviation : UNKNOWN;
  }

  private static Said words(Freedom freedom, Linkage found, double radius, double lean) {
    Said horn =
        Said.of(
            "linkage.effectiveHornRadius",
            "hornRadiusMm",
            Quantity.mm(found.hornRadiusMm()),
            "radius",
            Quantity.mm(radius));
    return switch (freedom) {
      case RADIUS -> Said.of("linkage.leansPlanned", "horn", horn);
      case RADIUS_AND_HORN_LEAN ->
          Said.of(
              "linkage.hornLeans",
              "hornLeanDegrees",
              Quantity.degrees(found.hornLeanDegrees(), 1),
              "lean",
              Quantity.degrees(lean, 1),
              "horn",
              horn);
      case RADIUS_AND_ARM_LEAN ->
          Said.of(
              "linkage.armLeans",
              "armLeanDegrees",
              Quantity.degrees(found.armLeanDegrees(), 1),
              "lean",
              Quantity.degrees(lean, 1),
              "horn",
              horn);
    };
  }

  private static Linkage changed(Linkage plan, Freedom freedom, double[] values) {
    double arm = freedom == Freedom.RADIUS_AND_ARM_LEAN ? values[1] : 0;
    double horn = freedom == Freedom.RADIUS_AND_HORN_LEAN ? values[1] : 0;
    return plan.change()
        .hornRadiusMm(plan.hornRadiusMm() + values[0])
        .armLeanDegrees(plan.armLeanDegrees() + arm)
        .hornLeanDegrees(plan.hornLeanDegrees() + horn)
        .done();
  }

  private static boolean inside(FitQuestion question, Freedom freedom, double[] values) {
    Linkage tried = changed(question.linkage(), freedom, values);
    return tried.hornRadiusMm() >= SMALLEST_MM
        && tried.hornRadiusMm() <= LARGEST_MM
        && Math.abs(tried.armLeanDegrees()) <= LARGEST_LEAN
        && Math.abs(tried.hornLeanDegrees()) <= LARGEST_LEAN;
  }

  /** Computed less measured, mm; a linkage that locks there is out by the whole chord. */
  private static double[] errors(FitQuestion question, Freedom freedom, double[] values) {
    double[] errors = new double[question.readings().size()];
    FourBar bar =
        inside(question, freedom, values)
            ? FourBar.of(changed(question.linkage(), freedom, values))
            : null;
    for (int i = 0; i < errors.length; i++) {
      Reading reading = question.readings().get(i);
      double angle = bar == null ? Double.NaN : bar.surfaceAngle(reading.armDegrees());
      double travel = question.chordMm() * Math.sin(Math.toRadians(angle));
      errors[i] = Double.isNaN(travel) ? question.chordMm() : travel - reading.travelMm();
    }
    return errors;
  }

  private static double[][] slopes(FitQuestion question, Freedom freedom, double[] values) {
    double[][] slopes = new double[values.length][];
    for (int i = 0; i < values.length; i++) {
      double step = i == 0 ? RADIUS_STEP_MM : LEAN_STEP_DEGREES;
      double[] up = values.clone();
      double[] down = values.clone();
      up[i] += step;
      down[i] -= step;
      double[] high = errors(question, freedom, up);
      double[] low = errors(question, freedom, down);
      slopes[i] = new double[high.length];
      for (int j = 0; j < high.length; j++) {
        slopes[i][j] = (high[j] - low[j]) / (2 * step);
      }
    }
    return slopes;
  }

  private static double[][] normal(double[][] slopes, double damping) {
    double[][] normal = new double[slopes.length][slopes.length];
    for (int i = 0; i < slopes.length; i++) {
      for (int j = 0; j < slopes.length; j++) {
        normal[i][j] = dot(slopes[i], slopes[j]) * (i == j ? 1 + damping : 1);
      }
    }
    return normal;
  }

  private static double[] gradient(double[][] slopes, double[] errors) {
    double[] gradient = new double[slopes.length];
    for (int i = 0; i < slopes.length; i++) {
      gradient[i] = dot(slopes[i], errors);
    }
    return gradient;
  }

  /** One or two equations; a singular pair moves nothing. */
  private static double[] solved(double[][] a, double[] b) {
    if (b.length == 1) {
      return new double[] {a[0][0] == 0 ? 0 : b[0] / a[0][0]};
    }
    double determinant = a[0][0] * a[1][1] - a[0][1] * a[1][0];
    if (determinant == 0) {
      return new double[2];
    }
    return new double[] {
      (b[0] * a[1][1] - b[1] * a[0][1]) / determinant,
      (a[0][0] * b[1] - a[1][0] * b[0]) / determinant
    };
  }

  private static double inverseDiagonal(double[][] a, int index) {
    if (a.length == 1) {
      return 1 / a[0][0];
    }
    return a[1 - index][1 - index] / (a[0][0] * a[1][1] - a[0][1] * a[1][0]);
  }

  private static double squares(double[] values) {
    return dot(values, values);
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }
}
