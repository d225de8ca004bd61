package hightally.core.adjustment;

import hightally.core.airframe.Surface;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * Ruler against arithmetic: what a gauge at the trailing edge showed between trim in and trim
 * zeroed, against what was computed. They agree within the larger of the ruler's error (a house
 * value) and a quarter.
 *
 * @param computedMm plus is up or right
 * @param measuredMm likewise
 * @param toleranceMm within which they agree
 * @param agree whether they do
 * @param explanations inputs that could explain the difference, the likeliest first; empty if they
 *     agree
 */
public record RulerCheck(
    double computedMm,
    double measuredMm,
    double toleranceMm,
    boolean agree,
    List<Said> explanations) {
  private static final double QUARTER = 0.25;
  private static final double NEAR = 0.12;

  /** Between half and twice a reading may be believed; beyond that an input is wrong. */
  private static final double LEAST = 0.5;

  private static final double MOST = 2;

  /** A gauge reading: trim in less trim zeroed, plus is up or right. */
  public record GaugeReading(@Within(min = -300, max = 300, unit = Unit.MILLIMETRES) double mm) {}

  /** Compares a reading with the arithmetic. */
  public static RulerCheck of(Setup setup, Surface surface, double computedMm, GaugeReading read) {
    Validation.check(read);
    double measured = read.mm();
    double tolerance = Math.max(setup.house().rulerMm(), QUARTER * Math.abs(computedMm));
    boolean agree = Math.abs(measured - computedMm) <= tolerance;
    return new RulerCheck(
        computedMm,
        measured,
        tolerance,
        agree,
        agree ? List.of() : explained(setup, surface, computedMm, measured));
  }

  /**
   * The setup with a surface's lever arm such that it moves by as much more as was measured.
   *
   * @throws InvalidInputException if the reading is not between half and twice the computed one
   */
  public Setup believed(Setup setup, Surface surface) {
    double ratio = measuredMm / computedMm;
    if (!(ratio >= LEAST && ratio <= MOST)) {
      throw InvalidInputException.of(
          "choice", "RULER", Said.of("demand.readingBetweenHalfTwiceComputed"));
    }
    double horn = surface.rod().linkage().hornRadiusMm() / ratio;
    return setup.withSurface(surface.withRod(surface.rod().withHorn(horn)));
  }

  private static List<Said> explained(
      Setup setup, Surface surface, double computed, double measured) {
    List<Said> found = new ArrayList<>();
    if (computed * measured < 0) {
      found.add(Said.of("adjustment.theyOppositeSignsTrimRead"));
    }
    if (Math.abs(measured) < setup.house().rulerMm()) {
      found.add(Said.of("adjustment.gaugeShowedAlmostNothingLoose"));
    }
    double ratio = Math.abs(measured / computed);
    double step = setup.transmitter().clickStepPercent();
    if (Math.abs(ratio - 2) < NEAR * 2 || Math.abs(ratio - 0.5) < NEAR) {
      found.add(
          Said.of(
              "adjustment.almostExactlyOneTrimClick",
              "twice",
              ratio > 1,
              "ratio",
              Quantity.percent(step * ratio, 2),
              "step",
              Quantity.percent(step, 2)));
    }
    found.add(
        Said.of(
            "adjustment.trimClickInsteadExplainAll",
            "ratio",
            Quantity.percent(step * ratio, 2),
            "step",
            Quantity.percent(step, 2)));
    double horn = surface.rod().linkage().hornRadiusMm() / ratio;
    found.add(
        Said.of(
            "adjustment.rodAnotherHoleHornRadius",
            "horn",
            Quantity.mm(horn),
            "hornRadiusMm",
            Quantity.mm(surface.rod().linkage().hornRadiusMm())));
    found.add(
        Said.of(
            "adjustment.measuredElsewhereBehindHingeLine",
            "ratio",
            Quantity.mm(surface.chordMm() * ratio, 0),
            "chordMm",
            Quantity.mm(surface.chordMm(), 0)));
    return found;
  }
}
