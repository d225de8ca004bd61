package hightally.app.program;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.aircraft.Revision;
import hightally.app.platform.NotFoundException;
import hightally.app.words.SaidData;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.sheet.EntrySheet;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What stands in the pilot's transmitters, as he ticked it off: by model, transmitter and value, so
 * that after a change only what differs is left to type.
 */
@Service
public class EntryList implements PageOfModel {
  private static final long KEPT = 200;

  /** What stood where nothing stood. */
  static final String NOTHING = SaidData.write(Said.NOTHING);

  private final EnteredRepository entered;
  private final TypedChangeRepository changes;
  private final Hangar hangar;
  private final Clock clock;
  private final Cache<Revised, List<EntrySheet.Entry>> sheets =
      Caffeine.newBuilder().maximumSize(KEPT).build();

  private record Revised(long aircraft, int revision) {}

  EntryList(EnteredRepository entered, TypedChangeRepository changes, Hangar hangar, Clock clock) {
    this.entered = entered;
    this.changes = changes;
    this.hangar = hangar;
    this.clock = clock;
  }

  /**
   * A value that was changed in a transmitter: made when it was ticked off as typed, not when a
   * revision asked for it.
   *
   * @param what where it belongs and which value
   * @param before what stood there; nothing where it was new
   * @param after what stands there since
   * @param revision the revision that asked for it
   */
  public record TypedChange(
      long id,
      String transmitter,
      String key,
      Said what,
      Said before,
      Said after,
      int revision,
      Instant changedAt) {}

  /**
   * A value that was typed in.
   *
   * @param key the entry's
   * @param data the value as data
   * @param value the value in words
   * @param readBack whether it was also read back from the transmitter's display
   */
  public record EnteredValue(
      String key, String data, Said value, boolean readBack, Instant enteredAt) {}

  /**
   * A value ticked off, or its tick taken back.
   *
   * @param data the value that stands in the transmitter now, as the sheet gave it; empty takes the
   *     tick back
   */
  public record TickedValue(
      @Text(max = 80) String transmitter,
      @Text(max = 160) String key,
      @Text(min = 0, max = 1000) String data,
      boolean readBack) {}

  /** All that was typed into one transmitter for a model. */
  @Transactional(readOnly = true)
  public List<EnteredValue> of(long aircraftId, String transmitter) {
    hangar.newest(aircraftId);
    return entered.findByAircraftIdAndTransmitter(aircraftId, transmitter).stream()
        .map(EnteredEntity::read)
        .toList();
  }

  /** Notes values as typed in. */
  @Transactional
  public List<EnteredValue> tick(long aircraftId, List<TickedValue> values) {
    Revision newest = hangar.newest(aircraftId);
    if (values.isEmpty()) {
      throw InvalidInputException.of("values", Said.of("given.none"), Said.of("demand.leastOne"));
    }
    boolean first =
        entered.findByAircraftIdAndTransmitter(aircraftId, values.get(0).transmitter()).isEmpty();
    values.forEach(one -> tick(aircraftId, newest, Validation.check(one), first));
    entered.flush();
    return of(aircraftId, values.get(0).transmitter());
  }

  private void tick(long aircraftId, Revision newest, TickedValue one, boolean first) {
    Optional<EnteredEntity> found =
        entered.findByAircraftIdAndTransmitterAndKey(aircraftId, one.transmitter(), one.key());
    String stood = found.map(EnteredEntity::value).orElse(NOTHING);
    if (one.data().isEmpty()) {
      takeBack(aircraftId, one, found);
      return;
    }
    EnteredEntity row =
        found.orElseGet(() -> new EnteredEntity(aircraftId, one.transmitter(), one.key()));
    row.enter(one.data(), one.readBack(), clock.instant());
    entered.save(row);
    boolean changed = !stood.equals(one.data()) && (found.isPresent() || !first);
    if (changed) {
      changes.save(
          new TypedChangeEntity(
              aircraftId,
              one,
              told(aircraftId, newest, one.key()),
              stood,
              newest.number(),
              clock.instant()));
    }
  }

