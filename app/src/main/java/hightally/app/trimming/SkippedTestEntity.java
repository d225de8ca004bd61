package hightally.app.trimming;

import hightally.app.aircraft.StoredRow;
import hightally.core.trimming.Coach;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimTest;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.stream.Stream;

/** A trim test that is left out, and why. */
@Entity
@Table(name = "skipped_test")
class SkippedTestEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;

  @Enumerated(EnumType.STRING)
  private TrimTest test;

  private String part;
  private String because;
  private Instant createdAt;

  protected SkippedTestEntity() {}

  SkippedTestEntity(long aircraftId, TestCase test, String because, Instant createdAt) {
    this.aircraftId = aircraftId;
    this.test = test.test();
    part = test.part();
    this.because = because;
    this.createdAt = createdAt;
  }

  void because(String changed) {
    because = changed;
  }

  Coach.Skipped read() {
    return new Coach.Skipped(new TestCase(test, part), because);
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read());
  }
}
