package hightally.core.balance;

import hightally.core.airframe.Balance;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.airframe.Section;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.ElevonOnly;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * What to move, add or put under the motor so that a model balances with each of its packs.
 *
 * @param packs one entry a pack
 * @param sideWasherMm under the bolts on one side, for the side thrust asked
 * @param downWasherMm under the upper or lower bolts
 * @param lateralGrams at the tip of the lighter wing; {@code total · offset / arm}
 * @param notes what the balance point means for expo and reflex
 * @param estimate what the outline says of it; absent where no wing is described
 */
public record BalanceAdvice(
    List<PackAdvice> packs,
    double sideWasherMm,
    double downWasherMm,
    double lateralGrams,
    List<Said> notes,
    @Absentable BalanceEstimate estimate) {
  private static final double LEVEL_MM = 0.5;

  /**
   * What is asked.
   *
   * @param sideDegrees change of the thrust line to the side
   * @param downDegrees change of it down
   * @param lateralOffsetMm how far the model balances off the centre line
   * @param lateralArmMm centre line to where the ballast goes
   * @param noseStationMm where ballast at the nose would lie, aft of the datum
   * @param tailStationMm where ballast at the tail would lie
   */
  public record BalanceWish(
      @Within(min = -15, max = 15, unit = Unit.DEGREES) double sideDegrees,
      @Within(min = -15, max = 15, unit = Unit.DEGREES) double downDegrees,
      @Within(min = 0, max = 200, unit = Unit.MILLIMETRES) double lateralOffsetMm,
      @Within(min = 10, max = 5000, unit = Unit.MILLIMETRES) double lateralArmMm,
      @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double noseStationMm,
      @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double tailStationMm) {
    private static final double BEHIND_MM = 100;
    private static final double LEAST_ARM_MM = 100;

    /** What can be asked without a look at the model: ballast at both ends and at the wing tip. */
    public static BalanceWish of(Setup setup) {
      double datum = setup.balance().datumAftMm();
      double span =
          setup.airframe().panels().stream()
              .mapToDouble(panel -> Math.abs(panel.tip().rightMm()))
              .max()
              .orElse(LEAST_ARM_MM);
      double nose =
          setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).min().orElse(0);
      double tail =
          setup.airframe().fuselage().stream().mapToDouble(Section::aftMm).max().orElse(0);
      double behind = setup.balance().targetMm() + datum + BEHIND_MM;
      return new BalanceWish(
          0,
          0,
          0,
          Math.rint(Math.max(LEAST_ARM_MM, span)),
          Math.min(0, nose) - datum,
          Math.max(behind, tail) - datum);
    }
  }

  /** Where ballast goes. */
  public enum End {
    NOSE,
    TAIL
  }

  /** A model and what is asked about it. */
  public record BalanceQuestion(Setup setup, BalanceWish wish) {}

  /**
   * One pack.
   *
   * @param offMm measured less wanted, plus aft
   * @param inRange whether it may be flown
   * @param shiftMm how far to move the pack, plus aft
   * @param ballastGrams what would do it instead
   * @param ballastAt where; null where nothing is needed
   * @param chordPercent where it balances on the mean chord; absent where no wing is described
   * @param words all of it in words
   */
  public record PackAdvice(
      @Text String name,
      double totalGrams,
      double offMm,
      boolean inRange,
      double shiftMm,
      double ballastGrams,
      @Absentable End ballastAt,
      @Absentable Double chordPercent,
      Said words) {}

  /** The advice for a model. */
  public static BalanceAdvice of(BalanceQuestion question) {
    BalanceSheet sheet = question.setup().balance();
    BalanceEstimate estimate = BalanceEstimate.of(question.setup()).orElse(null);
    List<PackAdvice> packs =
        sheet.packs().stream().map(pack -> advice(sheet, pack, question, estimate)).toList();
    double heaviest =
        packs.stream().mapToDouble(PackAdvice::totalGrams).max().orElse(sheet.emptyMassGrams());
    return new BalanceAdvice(
        packs,
        Balance.washerMm(question.wish().sideDegrees(), sheet.boltSpacingMm()),
        Balance.washerMm(question.wish().downDegrees(), sheet.boltSpacingMm()),
        heaviest * question.wish().lateralOffsetMm() / question.wish().lateralArmMm(),
        notes(question.setup(), packs),
        estimate);
  }

  private static PackAdvice advice(
      BalanceSheet sheet, Pack pack, BalanceQuestion question, BalanceEstimate estimate) {
    double total = sheet.emptyMassGrams() + pack.massGrams();
    Balance balance = new Balance(total, pack.cgMm(), sheet.targetMm());
    double off = pack.cgMm() - sheet.targetMm();
    double shift = balance.batteryShiftMm(pack.massGrams());
    boolean nose = off > 0;
    double station = nose ? question.wish().noseStationMm() : question.wish().tailStationMm();
    boolean useful = nose ? station < sheet.targetMm() : station > sheet.targetMm();
    double grams = useful ? balance.ballastGrams(station) : 0;
    boolean inRange = pack.cgMm() >= sheet.foremostMm() && pack.cgMm() <= sheet.aftmostMm();
    End where = useful && grams > 0 ? (nose ? End.NOSE : End.TAIL) : null;
    return new PackAdvice(
        pack.name(),
        total,
        off,
        inRange,
        shift,
        grams,
        where,
        estimate == null ? null : estimate.percent(pack.cgMm()),
        words(
            off,
            inRange,
            shift,
            grams,
            where,
            PackPlace.fits(question.setup(), pack.stationMm() + shift)));
  }

  private static Said words(
      double off, boolean inRange, double shift, double grams, End where, boolean fits) {
    if (Math.abs(off) < LEVEL_MM) {
      return Said.of("guide.balancesWhereShould");
    }
    Said ballast =
        where == null
            ? Said.NOTHING
            : Said.of("guide.orAtThe", "grams", Quantity.grams(grams), "where", where);
    return Said.of(
        "guide.markMovePack",
        "size",
        Quantity.mm(Math.abs(off), 0),
        "aft",
        off > 0,
        "inRange",
        inRange,
        "shift",
        Quantity.mm(Math.abs(shift), 0),
        "shiftAft",
        shift > 0,
        "fits",
        fits,
        "alone",
        where != null,
        "ballast",
        ballast);
  }

  private static List<Said> notes(Setup setup, List<PackAdvice> packs) {
    List<Said> notes = new ArrayList<>();
    double aft = packs.stream().mapToDouble(PackAdvice::offMm).max().orElse(0);
    double ahead = packs.stream().mapToDouble(PackAdvice::offMm).min().orElse(0);
    if (aft >= LEVEL_MM) {
      notes.add(Said.of("guide.furtherAft"));
    }
    if (ahead <= -LEVEL_MM) {
      notes.add(Said.of("guide.furtherForward"));
    }
    if (ElevonOnly.applies(setup)) {
      notes.add(Said.of("guide.wingReflex"));
    }
    if (packs.size() > 1) {
      notes.add(Said.of("guide.packMarks"));
    }
    return notes;
  }
}
