package hightally.core.sheet;

import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Response;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A pilot's words about a stick: which lever, which way, and a first step. */
public final class FeelAdvice {
  private static final double MOST_RATE = 150;
  private static final double MOST_EXPO = 99;
  private static final double LEAST_EXPO = -50;

  private FeelAdvice() {}

  /** What pilots say. */
  public enum Complaint {
    TWITCHY(Said.of("program.twitchyAroundCentre"), 0, 10, Said.of("program.moreExpoInMiddle")),
    SLUGGISH(Said.of("program.sluggishAroundCentre"), 0, -10, Said.of("program.lessExpoSooner")),
    SUDDEN_AT_END(
        Said.of("program.suddenEndStick"), -5, -10, Said.of("program.lessExpoLessTravel")),
    RUNS_OUT(Said.of("program.runsOut"), 10, 0, Said.of("program.moreTravel")),
    TOO_FAST(Said.of("program.tooFast"), -10, 0, Said.of("program.lessTravel")),
    BITES_EARLY(Said.of("program.tooEarly"), 0, 10, Said.of("program.moreExpo")),
    BITES_LATE(Said.of("program.tooLate"), 0, -10, Said.of("program.lessExpo")),
    WALLOWS(Said.of("program.wallowsNeverSettles"), 0, -5, Said.of("program.lessExpoSmall")),
    BALLOONS(Said.of("program.balloons"), 0, 0, Said.of("program.notTheStick"));

    private final Said words;
    private final double rate;
    private final double expo;
    private final Said lever;

    Complaint(Said words, double rate, double expo, Said lever) {
      this.words = words;
      this.rate = rate;
      this.expo = expo;
      this.lever = lever;
    }
  }

  /** What can be said, and what it points to. */
  public record ComplaintCard(Complaint complaint, Said words, Said lever) {}

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
  public record FeelStep(Response before, Response after, Said words, Setup setup) {}

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
            .orElseThrow(() -> InvalidInputException.of("set", set, Said.of("demand.idSetEmpty")));
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

  private static Said words(FeelAsked asked, Response before, Response after) {
    Complaint complaint = asked.complaint();
    Said lever = complaint.lever;
    if (after.equals(before)) {
      return Said.all(
          Said.of("program.sentence", "words", lever),
          complaint.rate > 0 ? Said.of("program.rateLimit") : Said.NOTHING);
    }
    return Said.of(
        "program.firstStep",
        "lever",
        lever,
        "rateFrom",
        Quantity.percent(before.ratePositivePercent()),
        "rateTo",
        Quantity.percent(after.ratePositivePercent()),
        "expoFrom",
        Quantity.percent(before.expoPositivePercent()),
        "expoTo",
        Quantity.percent(after.expoPositivePercent()),
        "test",
        test(asked.control()));
  }

  private static Said test(Control control) {
    return switch (control) {
      case ROLL -> Said.of("program.slowRoll");
      case PITCH -> Said.of("program.hoverEntry");
      case YAW -> Said.of("program.steadyKnifeEdge");
    };
  }
}
