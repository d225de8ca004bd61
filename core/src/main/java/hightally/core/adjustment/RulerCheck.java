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
 * @param tells whether the movement is large enough for that to prove anything
 * @param explanations inputs that could explain the difference, the likeliest first; empty if they
 *     agree
 */
public record RulerCheck(
    double computedMm,
    double measuredMm,
    double toleranceMm,
    boolean agree,
    boolean tells,
    List<Said> explanations) {
  /** Below this, agreement proves nothing: half and twice as much agree as well. */
  private static final double TOLD_MM = 1.5;

  private static final double QUARTER = 0.25;
  private static final double NEAR = 0.12;

  /** A gauge read this many times off was read in another unit, or at another place. */
  private static final double SENSIBLE = 8;

  /** Readings below this have no direction. */
  private static final double NOTHING_MM = 0.05;

  /** A gauge reading: trim in less trim zeroed, plus is up or right. */
  public record GaugeReading(@Within(min = -300, max = 300, unit = Unit.MILLIMETRES) double mm) {
    /**
     * From what the pilot saw when he zeroed the trim.
     *
     * @param sizeMm how far the trailing edge went
     * @param way which way it went; {@code SAME} for not at all
     */
    public static GaugeReading zeroing(Surface surface, double sizeMm, Went way) {
      if (!(sizeMm >= 0 && sizeMm <= MOST_MM)) {
        throw InvalidInputException.of(
            "sizeMm",
            sizeMm,
            Said.of("demand.range", "min", Quantity.mm(0, 0), "max", Quantity.mm(MOST_MM, 0)));
      }
      if (way != Went.SAME && surface.sideways() != way.sideways()) {
        throw InvalidInputException.of(
            "way", way.name(), Said.of("demand.wayOfSurface", "sideways", surface.sideways()));
      }
      if (way == Went.SAME && sizeMm >= NOTHING_MM) {
        throw InvalidInputException.of("way", way.name(), Said.of("demand.wayItWent"));
      }
      return new GaugeReading(-way.sign() * sizeMm);
    }
  }

  private static final double MOST_MM = 300;

  /** Which way a trailing edge went. */
  public enum Went {
    UP(1, false),
    DOWN(-1, false),
    RIGHT(1, true),
    LEFT(-1, true),
    SAME(0, false);

    private final int sign;
    private final boolean sideways;

    Went(int sign, boolean sideways) {
      this.sign = sign;
      this.sideways = sideways;
    }

    /** Plus for up or right. */
    public int sign() {
      return sign;
    }

    boolean sideways() {
      return sideways;
    }

    /** The way of a movement at a surface, plus up or right. */
    public static Went of(Surface surface, double mm) {
      if (mm == 0) {
        return SAME;
      }
      if (surface.sideways()) {
        return mm > 0 ? RIGHT : LEFT;
      }
      return mm > 0 ? UP : DOWN;
    }
  }

  /** Compares a reading with the arithmetic. */
  public static RulerCheck of(Setup setup, Surface surface, double computedMm, GaugeReading read) {
    Validation.check(read);
    double measured = read.mm();
    if (Math.abs(measured) > SENSIBLE * Math.max(1, Math.abs(computedMm))) {
      throw InvalidInputException.of(
          "sizeMm",
          Math.abs(measured),
          Said.of("demand.mmNotCm", "expected", Quantity.mm(computedMm).size()));
    }
    double tolerance = Math.max(setup.house().rulerMm(), QUARTER * Math.abs(computedMm));
    boolean agree = Math.abs(measured - computedMm) <= tolerance;
    return new RulerCheck(
        computedMm,
        measured,
        tolerance,
        agree,
        Math.abs(computedMm) >= TOLD_MM,
        agree ? List.of() : explained(setup, surface, computedMm, measured));
  }

  private static List<Said> explained(
      Setup setup, Surface surface, double computed, double measured) {
    List<Said> found = new ArrayList<>();
    if (computed * measured < 0) {
      found.add(Said.of("adjustment.directionFirst"));
      return found;
    }
    if (Math.abs(measured) < setup.house().rulerMm()) {
      found.add(Said.of("adjustment.gaugeLoose"));
    }
    double ratio = Math.abs(measured / computed);
    double step = setup.transmitter().clickStepPercent();
    if (Math.abs(ratio - 2) < NEAR * 2 || Math.abs(ratio - 0.5) < NEAR) {
      found.add(
          Said.of(
              "adjustment.halfOrTwice",
              "twice",
              ratio > 1,
              "ratio",
              Quantity.percent(step * ratio, 2),
              "step",
              Quantity.percent(step, 2)));
    }
    found.add(
        Said.of(
            "adjustment.otherClickStep",
            "ratio",
            Quantity.percent(step * ratio, 2),
            "step",
            Quantity.percent(step, 2)));
    double horn = surface.rod().linkage().hornRadiusMm() / ratio;
    found.add(
        Said.of(
            "adjustment.otherHole",
            "horn",
            Quantity.mm(horn),
            "hornRadiusMm",
            Quantity.mm(surface.rod().linkage().hornRadiusMm())));
    found.add(
        Said.of(
            "adjustment.measuredAtChord",
            "ratio",
            Quantity.mm(surface.chordMm() * ratio, 0),
            "chordMm",
            Quantity.mm(surface.chordMm(), 0)));
    return found;
  }
}
