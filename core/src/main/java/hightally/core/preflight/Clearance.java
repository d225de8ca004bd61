package hightally.core.preflight;

import hightally.core.quantity.Said;
import java.util.ArrayList;
import java.util.List;

/**
 * The judgement that clears a model: whether it may fly, what keeps it on the ground, or what is
 * not known yet. The one judgement that every page shows.
 *
 * @param verdict what it comes to
 * @param reasons what grounds it, rules first; empty for nothing
 * @param missing what is not known yet, what is to be done first standing first
 * @param searched how much of the search for hazards is done, 0 to 1
 * @param because why the pilot flies it though something is missing; empty where he said nothing
 */
public record Clearance(
    Verdict verdict, List<Reason> reasons, List<Missing> missing, double searched, String because) {
  /** Of a model on which everything was looked at and nothing found. */
  public static final Clearance CLEAR = new Clearance(Verdict.CLEAR, List.of(), List.of(), 1, "");

  public Clearance {
    reasons = List.copyOf(reasons);
    missing = List.copyOf(missing);
  }

  /** What the judgement comes to. */
  public enum Verdict {
    /** All was looked at, on paper and on the model, and nothing grounds it. */
    CLEAR,
    /** Something is known that grounds it. */
    GROUNDED,
    /** Nothing is known that grounds it, and not all is known. */
    NOT_YET
  }

  /**
   * One thing that grounds it.
   *
   * @param kind what found it
   * @param id the rule, or the kind of hazard
   * @param subject what it is about
   * @param words what is so
   */
  public record Reason(Kind kind, String id, String subject, Said words) {}

  /** What finds things. */
  public enum Kind {
    /** A rule of the audit. */
    FINDING,
    /** The hazard search. */
    HAZARD,
    /** A check before a flight. */
    CHECK,
    /** The bench set-up. */
    SET_UP
  }

  /** One thing that is not known yet, in words. */
  public record Missing(Lack lack, Said words) {}

  /** What can be missing; what is to be done first stands first. */
  public enum Lack {
    /** The search for hazards goes on. */
    SEARCHING,
    /** The search did all the work it may without an end. */
    NOT_PROVEN,
    /** The search failed. */
    SEARCH_FAILED,
    /** What was changed is not ticked as typed into the transmitter: it flies what was typed. */
    NOT_TYPED,
    /** Looking which way every surface goes was begun and not ended. */
    WAYS,
    /** Nothing was measured on the model: throws are the description's. */
    NOT_MEASURED,
    /** Whether it balances was never seen. */
    BALANCE,
    /** It was never checked in full, or not as it is now. */
    FULL_CHECK,
    /** Its range was never checked, or not as it is now. */
    RANGE_CHECK;

    /** Whether a pilot can fly in spite of it and say why. */
    public boolean canBeWaived() {
      return this != SEARCHING && this != WAYS;
    }
  }

  /**
   * The judgement of a setup and of what was seen on the model.
   *
   * @param because why the pilot flies it though just this is missing; empty for nothing said
   */
  public static Clearance of(SetupClearance setup, ModelClearance.Seen seen, String because) {
    List<Reason> reasons = new ArrayList<>(setup.reasons());
    reasons.addAll(seen.wrong());
    List<Missing> missing = new ArrayList<>(setup.missing());
    missing.addAll(seen.missing());
    boolean waived =
        !because.isEmpty() && missing.stream().allMatch(one -> one.lack().canBeWaived());
    Verdict verdict =
        !reasons.isEmpty()
            ? Verdict.GROUNDED
            : missing.isEmpty() || waived ? Verdict.CLEAR : Verdict.NOT_YET;
    return new Clearance(verdict, reasons, missing, setup.searched(), because);
  }

  /** Whether it leads on to flying. */
  public boolean clear() {
    return verdict == Verdict.CLEAR;
  }
}
