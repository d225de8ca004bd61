package hightally.app.history;

import hightally.app.aircraft.StoredRow;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.quantity.Control;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.stream.Stream;

/** A pilot's word that a trim has settled. */
@Entity
@Table(name = "settled_word")
class MarkedSettledEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private String phase;

  @Enumerated(EnumType.STRING)
  private Control control;

  private long flightId;
  private String because;
  private Instant createdAt;

  protected MarkedSettledEntity() {}

  MarkedSettledEntity(long aircraftId, MarkedSettled word, Instant createdAt) {
    this.aircraftId = aircraftId;
    phase = word.phase();
    control = word.control();
    flightId = word.flight();
    because = word.because();
    this.createdAt = createdAt;
  }

  MarkedSettled read() {
    return new MarkedSettled(phase, control, flightId, because);
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
