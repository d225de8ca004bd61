package hightally.core.trimming;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.OptionalInt;

/**
 * The next value of a lever, from what its own flights have shown.
 *
 * @param verdict what they say
 * @param next where the lever goes
 */
public record TrimStep(Verdict verdict, double next) {
  private static final double SAME = 1e-9;
  private static final int STRONGEST = 3;

  /** What flights say of a lever. */
  public enum Verdict {
    /** It is right where it is. */
    RIGHT,
    /** Moved for the first time. */
    TRY,
    /** It was right where it was before. */
    GO_BACK,
    /** Between two values that were known. */
    INTERPOLATED,
    /** Further the same way. */
    EXTRAPOLATED,
    /** It does not help: back, and other causes are looked at. */
    NOT_THE_CAUSE,
    /** At its end. */
    AT_LIMIT,
    /** No finer step there is would change it. */
    FINE_ENOUGH
  }

  /**
   * A flight with the lever at a value.
   *
   * @param severity how strongly the lever must move and which way; 0 is right
   */
  public record Flown(
      @Within(min = -1000, max = 1000) double value, @Within(min = -3, max = 3) int severity) {}

  /**
   * What is known of a lever.
   *
   * @param history oldest first
   * @param steps for slight, clear and strong
   */
  public record Question(
      List<Flown> history, List<Double> steps, double resolution, double min, double max) {
    public Question {
      history = List.copyOf(history);
      steps = List.copyOf(steps);
    }

    private void check() {
      if (history.isEmpty()) {
        throw InvalidInputException.of(
            "history", Said.of("given.missing"), Said.of("demand.given"));
      }
      if (steps.size() != STRONGEST) {
        throw InvalidInputException.of("steps", steps, Said.of("demand.threeSteps"));
      }
      if (!(resolution > 0)) {
        throw InvalidInputException.of("resolution", resolution, Said.of("demand.aboveZero"));
      }
      if (!(max > min)) {
        throw InvalidInputException.of("max", max, Said.of("demand.aboveMin"));
      }
    }

    private Flown at(int index) {
      return history.get(index);
    }

    private int newest() {
      return history.size() - 1;
    }

    /** The newest entry before one, at another value than it. */
    private OptionalInt otherBefore(int index) {
      for (int i = index - 1; i >= 0; i--) {
        if (Math.abs(at(i).value() - at(index).value()) > SAME) {
          return OptionalInt.of(i);
        }
      }
      return OptionalInt.empty();
    }

    /** Whether a later flight was flown at the same value. */
    private boolean flownAgain(int index) {
      for (int i = index + 1; i < history.size(); i++) {
        if (Math.abs(at(i).value() - at(index).value()) <= SAME) {
          return true;
        }
      }
      return false;
    }
  }

  /** The next step. */
  public static TrimStep of(Question question) {
    question.check();
    Flown now = question.at(question.newest());
    if (now.severity() == 0) {
      return new TrimStep(Verdict.RIGHT, now.value());
    }
    TrimStep found = wanted(question, now);
    double counted = Math.floor((found.next - question.min) / question.resolution + 0.5);
    double rounded = question.min + counted * question.resolution;
    double held = Math.max(question.min, Math.min(question.max, rounded));
    if (Math.abs(held - now.value()) > SAME) {
      return new TrimStep(found.verdict, held);
    }
    boolean end = held <= question.min + SAME || held >= question.max - SAME;
    return new TrimStep(end ? Verdict.AT_LIMIT : Verdict.FINE_ENOUGH, held);
  }

  private static TrimStep wanted(Question question, Flown now) {
    OptionalInt before = question.otherBefore(question.newest());
    int s = now.severity();
    double v = now.value();
    if (before.isEmpty()) {
      double step = question.steps.get(Math.abs(s) - 1);
      return new TrimStep(Verdict.TRY, v + Math.signum(s) * step);
    }
    Flown then = question.at(before.getAsInt());
    double move = v - then.value();
    if (then.severity() == 0) {
      return new TrimStep(Verdict.GO_BACK, then.value());
    }
    TrimStep between = between(question);
    if (between != null) {
      return between;
    }
    if (Integer.signum(s) != Integer.signum(then.severity())) {
      return new TrimStep(Verdict.INTERPOLATED, v - s * move / (s - then.severity()));
    }
    if (Math.abs(s) > Math.abs(then.severity())) {
      return new TrimStep(Verdict.NOT_THE_CAUSE, then.value());
    }
    if (s == then.severity()) {
      return unchanged(question, now, before.getAsInt(), move);
    }
    double by = -s * move / (s - then.severity());
    double most = 2 * Math.abs(move);
    return new TrimStep(Verdict.EXTRAPOLATED, v + Math.max(-most, Math.min(most, by)));
  }

  /** Moved, and nothing came of it: once more, or it is not the cause. */
  private static TrimStep unchanged(Question question, Flown now, int before, double move) {
    OptionalInt earlier = question.otherBefore(before);
    if (earlier.isPresent()) {
      Flown first = question.at(earlier.getAsInt());
      boolean sameWay = Integer.signum(first.severity()) == Integer.signum(now.severity());
      if (sameWay && Math.abs(first.severity()) <= Math.abs(now.severity())) {
        return new TrimStep(Verdict.NOT_THE_CAUSE, first.value());
      }
    }
    double again = Math.abs(now.severity()) == STRONGEST ? 2 * move : move;
    return new TrimStep(Verdict.EXTRAPOLATED, now.value() + again);
  }

  /** Between the highest value that is too low and the lowest that is too high; null for none. */
  private static TrimStep between(Question question) {
    Flown low = null;
    Flown high = null;
    for (int i = 0; i < question.history.size(); i++) {
      Flown one = question.at(i);
      if (!question.flownAgain(i)) {
        boolean higher = one.severity() > 0 && (low == null || one.value() > low.value());
        boolean lower = one.severity() < 0 && (high == null || one.value() < high.value());
        low = higher ? one : low;
        high = lower ? one : high;
      }
    }
    if (low == null || high == null || low.value() >= high.value()) {
      return null;
    }
    double part = (double) low.severity() / (low.severity() - high.severity());
    return new TrimStep(Verdict.INTERPOLATED, low.value() + (high.value() - low.value()) * part);
  }
}
