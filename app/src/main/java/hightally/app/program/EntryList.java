package hightally.app.program;

import hightally.app.aircraft.Hangar;
import hightally.core.program.EntrySheet;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What stands in the pilot's transmitters, as he ticked it off: by model, transmitter and value, so
 * that after a change only what differs is left to type.
 */
@Service
public class EntryList {
  private final EnteredRepository entered;
  private final Hangar hangar;
  private final Clock clock;

  EntryList(EnteredRepository entered, Hangar hangar, Clock clock) {
    this.entered = entered;
    this.hangar = hangar;
    this.clock = clock;
  }

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
    hangar.newest(aircraftId);
    if (values.isEmpty()) {
      throw InvalidInputException.of("values", Said.of("given.none"), Said.of("demand.leastOne"));
    }
    values.forEach(
        one -> {
          Validation.check(one);
          var found =
              entered.findByAircraftIdAndTransmitterAndKey(
                  aircraftId, one.transmitter(), one.key());
          if (one.data().isEmpty()) {
            found.ifPresent(entered::delete);
          } else {
            EnteredEntity row =
                found.orElseGet(() -> new EnteredEntity(aircraftId, one.transmitter(), one.key()));
            row.enter(one.data(), one.readBack(), clock.instant());
            entered.save(row);
          }
        });
    entered.flush();
    return of(aircraftId, values.get(0).transmitter());
  }

  /** The sheet of a design with what was typed in before beside each value. */
  @Transactional(readOnly = true)
  public List<EntrySheet.Entry> beside(
      long aircraftId, String transmitter, List<EntrySheet.Entry> sheet) {
    return EntrySheet.beside(
        sheet,
        of(aircraftId, transmitter).stream()
            .collect(java.util.stream.Collectors.toMap(EnteredValue::key, EnteredValue::value)));
  }
}