  /** A tick that is taken back leaves what stood there before it. */
  private void takeBack(long aircraftId, TickedValue one, Optional<EnteredEntity> found) {
    Optional<TypedChangeEntity> last =
        changes
            .findFirstByAircraftIdAndTransmitterAndKeyOrderByIdDesc(
                aircraftId, one.transmitter(), one.key())
            .filter(
                each -> found.map(EnteredEntity::value).filter(each.after()::equals).isPresent());
    String before = last.map(each -> each.back().data()).orElse(NOTHING);
    last.ifPresent(changes::delete);
    if (before.equals(NOTHING)) {
      found.ifPresent(entered::delete);
    } else {
      found.ifPresent(row -> row.enter(before, false, clock.instant()));
    }
  }

  private Said told(long aircraftId, Revision newest, String key) {
    return sheet(aircraftId, newest).stream()
        .filter(one -> one.key().equals(key))
        .findFirst()
        .map(one -> Said.of("entry.told", "place", one.place(), "what", one.what()))
        .orElseGet(() -> Said.text(key));
  }

  /** The sheet of a revision. */
  List<EntrySheet.Entry> sheet(long aircraftId, Revision newest) {
    return sheets.get(
        new Revised(aircraftId, newest.number()), one -> EntrySheet.of(newest.setup()));
  }

  /** What was changed in a model's transmitters, newest first. */
  @Transactional(readOnly = true)
  public List<TypedChange> changes(long aircraftId) {
    hangar.newest(aircraftId);
    return changes.findByAircraftIdOrderByIdDesc(aircraftId).stream()
        .map(TypedChangeEntity::read)
        .toList();
  }

  /** Notes that what stood there before a change has been typed in again. */
  @Transactional
  public List<TypedChange> back(long aircraftId, long changeId) {
    TypedChangeEntity change =
        changes
            .findById(changeId)
            .filter(one -> one.aircraftId() == aircraftId)
            .orElseThrow(() -> new NotFoundException("missing.typedChange", changeId));
    TickedValue back = change.back();
    if (back.data().equals(NOTHING)) {
      tick(aircraftId, List.of(new TickedValue(back.transmitter(), back.key(), "", false)));
    } else {
      tick(aircraftId, List.of(back));
    }
    return changes(aircraftId);
  }

  /**
   * How many values of a model as it was last saved do not stand in its transmitter, as far as that
   * is kept here; 0 where nothing was ever ticked off.
   */
  @Transactional(readOnly = true)
  public int open(long aircraftId, Revision newest) {
    List<EnteredValue> stands = of(aircraftId, newest.setup().transmitter().name());
    if (stands.isEmpty()) {
      return 0;
    }
    Map<String, String> data =
        stands.stream().collect(Collectors.toMap(EnteredValue::key, EnteredValue::data));
    return lacking(sheet(aircraftId, newest), data).size();
  }

  /** What of a sheet does not stand in a transmitter, and what stands there besides. */
  static List<EntrySheet.Entry> lacking(List<EntrySheet.Entry> sheet, Map<String, String> stands) {
    Map<String, Said> told = new HashMap<>();
    stands.forEach((key, data) -> told.put(key, SaidData.read(data)));
    return EntrySheet.beside(sheet, told).stream()
        .filter(one -> !SaidData.write(one.value()).equals(stands.get(one.key())))
        .toList();
  }

  /** The sheet of a design with what was typed in before beside each value. */
  @Transactional(readOnly = true)
  public List<EntrySheet.Entry> beside(
      long aircraftId, String transmitter, List<EntrySheet.Entry> sheet) {
    return EntrySheet.beside(
        sheet,
        of(aircraftId, transmitter).stream()
            .collect(Collectors.toMap(EnteredValue::key, EnteredValue::value)));
  }

  @Override
  public String told() {
    return "entered_value";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    open(aircraftId, hangar.newest(aircraftId));
    changes(aircraftId);
  }
}
