package hightally.app.preflight;

import hightally.app.aircraft.StoredRow;
import hightally.core.preflight.CheckAnswer;
import hightally.core.preflight.CheckKind;
import hightally.core.preflight.CheckState;
import hightally.core.preflight.CheckStep;
import hightally.core.preflight.ModelClearance.CheckLook;
import hightally.core.setup.Setup;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** A check before a flight. */
@Entity
@Table(name = "check_run")
class CheckRunEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int revisionNumber;

  @Enumerated(EnumType.STRING)
  private CheckKind kind;

  private String pack;

  @Convert(converter = CheckAnswers.class)
  private List<CheckAnswer> answers = List.of();

  @Enumerated(EnumType.STRING)
  private CheckRun.Stage state = CheckRun.Stage.OPEN;

  private Instant createdAt;
  private Instant closedAt;
  private String requestKey;
  @Version private int version;

  protected CheckRunEntity() {}

  CheckRunEntity(
      long aircraftId,
      int revisionNumber,
      CheckKind kind,
      String pack,
      Instant createdAt,
      String requestKey) {
    this.aircraftId = aircraftId;
    this.revisionNumber = revisionNumber;
    this.kind = kind;
    this.pack = pack;
    this.createdAt = createdAt;
    this.requestKey = requestKey;
  }

  void answer(CheckAnswer answer) {
    List<CheckAnswer> all = new ArrayList<>(answers);
    all.removeIf(one -> one.step().equals(answer.step()));
    all.add(answer);
    answers = all;
  }

  void close(CheckRun.Stage closed, Instant at) {
    state = closed;
    closedAt = at;
  }

  /** Whether anything was found that could keep the model on the ground. */
  boolean mayGround() {
    return answers.stream().anyMatch(CheckAnswer::grounds);
  }

  long id() {
    return id;
  }

  long aircraftId() {
    return aircraftId;
  }

  int revisionNumber() {
    return revisionNumber;
  }

  CheckKind kind() {
    return kind;
  }

  String pack() {
    return pack;
  }

  CheckRun.Stage state() {
    return state;
  }

  Instant createdAt() {
    return createdAt;
  }

  CheckRun read(List<CheckStep> steps) {
    return new CheckRun(
        id == null ? 0 : id,
        revisionNumber,
        kind,
        pack,
        state,
        steps,
        answers,
        CheckState.of(steps, answers),
        createdAt,
        closedAt,
        version);
  }

  int version() {
    return version;
  }

  /** As the judgement of the model looks at it. */
  CheckLook look(Supplier<List<CheckStep>> steps, Supplier<Setup> then) {
    return new CheckLook(kind, steps, answers, state == CheckRun.Stage.DONE, then, createdAt);
  }

  @Override
  public Stream<? extends Record> told() {
    return answers.stream();
  }
}
