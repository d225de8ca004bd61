package hightally.app.standing;

import hightally.app.aircraft.StoredRow;
import hightally.core.preflight.Clearance.Lack;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Why a pilot flies a model though something is still to be seen. */
@Entity
@Table(name = "clearance_word")
class ClearanceWordEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int revisionNumber;
  private String lacks;
  private String because;
  private Instant createdAt;

  protected ClearanceWordEntity() {}

  ClearanceWordEntity(
      long aircraftId, int revisionNumber, Collection<Lack> lacks, String because, Instant at) {
    this.aircraftId = aircraftId;
    this.revisionNumber = revisionNumber;
    this.lacks = lacks.stream().map(Lack::name).distinct().collect(Collectors.joining(" "));
    this.because = because;
    createdAt = at;
  }

  /** Whether it was said of a revision, and of all that is missing. */
  boolean covers(int revision, Collection<Lack> missing) {
    List<String> said = Arrays.asList(lacks.split(" "));
    return revisionNumber == revision
        && missing.stream().allMatch(one -> said.contains(one.name()));
  }

  String because() {
    return because;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.empty();
  }
}
