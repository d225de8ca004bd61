package hightally.core.adjustment;

import hightally.core.airframe.Surface;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
    List<String> explanations) {
  private static final double QUARTER = 0.25;
  private static final double NEAR = 0.12;

  /** Between half and twice a reading may be believed; beyond that an input is wrong. */
  private static final double LEAST = 0.5;

  private static final double MOST = 2;

  /** A gauge reading: trim in less trim zeroed, plus is up or right. */
  public record GaugeReading(
      @Within(min = -300, max = 300, unit = "mm", label = "Gauge, trim in less trim zeroed")
          double mm) {}

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
          "choice",
          "RULER",
          "a reading between half and twice the computed one; beyond that an input is wrong that"
              + " must be found first");
    }
    double horn = surface.rod().linkage().hornRadiusMm() / ratio;
    return setup.withSurface(surface.withRod(surface.rod().withHorn(horn)));
  }

  private static List<String> explained(
      Setup setup, Surface surface, double computed, double measured) {
    List<String> found = new ArrayList<>();
    if (computed * measured < 0) {
      found.add(
          "They have opposite signs: the trim was read the wrong way round, or the surface's direction"
              + " is entered the wrong way. Look which way the trailing edge goes for one click.");
    }
    if (Math.abs(measured) < setup.house().rulerMm()) {
      found.add(
          "The gauge showed almost nothing: a loose horn or clevis takes the movement up, or the trim"
              + " was zero already when the first mark was made.");
    }
    double ratio = Math.abs(measured / computed);
    double step = setup.transmitter().clickStepPercent();
    if (Math.abs(ratio - 2) < NEAR * 2 || Math.abs(ratio - 0.5) < NEAR) {
      found.add(
          String.format(
              Locale.ROOT,
              "Almost exactly %s: one trim click is probably %.2f %%, not %.2f %%. Count the clicks from"
                  + " end to end.",
              ratio > 1 ? "twice" : "half",
              step * ratio,
              step));
    }
    found.add(
        String.format(
            Locale.ROOT,
            "A trim click of %.2f %% instead of %.2f %% would explain it for all surfaces alike.",
            step * ratio,
            step));
    double horn = surface.rod().linkage().hornRadiusMm() / ratio;
    found.add(
        String.format(
            Locale.ROOT,
            "The rod in another hole: a horn radius of %.1f mm instead of %.1f mm would explain it for"
                + " this surface alone.",
            horn,
            surface.rod().linkage().hornRadiusMm()));
    found.add(
        String.format(
            Locale.ROOT,
            "Measured elsewhere: %.0f mm behind the hinge line instead of %.0f mm (the chord) reads the"
                + " same.",
            surface.chordMm() * ratio,
            surface.chordMm()));
    return found;
  }
}
