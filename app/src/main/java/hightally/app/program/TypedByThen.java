package hightally.app.program;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.core.sheet.EntrySheet;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Which revision a model was really flown with: a change is made when it is typed into the
 * transmitter, not when a revision asks for it.
 */
@Service
public class TypedByThen {
  /** A transmitter further behind than this many revisions is not kept with at all. */
  private static final int LOOKED_BACK = 20;

  private final EnteredRepository entered;
  private final TypedChangeRepository changes;
  private final EntryList sheets;
  private final Hangar hangar;

  TypedByThen(
      EnteredRepository entered, TypedChangeRepository changes, EntryList sheets, Hangar hangar) {
    this.entered = entered;
    this.changes = changes;
    this.sheets = sheets;
    this.hangar = hangar;
  }

  /**
   * What stood in a transmitter at a time.
   *
   * @param values as data, by key
   * @param unknown keys last ticked off later without a change: what stood there is not known
   */
  private record Standing(Map<String, String> values, Set<String> unknown) {}

  /** All that was typed for a model; read once, within the transaction of the one who asks. */
  @Transactional(readOnly = true)
  public Typed of(long aircraftId) {
    return new Typed(aircraftId, changes.findByAircraftIdOrderByIdDesc(aircraftId));
  }

  /** What was typed for a model, to be asked about its flights. */
  public final class Typed {
    private final long aircraftId;
    private final List<TypedChangeEntity> newestFirst;
    private final boolean nothing;
    private final Map<String, List<EnteredEntity>> ticked = new HashMap<>();

    private Typed(long aircraftId, List<TypedChangeEntity> newestFirst) {
      this.aircraftId = aircraftId;
      this.newestFirst = newestFirst;
      nothing = newestFirst.isEmpty() && !entered.existsByAircraftId(aircraftId);
    }

    /**
     * The newest revision up to a number that stood in the transmitter whole at a time; the one of
     * that number where nothing was ever ticked off, or where none stood there whole.
     */
    public int revision(int number, Instant at) {
      if (nothing) {
        return number;
      }
      for (int back = 0; back < LOOKED_BACK && number - back > 0; back++) {
        Revision revision = hangar.revision(aircraftId, number - back);
        Standing standing = standing(revision.setup().transmitter().name(), at);
        if (standing.values().isEmpty()) {
          return number;
        }
        if (whole(sheets.sheet(aircraftId, revision), standing)) {
          return number - back;
        }
      }
      return number;
    }

    private Standing standing(String transmitter, Instant at) {
      Map<String, String> values = new HashMap<>();
      Set<String> unknown = new HashSet<>();
      List<EnteredEntity> rows =
          ticked.computeIfAbsent(
              transmitter, name -> entered.findByAircraftIdAndTransmitter(aircraftId, name));
      for (EnteredEntity one : rows) {
        values.put(one.key(), one.value());
        if (one.enteredAt().isAfter(at)) {
          unknown.add(one.key());
        }
      }
      for (TypedChangeEntity one : newestFirst) {
        if (one.isOf(transmitter) && one.changedAt().isAfter(at)) {
          values.put(one.key(), one.back().data());
          unknown.remove(one.key());
        }
      }
      unknown.forEach(values::remove);
      values.values().removeIf(EntryList.NOTHING::equals);
      return new Standing(values, unknown);
    }
  }

  private static boolean whole(List<EntrySheet.Entry> sheet, Standing standing) {
    return EntryList.lacking(sheet, standing.values()).stream()
        .allMatch(one -> standing.unknown().contains(one.key()));
  }
}
