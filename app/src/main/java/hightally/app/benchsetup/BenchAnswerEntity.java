package hightally.app.benchsetup;

import hightally.app.aircraft.StoredRow;
import hightally.app.words.SaidData;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.quantity.Said;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.annotations.Immutable;

/** One answer with its date; a later one to the same step stands beside it. */
@Entity
@Immutable
@Table(name = "bench_answer")
class BenchAnswerEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long benchSetUpId;
  private long aircraftId;
  private int revisionNumber;
  private String step;

  /** What was asked, as data. */
  private String title;

  private String choice;
  private String readings;
  private Instant answeredAt;

  protected BenchAnswerEntity() {}

  BenchAnswerEntity(
      BenchSetUpEntity setUp, int revisionNumber, StepAnswer answer, Said title, Instant at) {
    benchSetUpId = setUp.id();
    aircraftId = setUp.aircraftId();
    this.revisionNumber = revisionNumber;
    step = answer.step();
    this.title = SaidData.write(title);
    choice = answer.choice();
    readings = answer.values().stream().map(String::valueOf).collect(Collectors.joining(" "));
    answeredAt = at;
  }

  long benchSetUpId() {
    return benchSetUpId;
  }

  long aircraftId() {
    return aircraftId;
  }

  Measurement measurement() {
    return new Measurement(
        step, SaidData.read(title), choice, values(), revisionNumber, answeredAt);
  }

  StepAnswer answer() {
    return new StepAnswer(step, choice, values());
  }

  private List<Double> values() {
    return readings.isEmpty()
        ? List.of()
        : Arrays.stream(readings.split(" ")).map(Double::valueOf).toList();
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(answer());
  }
}
