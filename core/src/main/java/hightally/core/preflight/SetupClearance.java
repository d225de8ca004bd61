package hightally.core.preflight;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.audit.Finding.Severity;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardSearch;
import hightally.core.preflight.Clearance.Kind;
import hightally.core.preflight.Clearance.Lack;
import hightally.core.preflight.Clearance.Missing;
import hightally.core.preflight.Clearance.Reason;
import hightally.core.quantity.Said;
import hightally.core.setup.Notebook;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * What a setup says of itself, whatever was seen on a model: its rules and the search for hazards.
 *
 * @param reasons what grounds it
 * @param search how far the search is
 * @param searched the part of it that is done, 0 to 1
 */
public record SetupClearance(List<Reason> reasons, Search search, double searched) {
  /** Version of the rules and of the search: what was worked out by another is worked out anew. */
  public static final String VERSION = Audit.VERSION + "-" + HazardSearch.VERSION;

  public SetupClearance {
    reasons = List.copyOf(reasons);
  }

  /** How far a search is. */
  public enum Search {
    UNDER_WAY,
    WHOLE,
    /** It did all the work it may. */
    NOT_PROVEN,
    FAILED
  }

  /** What grounds a setup by its rules alone. */
  public static List<Reason> rules(SignalPath path) {
    List<Reason> reasons = new ArrayList<>();
    for (Finding one : Audit.of(path)) {
      if (one.severity() == Severity.GROUNDS && one.acceptedBecause().isEmpty()) {
        reasons.add(new Reason(Kind.FINDING, one.rule(), one.surface(), one.title()));
      }
    }
    return reasons;
  }

  /** What of a search grounds a setup, whatever was accepted. */
  public static List<Reason> hazards(HazardSearch.Outcome outcome) {
    List<Reason> reasons = new ArrayList<>();
    for (Hazard one : outcome.hazards()) {
      if (one.kind().grounds()) {
        reasons.add(new Reason(Kind.HAZARD, one.kind().name(), one.subject(), one.words()));
      }
    }
    return reasons;
  }

  /** Those of some reasons that were not accepted. */
  public static List<Reason> open(List<Reason> hazards, Notebook notebook) {
    return hazards.stream()
        .filter(
            one ->
                notebook.accepted().stream()
                    .noneMatch(
                        known ->
                            known.rule().equals(one.id()) && known.subject().equals(one.subject())))
        .toList();
  }

  /** What a search that has ended leaves unknown, and one that has not. */
  List<Missing> missing() {
    return switch (search) {
      case WHOLE -> List.of();
      case UNDER_WAY -> List.of(new Missing(Lack.SEARCHING, Said.of("ready.searching")));
      case NOT_PROVEN -> List.of(new Missing(Lack.NOT_PROVEN, Said.of("ready.notProven")));
      case FAILED -> List.of(new Missing(Lack.SEARCH_FAILED, Said.of("ready.searchFailed")));
    };
  }
}
