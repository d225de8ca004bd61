package hightally.core.program;

import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Words;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** A pilot's words about a stick: which lever, which way, and a first step. */
public final class FeelAdvice {
  private static final double MOST_RATE = 150;
  private static final double MOST_EXPO = 99;
  private static final double LEAST_EXPO = -50;

  private FeelAdvice() {}

  /** What pilots say. */
  public enum Complaint {
    TWITCHY(
        "Twitchy around the centre", 0, 10, "more expo: the first third of the stick gets softer"),
    SLUGGISH("Sluggish around the centre", 0, -10, "less expo: the stick answers sooner"),
    SUDDEN_AT_END(
        "Sudden at the end of the stick",
        -5,
        -10,
        "less expo with a little less travel: too much expo for the travel piles it all up at the end"),
    RUNS_OUT("Runs out before the figure is flown", 10, 0, "more travel"),
    TOO_FAST("Too fast at full stick", -10, 0, "less travel"),
    BITES_EARLY("Bites too early, turns before it is wanted", 0, 10, "more expo"),
    BITES_LATE("Bites too late, as in a rolling figure", 0, -10, "less expo"),
    WALLOWS(
        "Wallows, never settles",
        0,
        -5,
        "less expo so that small corrections arrive; if it stays, look at the balance point: a little"
            + " further forward"),
    BALLOONS(
        "Balloons when it slows or flaps come out",
        0,
        0,
        "not the stick: a compensation mix, or the balance point; find it in a calm trim flight");

    private final String words;
    private final double rate;
    private final double expo;
    private final String lever;

    Complaint(String words, double rate, double expo, String lever) {
      this.words = words;
      this.rate = rate;
      this.expo = expo;
      this.lever = lever;
    }
  }

  /** What can be said, and what it points to. */
  public record ComplaintCard(Complaint complaint, String words, String lever) {}

  /**
   * What is asked.
   *
   * @param set id of the set meant; empty for the plain feel
   */
  public record FeelAsked(Setup setup, String set, Control control, Complaint complaint) {}

  /**
   * The first step.
   *
   * @param before what the control has now
   * @param after what to try
   * @param words the step with figures, and what to fly to judge it
   * @param setup with the step made
   */
  public record FeelStep(Response before, Response after, String words, Setup setup) {}

  /** All of them. */
  public static List<ComplaintCard> cards() {
    return Arrays.stream(Complaint.values())
        .map(one -> new ComplaintCard(one, one.words, one.lever))
        .toList();
  }

  /** Works the first step out. */
  public static FeelStep of(FeelAsked asked) {
    Setup setup = Validation.check(asked.setup());
    Feel feel = feel(setup, asked.set());
    Response before = feel.of(asked.control());
    Response after =
        new Response(
            rate(before.ratePositivePercent(), asked.complaint()),
            rate(before.rateNegativePercent(), asked.complaint()),
            expo(before.expoPositivePercent(), asked.complaint()),
            expo(before.expoNegativePercent(), asked.complaint()),
            before.shape());
    return new FeelStep(
        before,
        after,
        words(asked, before, after),
        Validation.check(with(setup, asked.set(), feel.with(asked.control(), after))));
  }

  private static Feel feel(Setup setup, String set) {
    return set.isEmpty()
        ? setup.feel()
        : setup.feelSets().stream()
            .filter(one -> one.id().equals(set))
            .map(FeelSet::feel)
            .findFirst()
            .orElseThrow(() -> InvalidInputException.of("set", set, "the id of a set, or empty"));
  }

  private static Setup with(Setup setup, String set, Feel feel) {
    if (set.isEmpty()) {
      return setup.change().feel(feel).done();
    }
    List<FeelSet> sets = new ArrayList<>(setup.feelSets());
    sets.replaceAll(one -> one.id().equals(set) ? one.withFeel(feel) : one);
    return setup.change().feelSets(sets).done();
  }

  private static double rate(double now, Complaint complaint) {
    return Math.max(0, Math.min(MOST_RATE, now + complaint.rate));
  }

  private static double expo(double now, Complaint complaint) {
    return Math.max(LEAST_EXPO, Math.min(MOST_EXPO, now + complaint.expo));
  }

  private static String words(FeelAsked asked, Response before, Response after) {
    Complaint complaint = asked.complaint();
    String lever = Words.capital(complaint.lever);
    if (after.equals(before)) {
      String stuck =
          complaint.rate > 0
              ? " The rate is at its limit: a larger endpoint or the next hole gives more."
              : "";
      return lever + "." + stuck;
    }
    return String.format(
        Locale.ROOT,
        "%s. First step: rate %.0f to %.0f %%, expo %.0f to %.0f %%. Judge it by %s, and change one"
            + " thing a flight.",
        lever,
        before.ratePositivePercent(),
        after.ratePositivePercent(),
        before.expoPositivePercent(),
        after.expoPositivePercent(),
        test(asked.control()));
  }

  private static String test(Control control) {
    return switch (control) {
      case ROLL -> "a slow roll at full rate";
      case PITCH -> "the entry to a hover, or a round loop: a fair amount of stick, smoothly";
      case YAW -> "a steady knife-edge";
    };
  }
}
