package hightally.core.guide;

import hightally.core.airframe.Balance;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What to move, add or put under the motor so that a model balances with each of its packs.
 *
 * @param packs one entry a pack
 * @param sideWasherMm under the bolts on one side, for the side thrust asked
 * @param downWasherMm under the upper or lower bolts
 * @param lateralGrams at the tip of the lighter wing; {@code total · offset / arm}
 * @param notes what the balance point means for expo and reflex
 */
public record BalanceAdvice(
    List<PackAdvice> packs,
    double sideWasherMm,
    double downWasherMm,
    double lateralGrams,
    List<String> notes) {
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
      @Within(min = -15, max = 15, unit = "°", label = "Side thrust, change") double sideDegrees,
      @Within(min = -15, max = 15, unit = "°", label = "Down thrust, change") double downDegrees,
      @Within(min = 0, max = 200, unit = "mm", label = "Balances off the middle by")
          double lateralOffsetMm,
      @Within(min = 10, max = 5000, unit = "mm", label = "Middle to tip ballast")
          double lateralArmMm,
      @Within(min = -5000, max = 5000, unit = "mm", label = "Nose ballast at") double noseStationMm,
      @Within(min = -5000, max = 5000, unit = "mm", label = "Tail ballast at")
          double tailStationMm) {}

  /** A model and what is asked about it. */
  public record BalanceQuestion(Setup setup, BalanceWish wish) {}

  /**
   * One pack.
   *
   * @param offMm measured less wanted, plus aft
   * @param inRange whether it may be flown
   * @param shiftMm how far to move the pack, plus aft
   * @param ballastGrams what would do it instead
   * @param ballastAt where, in words; empty where nothing is needed
   * @param words all of it in words
   */
  public record PackAdvice(
      @Text(label = "Pack") String name,
      double totalGrams,
      double offMm,
      boolean inRange,
      double shiftMm,
      double ballastGrams,
      String ballastAt,
      String words) {}

  /** The advice for a model. */
  public static BalanceAdvice of(BalanceQuestion question) {
    BalanceSheet sheet = question.setup().balance();
    List<PackAdvice> packs =
        sheet.packs().stream().map(pack -> advice(sheet, pack, question)).toList();
    double heaviest =
        packs.stream().mapToDouble(PackAdvice::totalGrams).max().orElse(sheet.emptyMassGrams());
    return new BalanceAdvice(
        packs,
        Balance.washerMm(question.wish().sideDegrees(), sheet.boltSpacingMm()),
        Balance.washerMm(question.wish().downDegrees(), sheet.boltSpacingMm()),
        heaviest * question.wish().lateralOffsetMm() / question.wish().lateralArmMm(),
        notes(question.setup(), packs));
  }

  private static PackAdvice advice(BalanceSheet sheet, Pack pack, BalanceQuestion question) {
    double total = sheet.emptyMassGrams() + pack.massGrams();
    Balance balance = new Balance(total, pack.cgMm(), sheet.targetMm());
    double off = pack.cgMm() - sheet.targetMm();
    double shift = balance.batteryShiftMm(pack.massGrams());
    boolean nose = off > 0;
    double station = nose ? question.wish().noseStationMm() : question.wish().tailStationMm();
    boolean useful = nose ? station < sheet.targetMm() : station > sheet.targetMm();
    double grams = useful ? balance.ballastGrams(station) : 0;
    boolean inRange = pack.cgMm() >= sheet.foremostMm() && pack.cgMm() <= sheet.aftmostMm();
    String where = useful && grams > 0 ? (nose ? "nose" : "tail") : "";
    return new PackAdvice(
        pack.name(),
        total,
        off,
        inRange,
        shift,
        grams,
        where,
        words(off, inRange, shift, grams, where));
  }

  private static String words(
      double off, boolean inRange, double shift, double grams, String where) {
    if (Math.abs(off) < LEVEL_MM) {
      return "Balances where it should.";
    }
    String ballast =
        where.isEmpty() ? "" : String.format(Locale.ROOT, ", or %.0f g at the %s", grams, where);
    return String.format(
        Locale.ROOT,
        "%.0f mm %s the mark%s. Move the pack %.0f mm %s%s.",
        Math.abs(off),
        off > 0 ? "aft of" : "ahead of",
        inRange ? "" : ", outside the range: not to be flown like this",
        Math.abs(shift),
        shift > 0 ? "aft" : "forward",
        ballast);
  }

  private static List<String> notes(Setup setup, List<PackAdvice> packs) {
    List<String> notes = new ArrayList<>();
    double aft = packs.stream().mapToDouble(PackAdvice::offMm).max().orElse(0);
    double ahead = packs.stream().mapToDouble(PackAdvice::offMm).min().orElse(0);
    if (aft >= LEVEL_MM) {
      notes.add(
          "Further aft is livelier on pitch: a little more expo on pitch goes with it, and less"
              + " up-trim.");
    }
    if (ahead <= -LEVEL_MM) {
      notes.add(
          "Further forward is steadier, needs more up-trim and makes speed pitch the model more.");
    }
    if (Reflex.applies(setup)) {
      notes.add(
          "A flying wing wants more reflex the further forward it balances, and less further aft;"
              + " move the pack first, then the reflex.");
    }
    if (packs.size() > 1) {
      notes.add("Every pack has its own mark: check the balance again whenever another goes in.");
    }
    return notes;
  }
}
