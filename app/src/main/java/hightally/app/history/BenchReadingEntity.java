package hightally.app.history;

import hightally.app.aircraft.StoredRow;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.history.BenchReading;
import hightally.core.quantity.Control;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.stream.Stream;

/** Something that was measured on the bench outside a work order. */
@Entity
@Table(name = "bench_reading")
class BenchReadingEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int revisionNumber;
  private String surface;

  @Enumerated(EnumType.STRING)
  private Seen kind;

  @Enumerated(EnumType.STRING)
  private Control control;

  private double amount;
  private double mm;
  private LocalDate measuredOn;
  private Instant createdAt;
  private String requestKey;

  protected BenchReadingEntity() {}

  BenchReadingEntity(long aircraftId, BenchReading reading, Instant createdAt, String requestKey) {
    this.aircraftId = aircraftId;
    revisionNumber = reading.revision();
    surface = reading.surface();
    kind = reading.kind();
    control = reading.control();
    amount = reading.amount();
    mm = reading.mm();
    measuredOn = reading.day();
    this.createdAt = createdAt;
    this.requestKey = requestKey;
  }

  Long id() {
    return id;
  }

  long aircraftId() {
    return aircraftId;
  }

  BenchReading read() {
    return new BenchReading(surface, kind, control, amount, mm, revisionNumber, measuredOn);
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
