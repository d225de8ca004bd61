package hightally.core.ready;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.audit.Finding.Severity;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardSearch;
import hightally.core.quantity.Said;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;

/**
 * What keeps a model on the ground: open findings of the rules and open hazards that are better
 * mended before it flies. The one judgement that every page shows.
 *
 * @param reasons what grounds it, rules first; empty for nothing
 * @param proven whether the search for hazards looked at everything; if not, there may be more
 */
public record Grounding(List<Reason> reasons, boolean proven) {
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
    CHECK
  }

  /** The same with what checks have found. */
  public Grounding and(List<Said> checks) {
    List<Reason> all = new ArrayList<>(reasons);
    checks.forEach(one -> all.add(new Reason(Kind.CHECK, "", "", one)));
    return new Grounding(List.copyOf(all), proven);
  }

  /**
   * What grounds a model as it is described.
   *
   * @param stop asked now and then; ends the search for hazards
   */
  public static Grounding of(SignalPath path, BooleanSupplier stop) {
    List<Reason> reasons = new ArrayList<>();
    for (Finding one : Audit.of(path)) {
      if (one.severity() == Severity.GROUNDS && one.acceptedBecause().isEmpty()) {
        reasons.add(new Reason(Kind.FINDING, one.rule(), one.surface(), one.title()));
      }
    }
    HazardSearch.Outcome outcome = HazardSearch.of(path, stop, part -> {});
    for (Hazard one : outcome.hazards()) {
      if (one.kind().grounds() && one.acceptedBecause().isEmpty()) {
        reasons.add(new Reason(Kind.HAZARD, one.kind().name(), one.subject(), one.words()));
      }
    }
    return new Grounding(List.copyOf(reasons), outcome.complete());
  }
}
