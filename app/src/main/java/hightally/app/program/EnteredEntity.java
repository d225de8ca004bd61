package hightally.app.program;

import hightally.app.aircraft.StoredRow;
import hightally.app.words.SaidData;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.stream.Stream;

/** A value the pilot said he typed into one of his transmitters. */
@Entity
@Table(name = "entered_value")
class EnteredEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private String transmitter;

  @Column(name = "entry_key")
  private String key;

  /** As data, to be told in any words. */
  @Column(name = "entry_value")
  private String value;

  private boolean readBack;
  private Instant enteredAt;

  protected EnteredEntity() {}

  EnteredEntity(long aircraftId, String transmitter, String key) {
    this.aircraftId = aircraftId;
    this.transmitter = transmitter;
    this.key = key;
  }

  void enter(String entered, boolean read, Instant at) {
    value = entered;
    readBack = read;
    enteredAt = at;
  }

  EntryList.EnteredValue read() {
    return new EntryList.EnteredValue(key, value(), SaidData.read(value), readBack, enteredAt);
  }

  String value() {
    return SaidData.today(value);
  }

  String key() {
    return key;
  }

  Instant enteredAt() {
    return enteredAt;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
