package hightally.app.benchsetup;

import hightally.app.aircraft.StoredRow;
import hightally.core.airframe.PartChange;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A part that was changed, and which of the checks it voided have been done again. */
@Entity
@Table(name = "part_change")
class PartChangeEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int revisionNumber;

  @Enumerated(EnumType.STRING)
  private PartChange.PartKind kind;

  private String subject;
  private String note;

  /** Indexes of the checks done again, in order, separated by blanks. */
  private String done = "";

  private Instant changedAt;
  private LocalDate changedOn;
  private String requestKey;
  @Version private int version;

  protected PartChangeEntity() {}

  PartChangeEntity(
      long aircraftId,
      int revisionNumber,
      PartChange change,
      LocalDate changedOn,
      Instant changedAt,
      String requestKey) {
    this.changedOn = changedOn;
    this.requestKey = requestKey;
    this.aircraftId = aircraftId;
    this.revisionNumber = revisionNumber;
    kind = change.kind();
    subject = change.subject();
    note = change.note();
    this.changedAt = changedAt;
  }

  void mark(int check, boolean isDone) {
    TreeSet<Integer> marks = new TreeSet<>(marks());
    if (isDone) {
      marks.add(check);
    } else {
      marks.remove(check);
    }
    done = marks.stream().map(String::valueOf).collect(Collectors.joining(" "));
  }

  long aircraftId() {
    return aircraftId;
  }

  NotedPartChange read() {
    PartChange change = new PartChange(kind, subject, note);
    List<Integer> marks = marks();
    List<NotedPartChange.Check> checks = new java.util.ArrayList<>();
    for (int i = 0; i < change.voids().size(); i++) {
      checks.add(new NotedPartChange.Check(change.voids().get(i), marks.contains(i)));
    }
    return new NotedPartChange(id, revisionNumber, change, checks, changedAt, changedOn);
  }

  private List<Integer> marks() {
    return done.isEmpty()
        ? List.of()
        : Arrays.stream(done.split(" ")).map(Integer::valueOf).toList();
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read().change());
  }
}
