package hightally.app.aircraft;

import hightally.core.flightlog.TrimsStillValid;
import hightally.core.quantity.Control;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;

/**
 * The header of one revision; its setup is kept apart. Only added, never changed, but for the mark
 * that it flew well.
 */
@Entity
@Table(name = "revision")
class RevisionEntity implements StoredRow {
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

  /** Null on rows from before this was kept. */
  @Convert(converter = PartedTrims.class)
  private List<TrimsStillValid.Parted> parted;

  private boolean setsTrims;
  private boolean restored;
  private boolean flewWell;

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

  /** What it does to the trims. */
  RevisionEntity trims(List<TrimsStillValid.Parted> parts, boolean sets, boolean wentBack) {
    parted = parts;
    setsTrims = sets;
    restored = wentBack;
    return this;
  }

  void flewWell(boolean well) {
    flewWell = well;
  }

  /** Whose trims it parts. */
  List<TrimsStillValid.Parted> parted() {
    if (parted != null) {
      return parted;
    }
    boolean parts = number > 1 && trimsHoldSince != null && trimsHoldSince == number;
    return parts ? List.of(new TrimsStillValid.Parted("", List.of(Control.values()))) : List.of();
  }

  boolean setsTrims() {
    return setsTrims;
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
        number,
        reason,
        adjustmentId != null,
        corrects,
        trimsHoldSince,
        createdAt,
        restored,
        flewWell);
  }

  @Override
  public Stream<? extends Record> told() {
    return parted().stream();
  }
}
