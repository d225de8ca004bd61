package hightally.app.benchsetup;

import hightally.app.aircraft.StoredRow;
import hightally.core.benchsetup.CentringMethod;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.stream.Stream;

/** One guided set-up on the bench: whose, by which school, and how far. */
@Entity
@Table(name = "bench_set_up")
class BenchSetUpEntity implements StoredRow {
  /** What has become of it. */
  enum State {
    OPEN,
    CLOSED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;

  @Enumerated(EnumType.STRING)
  private CentringMethod school;

  private String step;

  @Enumerated(EnumType.STRING)
  private State state;

  private Instant startedAt;
  private Instant closedAt;
  @Version private int version;

  protected BenchSetUpEntity() {}

  BenchSetUpEntity(long aircraftId, CentringMethod school, String step, Instant startedAt) {
    this.aircraftId = aircraftId;
    this.school = school;
    this.step = step;
    this.startedAt = startedAt;
    state = State.OPEN;
  }

  void moveTo(String newStep) {
    step = newStep;
  }

  void close(Instant at) {
    state = State.CLOSED;
    closedAt = at;
  }

  Long id() {
    return id;
  }

  long aircraftId() {
    return aircraftId;
  }

  CentringMethod school() {
    return school;
  }

  String step() {
    return step;
  }

  Instant startedAt() {
    return startedAt;
  }

  int version() {
    return version;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.empty();
  }
}
