package hightally.app.aircraft;

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

/**
 * One aircraft; its version moves with every new revision, so two pages cannot add the same one.
 */
@Entity
@Table(name = "aircraft")
class AircraftEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;
  private int newestRevision;
  private Instant createdAt;
  private String requestKey;

  /** Kept by {@link AircraftRepository#attend}, so that no revision is in its way. */
  @Column(insertable = false, updatable = false)
  private short attention;

  @Enumerated(EnumType.STRING)
  private Place place = Place.IN_USE;

  private Instant placeSince;

  @Version private int version;

  protected AircraftEntity() {}

  AircraftEntity(String name, Instant createdAt, String requestKey) {
    this.name = name;
    this.createdAt = createdAt;
    this.requestKey = requestKey;
  }

  Long id() {
    return id;
  }

  String name() {
    return name;
  }

  Place place() {
    return place;
  }

  Instant placeSince() {
    return placeSince;
  }

  /** Puts it somewhere; where it is there already the day stays. */
  void put(Place where, Instant now) {
    if (place != where) {
      place = where;
      placeSince = now;
    }
  }

  int newestRevision() {
    return newestRevision;
  }

  /** Counts one more revision, which also carries the model's name. */
  int nextRevision(String revisedName) {
    name = revisedName;
    newestRevision++;
    return newestRevision;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.empty();
  }
}
