package hightally.app.school;

import hightally.app.aircraft.StoredRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A practice on the simulated model. */
@Entity
@Table(name = "school_run")
class SchoolEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long aircraftId;

  @Convert(converter = SchoolBriefs.class)
  private List<SchoolBrief> brief;

  private String setup;

  @Convert(converter = SchoolEvents.class)
  private List<SchoolEvent> events = List.of();

  private Instant createdAt;
  private Instant endedAt;
  private boolean passed;
  private String requestKey;
  @Version private int version;

  protected SchoolEntity() {}

  SchoolEntity(
      Long aircraftId, SchoolBrief brief, String setup, Instant createdAt, String requestKey) {
    this.aircraftId = aircraftId;
    this.brief = List.of(brief);
    this.setup = setup;
    this.createdAt = createdAt;
    this.requestKey = requestKey;
  }

  void happened(SchoolEvent event) {
    List<SchoolEvent> all = new ArrayList<>(events);
    all.add(event);
    events = all;
  }

  void end(Instant at, boolean wasPassed) {
    endedAt = at;
    passed = wasPassed;
  }

  long id() {
    return id;
  }

  Long aircraftId() {
    return aircraftId;
  }

  SchoolBrief brief() {
    return brief.get(0);
  }

  String setup() {
    return setup;
  }

  List<SchoolEvent> events() {
    return events;
  }

  Instant createdAt() {
    return createdAt;
  }

  Instant endedAt() {
    return endedAt;
  }

  boolean passed() {
    return passed;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.concat(brief.stream(), events.stream());
  }
}
