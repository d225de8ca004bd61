package hightally.app.aircraft;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** One setup as it was saved; never changed afterwards. */
@Entity
@Immutable
@Table(name = "revision")
class RevisionEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int number;
  private String reason;
  private Long adjustmentId;
  private boolean corrects;
  private Instant createdAt;

  private String setup;

  protected RevisionEntity() {}

  RevisionEntity(
      long aircraftId,
      int number,
      String reason,
      Long adjustmentId,
      boolean corrects,
      Instant createdAt,
      String setup) {
    this.aircraftId = aircraftId;
    this.number = number;
    this.reason = reason;
    this.adjustmentId = adjustmentId;
    this.corrects = corrects;
    this.createdAt = createdAt;
    this.setup = setup;
  }

  int number() {
    return number;
  }

  String reason() {
    return reason;
  }

  Long adjustmentId() {
    return adjustmentId;
  }

  boolean corrects() {
    return corrects;
  }

  Instant createdAt() {
    return createdAt;
  }

  String setup() {
    return setup;
  }
}
