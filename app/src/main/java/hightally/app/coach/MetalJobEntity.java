package hightally.app.coach;

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

/** A change of metal that a trim test asked for. */
@Entity
@Table(name = "metal_job")
class MetalJobEntity {
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
  private MetalJob.State state = MetalJob.State.OPEN;

  private Integer resultRevision;
  private Instant createdAt;
  private Instant closedAt;
  private String requestKey;
  @Version private int version;

  protected MetalJobEntity() {}

  MetalJobEntity(
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
  static MetalJobEntity reversing(MetalJobEntity done, Instant at) {
    MetalJobEntity back = new MetalJobEntity();
    back.aircraftId = done.aircraftId;
    back.test = done.test;
    back.part = done.part;
    back.lever = done.lever;
    back.from = done.to;
    back.to = done.from;
    back.createdAt = at;
    back.close(MetalJob.State.DONE, null, at);
    return back;
  }

  void close(MetalJob.State closed, Integer revision, Instant at) {
    state = closed;
    resultRevision = revision;
    closedAt = at;
  }

  long aircraftId() {
    return aircraftId;
  }

  MetalJob read() {
    return new MetalJob(
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
}
