package hightally.app.trimming;

import hightally.app.aircraft.StoredRow;
import hightally.core.trimming.CoachAdvice;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimTest;
import jakarta.persistence.Column;
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

/** A change at the model that a trim test asked for. */
@Entity
@Table(name = "metal_job")
class ModelChangeEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;

  @Enumerated(EnumType.STRING)
  private TrimTest test;

  private String part;

  @Enumerated(EnumType.STRING)
  private TrimLever lever;

  @Column(name = "from_value")
  private double from;

  @Column(name = "to_value")
  private double to;

  @Enumerated(EnumType.STRING)
  private ModelChange.State state = ModelChange.State.OPEN;

  private Integer resultRevision;
  private Instant createdAt;
  private Instant closedAt;
  private String requestKey;
  @Version private int version;

  protected ModelChangeEntity() {}

  ModelChangeEntity(
      long aircraftId, TestCase test, CoachAdvice advice, Instant createdAt, String requestKey) {
    this.aircraftId = aircraftId;
    this.test = test.test();
    part = test.part();
    lever = advice.lever();
    from = advice.from();
    to = advice.to();
    this.createdAt = createdAt;
    this.requestKey = requestKey;
  }

  /** One that is done and puts back what another changed. */
  static ModelChangeEntity reversing(ModelChangeEntity done, Instant at) {
    ModelChangeEntity back = new ModelChangeEntity();
    back.aircraftId = done.aircraftId;
    back.test = done.test;
    back.part = done.part;
    back.lever = done.lever;
    back.from = done.to;
    back.to = done.from;
    back.createdAt = at;
    back.close(ModelChange.State.DONE, null, at);
    return back;
  }

  void close(ModelChange.State closed, Integer revision, Instant at) {
    state = closed;
    resultRevision = revision;
    closedAt = at;
  }

  long aircraftId() {
    return aircraftId;
  }

  ModelChange read() {
    return new ModelChange(
        id,
        new TestCase(test, part),
        lever,
        from,
        to,
        state,
        resultRevision,
        createdAt,
        closedAt,
        version);
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
