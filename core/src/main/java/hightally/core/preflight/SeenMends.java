package hightally.core.preflight;

import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Mend;
import hightally.core.preflight.FaultSearch.Faults;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Movements;
import hightally.core.signal.Movements.MovementLine;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * The changes that what was seen at the model asks for, each tried on a copy. Part of such a change
 * may describe what the model is (a hole, a servo's sense): that is so already, only the
 * description did not say it, and it is never held back; what the rules then hold against it is
 * told. The other part changes what the transmitter sends: it is offered only if, beside the model
 * as it is, no rule and no hazard is new or worse. What the second part moves is told in
 * millimetres.
 */
public final class SeenMends {
  private static final Said AT_THE_MODEL = Said.of("mend.atTheModel");

  private SeenMends() {}

  /**
   * A change that was tried.
   *
   * @param words what it does
   * @param edits all its changes
   * @param moves what then stands or goes elsewhere at the model, mm
   * @param brings what the rules and the search then say that they do not say now
   * @param hand what to do instead where it is not offered; nothing where it is
   */
  public record SeenMend(
      Said words, List<Edit> edits, List<MovementLine> moves, List<Said> brings, Said hand) {
    public SeenMend {
      edits = List.copyOf(edits);
      moves = List.copyOf(moves);
      brings = List.copyOf(brings);
    }
  }

  /** Tries each of some changes by itself, in their order; one beyond its range is not offered. */
  public static List<SeenMend> of(Setup setup, List<Mend> mends) {
    FaultSearch search = new FaultSearch();
    List<SeenMend> tried = new ArrayList<>();
    if (mends.isEmpty()) {
      return tried;
    }
    Faults described = search.of(SignalPath.of(setup));
    for (Mend mend : mends) {
      try {
        tried.add(tried(search, setup, described, mend));
      } catch (InvalidInputException beyond) {
        List<Said> why = List.of(beyond.said());
        tried.add(new SeenMend(mend.words(), mend.edits(), List.of(), why, AT_THE_MODEL));
      }
    }
    return tried;
  }

  private static SeenMend tried(FaultSearch search, Setup setup, Faults described, Mend mend) {
    List<Edit> facts = mend.edits().stream().filter(one -> one.figure().describes()).toList();
    Setup is = Edits.made(setup, facts);
    Faults real = facts.isEmpty() ? described : search.of(SignalPath.of(is));
    if (facts.size() == mend.edits().size()) {
      List<Said> brings = words(described, real);
      return new SeenMend(mend.words(), mend.edits(), List.of(), brings, Said.NOTHING);
    }
    Setup made = Edits.made(setup, mend.edits());
    Faults after = search.of(SignalPath.of(made));
    boolean worse = after.all().stream().anyMatch(real::newOrWorse);
    boolean proven = real.whole() && after.whole();
    Said hand = worse ? AT_THE_MODEL : proven ? Said.NOTHING : Said.of("mend.notProven");
    List<Said> brings = words(worse ? real : described, after);
    List<MovementLine> moves = Movements.differences(is, made);
    return new SeenMend(mend.words(), mend.edits(), moves, brings, hand);
  }

  private static List<Said> words(Faults before, Faults after) {
    return after.all().stream().filter(before::newOrWorse).map(FaultSearch.Fault::words).toList();
  }
}
