package hightally.app.program;

import hightally.app.aircraft.StoredRow;
import hightally.app.words.SaidData;
import hightally.core.quantity.Said;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.stream.Stream;

/** A value that was changed in a transmitter, as it was ticked off. */
@Entity
@Table(name = "typed_change")
class TypedChangeEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private String transmitter;

  @Column(name = "entry_key")
  private String key;

  private String told;

  @Column(name = "before_value")
  private String before;

  @Column(name = "after_value")
  private String after;

  private int revisionNumber;
  private Instant changedAt;

  protected TypedChangeEntity() {}

  TypedChangeEntity(
      long aircraftId,
      EntryList.TickedValue ticked,
      Said told,
      String before,
      int revisionNumber,
      Instant changedAt) {
    this.aircraftId = aircraftId;
    transmitter = ticked.transmitter();
    key = ticked.key();
    this.told = SaidData.write(told);
    this.before = before;
    after = ticked.data();
    this.revisionNumber = revisionNumber;
    this.changedAt = changedAt;
  }

  long aircraftId() {
    return aircraftId;
  }

  String key() {
    return key;
  }

  boolean isOf(String name) {
    return transmitter.equals(name);
  }

  Instant changedAt() {
    return changedAt;
  }

  String after() {
    return SaidData.today(after);
  }

  /** What to tick off to have again what stood there before. */
  EntryList.TickedValue back() {
    return new EntryList.TickedValue(transmitter, key, SaidData.today(before), false);
  }

  EntryList.TypedChange read() {
    return new EntryList.TypedChange(
        id,
        transmitter,
        key,
        SaidData.read(told),
        SaidData.read(before),
        SaidData.read(after),
        revisionNumber,
        changedAt);
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
