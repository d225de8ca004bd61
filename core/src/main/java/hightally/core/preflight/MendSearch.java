package hightally.core.preflight;

import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Mend;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardSearch;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Movements;
import hightally.core.signal.Movements.MovementLine;
import hightally.core.signal.SignalPath;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What mends the findings and hazards of a setup. Each mend is made on a copy, and every rule, the
 * whole search for hazards and the full travel of every surface are asked again: it is offered only
 * if what it is for is gone and nothing is new or worse. What brings another finding that has a
 * mend of its own is tried together with that one. Bounded by work: what was not proven in it is
 * not offered.
 */
public final class MendSearch {
  /** All trials of a setup together may do so much. */
  public static final long MOST_WORK = 3_000_000;

  /** So many changes hang together at most. */
  private static final int MOST_TOGETHER = 4;

  /** So many combinations are tried for one finding. */
  private static final int MOST_TRIALS = 16;

  /** A figure that grows by less than this is told the same. */
  private static final double SAME = 0.05;

  private final Setup setup;
  private final State before;
  private long work;

  /**
   * What mends one finding or hazard.
   *
   * @param id the rule, or the kind of hazard
   * @param subject what it is about
   * @param mends those that were tried and mend it
   * @param hand what to do at the model where none does; nothing where one does
   */
  public record Offer(String id, String subject, List<TriedMend> mends, Said hand) {
    public Offer {
      mends = List.copyOf(mends);
    }
  }

  /**
   * A mend that was tried.
   *
   * @param words what it does, change by change
   * @param edits all its changes
   * @param moves everything that then stands or goes elsewhere than before, mm
   */
  public record TriedMend(List<Said> words, List<Edit> edits, List<MovementLine> moves) {
    public TriedMend {
      words = List.copyOf(words);
      edits = List.copyOf(edits);
      moves = List.copyOf(moves);
    }
  }

  /** Something that is wrong: how it is told apart, its size, and what might mend it. */
  private record Fault(String id, String subject, double excess, List<Mend> mends) {
    String key() {
      return id + "/" + subject;
    }
  }

  /** All that is wrong with a setup; whole where the search came to its end. */
  private record State(Map<String, Fault> faults, boolean whole) {}

  /** One of some changes, and what the fault it was proposed for is about. */
  private record Change(String subject, Said words) {}

  /** Some changes together. */
  private record Changes(List<Change> words, List<Edit> edits) {
    Changes and(String subject, Mend mend) {
      List<Change> both = new ArrayList<>(words);
      both.add(new Change(subject, mend.words()));
      List<Edit> all = new ArrayList<>(edits);
      for (Edit edit : mend.edits()) {
        all.removeIf(one -> one.figure() == edit.figure() && one.subject().equals(edit.subject()));
        all.add(edit);
      }
      return new Changes(both, all);
    }
  }

  private MendSearch(Setup setup) {
    this.setup = setup;
    before = state(SignalPath.of(setup));
  }

  /** What mends each of the findings and hazards of a setup. */
  public static List<Offer> of(Setup setup) {
    MendSearch mends = new MendSearch(setup);
    List<Offer> offers = new ArrayList<>();
    for (Fault fault : mends.before.faults.values()) {
      List<TriedMend> found = mends.tried(fault);
      Said hand = found.isEmpty() ? Said.of("hand." + fault.id) : Said.NOTHING;
      offers.add(new Offer(fault.id, fault.subject, found, hand));
    }
    return offers;
  }

  private State state(SignalPath path) {
    Map<String, Fault> faults = rules(path);
    long left = Math.max(0, MOST_WORK - work);
    HazardSearch.Outcome outcome = HazardSearch.of(path, left, () -> false, part -> {});
    work += outcome.work();
    for (Hazard one : outcome.hazards()) {
      add(faults, new Fault(one.kind().name(), one.subject(), one.size(), one.mends()));
    }
    return new State(faults, outcome.complete());
  }

  private static Map<String, Fault> rules(SignalPath path) {
    Map<String, Fault> faults = new LinkedHashMap<>();
    for (Finding one : Audit.of(path)) {
      double excess = Math.abs(one.measured() - one.limit());
      add(faults, new Fault(one.rule(), one.surface(), excess, one.mends()));
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
          return new Fault(one.id, one.subject, excess, both);
        });
  }

  /** The mends of a fault, fewest changes first. */
  private List<TriedMend> tried(Fault fault) {
    List<TriedMend> found = new ArrayList<>();
    Deque<Changes> open = new ArrayDeque<>();
    Set<Set<Edit>> seen = new HashSet<>();
    fault.mends.forEach(one -> open.add(new Changes(List.of(), List.of()).and(fault.subject, one)));
    for (int trials = 0; trials < MOST_TRIALS && !open.isEmpty(); trials++) {
      Changes changes = open.poll();
      boolean enough = !found.isEmpty() && changes.words.size() > found.get(0).words.size();
      if (enough || !seen.add(new HashSet<>(changes.edits))) {
        continue;
      }
      Setup made = made(changes);
      if (made == null) {
        continue;
      }
      // The rules are quick; what they find already need not be searched.
      SignalPath path = SignalPath.of(made);
      List<Fault> wrong = wrong(fault, rules(path).values());
      boolean whole = before.whole;
      if (wrong.isEmpty()) {
        State after = state(path);
        wrong = wrong(fault, after.faults.values());
        whole &= after.whole;
      }
      if (wrong.isEmpty() && whole) {
        found.add(new TriedMend(words(changes), changes.edits, Movements.differences(setup, made)));
      } else if (changes.words.size() < MOST_TOGETHER) {
        for (Fault one : wrong) {
          one.mends.forEach(mend -> open.add(changes.and(one.subject, mend)));
        }
      }
    }
    return found;
  }

  /** One change is told under the finding it mends; of several each says what it is done to. */
  private List<Said> words(Changes changes) {
    if (changes.words.size() == 1) {
      return List.of(changes.words.get(0).words);
    }
    return changes.words.stream()
        .map(
            one ->
                setup
                    .surface(one.subject)
                    .map(at -> Said.of("mend.at", "surface", at.name(), "mend", one.words))
                    .orElse(one.words))
        .toList();
  }

  private Setup made(Changes changes) {
    try {
      return Edits.made(setup, changes.edits);
    } catch (InvalidInputException e) {
      return null;
    }
  }

  /** What is still wrong of a fault, and what is new or worse. */
  private List<Fault> wrong(Fault fault, Collection<Fault> after) {
    List<Fault> wrong = new ArrayList<>();
    for (Fault one : after) {
      Fault was = before.faults.get(one.key());
      if (one.key().equals(fault.key()) || was == null || worse(was, one)) {
        wrong.add(one);
      }
    }
    return wrong;
  }

  private static boolean worse(Fault was, Fault is) {
    return is.excess > was.excess + SAME;
  }
}
