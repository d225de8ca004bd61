package hightally.app.aircraft;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** The header of one revision; its setup is kept apart. Only added, never changed. */
@Entity
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

  /** Null only on rows from before this was kept, until they are looked at. */
  private Integer trimsHoldSince;

  protected RevisionEntity() {}

  RevisionEntity(
      long aircraftId,
      int number,
      String reason,
      Long adjustmentId,
      boolean corrects,
      Instant createdAt,
      int trimsHoldSince) {
    this.aircraftId = aircraftId;
    this.number = number;
    this.reason = reason;
    this.adjustmentId = adjustmentId;
    this.corrects = corrects;
    this.createdAt = createdAt;
    this.trimsHoldSince = trimsHoldSince;
  }

  Long id() {
    return id;
  }

  long aircraftId() {
    return aircraftId;
  }

  int number() {
    return number;
  }

  Long adjustmentId() {
    return adjustmentId;
  }

  boolean corrects() {
    return corrects;
  }

  Integer trimsHoldSince() {
    return trimsHoldSince;
  }

  /** Works out once, for a row from before it was kept, since when trims hold. */
  void heldSince(int revision) {
    trimsHoldSince = revision;
  }

  RevisionHeader header() {
    return new RevisionHeader(
        number, reason, adjustmentId != null, corrects, trimsHoldSince, createdAt);
  }
}
