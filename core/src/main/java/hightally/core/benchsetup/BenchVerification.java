package hightally.core.benchsetup;

import hightally.core.airframe.Surface;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Way;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What every surface should do at the end of an adjustment, with every stick and lever it takes
 * part in, beside what was seen.
 */
public final class BenchVerification {
  private static final double LEEWAY = 0.1;
  private static final double SENSIBLE = 5;

  private BenchVerification() {}

  /**
   * What was seen at one surface.
   *
   * @param by name of the control; empty for a lever, or for the one that moves it most
   * @param measured whether a ruler was there; without one the ways were looked at
   * @param plusMm as far as it goes up, or right, from rest
   * @param minusMm as far as it goes down, or left, as a positive size
   * @param rightWay whether it went the way the words say
   */
  public record Verified(
      @Text(max = 40) String surface,
      @Text(min = 0, max = 10) String by,
      boolean rightWay,
      boolean measured,
      @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double plusMm,
      @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double minusMm) {
    public Verified {
      by = by == null ? "" : by;
    }

    /** Whether it is about the same surface and stick. */
    public boolean sameAs(Verified other) {
      return surface.equals(other.surface) && by.equals(other.by);
    }
  }

  /**
   * What a surface should do.
   *
   * @param by name of the control; empty for a lever
   * @param how which stick or lever to move, and how
   * @param first which way the trailing edge goes first
   * @param plusMm as far as it goes up, or right, from rest
   * @param minusMm likewise down, or left, as a positive size
   * @param measured what was measured; null while nothing was
   * @param fits whether that agrees; true while nothing was measured
   * @param words what to think of it; empty while nothing was measured
   */
  public record Expected(
      String surface,
      String name,
      String by,
      Said how,
      Way first,
      double plusMm,
      double minusMm,
      @Absentable Verified measured,
      boolean fits,
      Said words) {
    /** Whether it was seen to move the wrong way. */
    public boolean wrongWay() {
      return measured != null && !measured.rightWay();
    }

    /** Whether nothing was seen of it. */
    public boolean open() {
      return measured == null;
    }
  }

  /** Every surface that a stick or lever moves. */
  public static List<Expected> of(Setup setup, List<Verified> measured) {
    SignalPath path = SignalPath.of(setup);
    List<Expected> found = new ArrayList<>();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      for (ThrowsFromRest throwing : ThrowsFromRest.all(path, i)) {
        Optional<Verified> seen =
            measured.stream()
                .filter(one -> one.surface().equals(surface.id()))
                .filter(one -> one.by().equals(throwing.by()))
                .findFirst();
        boolean up = goesUp(path, surface, throwing);
        found.add(expected(setup, surface, throwing, up, seen.orElse(null)));
      }
    }
    return found;
  }

  /** Which way it must go first: by its role; as described for a lever or where no role says. */
  private static boolean goesUp(SignalPath path, Surface surface, ThrowsFromRest throwing) {
    return throwing.control() == null
        ? throwing.plusMm() > throwing.minusMm()
        : BenchSetUp.meant(path, surface, throwing.control()) > 0;
  }

  /** Checks a measurement for being one of this setup. */
  public static void check(Setup setup, Verified verified) {
    Validation.check(verified);
    int index =
        setup
            .surface(verified.surface())
            .map(setup.surfaces()::indexOf)
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "surface", verified.surface(), Said.of("demand.idSurface")));
    List<ThrowsFromRest> known = ThrowsFromRest.all(SignalPath.of(setup), index);
    if (known.stream().noneMatch(one -> one.by().equals(verified.by()))) {
      throw InvalidInputException.of(
          "by",
          verified.by(),
          Said.of(
              "demand.oneOf", "names", Said.list(known.stream().map(ThrowsFromRest::by).toList())));
    }
    for (ThrowsFromRest one : known) {
      if (one.by().equals(verified.by()) && verified.measured()) {
        sensible("plusMm", verified.plusMm(), one.plusMm());
        sensible("minusMm", verified.minusMm(), one.minusMm());
      }
    }
  }

  /** A ruler read ten times off was read in another unit, or at another place. */
  private static void sensible(String field, double mm, double expected) {
    if (mm > SENSIBLE * Math.max(1, expected)) {
      throw InvalidInputException.of(
          field, mm, Said.of("demand.mmNotCm", "expected", Quantity.mm(expected)));
    }
  }

  private static Expected expected(
      Setup setup, Surface surface, ThrowsFromRest throwing, boolean up, Verified seen) {
    double plus = throwing.plusMm();
    double minus = throwing.minusMm();
    boolean fits =
        seen == null
            || seen.rightWay()
                && (!seen.measured()
                    || near(seen.plusMm(), plus, setup) && near(seen.minusMm(), minus, setup));
    return new Expected(
        surface.id(),
        surface.name(),
        throwing.by(),
        throwing.where(setup.transmitter().stickMode()),
        surface.way(up ? 1 : -1),
        plus,
        minus,
        seen,
        fits,
        seen == null ? Said.NOTHING : words(surface, seen, plus, minus, fits));
  }

  private static boolean near(double measured, double expected, Setup setup) {
    return Math.abs(measured - expected) <= Math.max(setup.house().rulerMm(), LEEWAY * expected);
  }

  private static Said words(
      Surface surface, Verified seen, double plus, double minus, boolean fits) {
    if (!seen.rightWay()) {
      return Said.of("guide.wrongWay", "surface", surface.name());
    }
    return fits
        ? Said.of("guide.expected")
        : Said.of(
            "guide.otherThanExpected",
            "plusMm",
            Quantity.plain(seen.plusMm(), 1),
            "minusMm",
            Quantity.mm(seen.minusMm()),
            "plus",
            Quantity.plain(plus, 1),
            "minus",
            Quantity.plain(minus, 1));
  }
}
