package hightally.core.preflight;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.edit.Mend;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardSearch;
import hightally.core.quantity.Said;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * All that the rules and the search for hazards hold against a setup, so that two can be compared.
 */
final class FaultSearch {
  /** All searches for one question together may do so much. */
  static final long MOST_WORK = 3_000_000;

  /** A figure that grows by less than this is told the same. */
  private static final double SAME = 0.05;

  private long work;

  /** Something that is wrong: how it is told apart, its size, what it says, what might mend it. */
  record Fault(String id, String subject, double excess, Said words, List<Mend> mends) {
    String key() {
      return id + "/" + subject;
    }
  }

  /** All that is wrong with a setup; whole where the search came to its end. */
  record Faults(Map<String, Fault> byKey, boolean whole) {
    Collection<Fault> all() {
      return byKey.values();
    }

    /** Whether a fault of another setup is not here, or smaller here. */
    boolean newOrWorse(Fault there) {
      Fault here = byKey.get(there.key());
      return here == null || there.excess > here.excess + SAME;
    }
  }

  /** Every rule and the whole search. */
  Faults of(SignalPath path) {
    Map<String, Fault> faults = rules(path);
    long left = Math.max(0, MOST_WORK - work);
    HazardSearch.Outcome outcome = HazardSearch.of(path, left, () -> false, part -> {});
    work += outcome.work();
    for (Hazard one : outcome.hazards()) {
      add(
          faults,
          new Fault(one.kind().name(), one.subject(), one.size(), one.words(), one.mends()));
    }
    return new Faults(faults, outcome.complete());
  }

  /** The rules alone, which are quick. */
  static Map<String, Fault> rules(SignalPath path) {
    Map<String, Fault> faults = new LinkedHashMap<>();
    for (Finding one : Audit.of(path)) {
      double excess = Math.abs(one.measured() - one.limit());
      add(faults, new Fault(one.rule(), one.surface(), excess, one.title(), one.mends()));
    }
    return faults;
  }

  /** Two of one rule about one surface are one, with the larger figure and both their mends. */
  private static void add(Map<String, Fault> faults, Fault fault) {
    faults.merge(
        fault.key(),
        fault,
        (one, other) -> {
          List<Mend> both = new ArrayList<>(one.mends);
          both.addAll(other.mends);
          double excess = Math.max(one.excess, other.excess);
          return new Fault(one.id, one.subject, excess, one.words, both);
        });
  }
}
