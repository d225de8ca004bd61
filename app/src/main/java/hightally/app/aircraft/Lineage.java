package hightally.app.aircraft;

import hightally.core.flight.TrimsHold;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** From which revision on trims that were flown still mean the same. */
@Service
public class Lineage {
  private final Hangar hangar;

  /** Saved revisions never change, so what two of them have in common is worked out once. */
  private final Map<Successor, Boolean> known = new ConcurrentHashMap<>();

  private record Successor(long aircraftId, int number) {}

  Lineage(Hangar hangar) {
    this.hangar = hangar;
  }

  /** A revision that voids the trims flown before it, and why. */
  public record Parting(Revision revision, String why) {}

  /**
   * All revisions that void trims, oldest first. One that only corrects the description from what a
   * flight has taught is none: the model flew as it is.
   */
  @Transactional(readOnly = true)
  public List<Parting> partings(long aircraftId) {
    List<Revision> revisions = new ArrayList<>(hangar.revisions(aircraftId));
    revisions.sort(Comparator.comparingInt(Revision::number));
    List<Parting> found = new ArrayList<>();
    for (int i = 1; i < revisions.size(); i++) {
      Revision now = revisions.get(i);
      if (now.fromAdjustment()) {
        found.add(new Parting(now, "rods were turned in revision " + now.number()));
      } else if (!now.corrects() && !TrimsHold.between(revisions.get(i - 1).setup(), now.setup())) {
        found.add(new Parting(now, "the rig was changed in revision " + now.number()));
      }
    }
    return found;
  }

  private boolean holds(long aircraftId, Revision before, Revision now) {
    return known.computeIfAbsent(
        new Successor(aircraftId, now.number()),
        key -> TrimsHold.between(before.setup(), now.setup()));
  }

  /** The revision since which trims mean what they mean on the newest one. */
  @Transactional(readOnly = true)
  public Revision since(long aircraftId) {
    List<Parting> partings = partings(aircraftId);
    return partings.isEmpty()
        ? hangar.revision(aircraftId, 1)
        : partings.get(partings.size() - 1).revision();
  }
}
