package hightally.core.preflight;

import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Mend;
import hightally.core.preflight.FaultSearch.Fault;
import hightally.core.preflight.FaultSearch.Faults;
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
import java.util.List;
import java.util.Set;

/**
 * What mends the findings and hazards of a setup. Each mend is made on a copy, and every rule, the
 * whole search for hazards and the full travel of every surface are asked again: it is offered only
 * if what it is for is gone and nothing is new or worse. What brings another finding that has a
 * mend of its own is tried together with that one. Bounded by work: what was not proven in it is
 * not offered.
 */
public final class MendSearch {
  /** So many changes hang together at most. */
  private static final int MOST_TOGETHER = 4;

  /** So many combinations are tried for one finding. */
  private static final int MOST_TRIALS = 16;

  private final Setup setup;
  private final FaultSearch search = new FaultSearch();
  private final Faults before;

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
    before = search.of(SignalPath.of(setup));
  }

  /** What mends each of the findings and hazards of a setup. */
  public static List<Offer> of(Setup setup) {
    MendSearch mends = new MendSearch(setup);
    List<Offer> offers = new ArrayList<>();
    for (Fault fault : mends.before.all()) {
      List<TriedMend> found = mends.tried(fault);
      Said hand = found.isEmpty() ? Said.of("hand." + fault.id()) : Said.NOTHING;
      offers.add(new Offer(fault.id(), fault.subject(), found, hand));
    }
    return offers;
  }

  /** The mends of a fault, fewest changes first. */
  private List<TriedMend> tried(Fault fault) {
    List<TriedMend> found = new ArrayList<>();
    Deque<Changes> open = new ArrayDeque<>();
    Set<Set<Edit>> seen = new HashSet<>();
    fault
        .mends()
        .forEach(one -> open.add(new Changes(List.of(), List.of()).and(fault.subject(), one)));
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
      List<Fault> wrong = wrong(fault, FaultSearch.rules(path).values());
      boolean whole = before.whole();
      if (wrong.isEmpty()) {
        Faults after = search.of(path);
        wrong = wrong(fault, after.all());
        whole &= after.whole();
      }
      if (wrong.isEmpty() && whole) {
        found.add(new TriedMend(words(changes), changes.edits, Movements.differences(setup, made)));
      } else if (changes.words.size() < MOST_TOGETHER) {
        for (Fault one : wrong) {
          one.mends().forEach(mend -> open.add(changes.and(one.subject(), mend)));
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
    return after.stream()
        .filter(one -> one.key().equals(fault.key()) || before.newOrWorse(one))
        .toList();
  }
}
