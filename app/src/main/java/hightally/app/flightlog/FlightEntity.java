package hightally.app.flightlog;

import hightally.app.aircraft.StoredRow;
import hightally.core.flightlog.FlightDay;
import hightally.core.flightlog.FlightObservations;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.LoggedFlight.SignConfirmed;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Trims;
import hightally.core.trimming.TestResult;
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
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.hibernate.annotations.SQLRestriction;

/** One flight on one revision. */
@Entity
@Table(name = "flight")
@SQLRestriction("deleted_at is null")
class FlightEntity implements StoredRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private int revisionNumber;
  private LocalDate flownOn;

  @Enumerated(EnumType.STRING)
  private FlightReport.Wind wind;

  @Enumerated(EnumType.STRING)
  private FlightReport.Air air;

  private String field;
  private String battery;
  private Double cgMm;
  private String remarks;
  private int rollClicks;
  private int pitchClicks;
  private int yawClicks;
  private String goal;
  private double throttlePercent;

  @Enumerated(EnumType.STRING)
  private PhaseReading.Sure sure;

  private boolean turnsDiffer;

  @Convert(converter = PhaseReadings.class)
  private List<PhaseReading> phases;

  @Convert(converter = TestResults.class)
  private List<TestResult> results = List.of();

  private long checkRun;
  private String despite = "";
  private String leftOut = "";
  private boolean simulated;
  private boolean flewWell;

  @Convert(converter = SignsConfirmed.class)
  private List<SignConfirmed> signsConfirmed = List.of();

  /** Null while it is there: what is deleted can be brought back. */
  private Instant deletedAt;

  private Instant createdAt;
  private String requestKey;
  @Version private int version;

  protected FlightEntity() {}

  FlightEntity(
      long aircraftId,
      int revisionNumber,
      FlightReport report,
      Instant createdAt,
      String requestKey) {
    this.requestKey = requestKey;
    this.aircraftId = aircraftId;
    this.revisionNumber = revisionNumber;
    this.createdAt = createdAt;
    correct(report);
  }

  /** Takes over everything the pilot typed. */
  final void correct(FlightReport report) {
    FlightDay.FIELDS.forEach(one -> set(one.getName(), FlightDay.value(report, one)));
    throttlePercent = report.throttlePercent();
    sure = report.sure();
    turnsDiffer = report.turnsDiffer();
    phases = report.phases();
    rollClicks = report.trims().roll();
    pitchClicks = report.trims().pitch();
    yawClicks = report.trims().yaw();
  }

  /** Takes over what was seen besides. */
  final void see(FlightObservations seen) {
    results = seen.results();
    checkRun = seen.check();
    despite = seen.despite();
  }

  /** Takes over what has been said of it since. */
  final void mark(FlightMarks marks) {
    leftOut = marks.leftOut();
    simulated = marks.simulated();
    flewWell = marks.flewWell();
    signsConfirmed = marks.signsConfirmed();
  }

  final void delete(Instant at) {
    deletedAt = at;
  }

  Flight read() {
    Trims trims = new Trims(rollClicks, pitchClicks, yawClicks);
    PhaseReading base = new PhaseReading("", trims, throttlePercent, sure, turnsDiffer);
    FlightReport report = FlightDay.report(one -> get(one.getName()), base, phases);
    FlightObservations seen = new FlightObservations(results, checkRun, despite);
    FlightMarks marks = new FlightMarks(leftOut, simulated, flewWell, signsConfirmed);
    return new Flight(id, aircraftId, revisionNumber, version, report, seen, marks, createdAt);
  }

  /** What is noted of the flight as a whole has a column of its own name here. */
  private void set(String name, Object value) {
    try {
      FlightEntity.class.getDeclaredField(name).set(this, value);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private Object get(String name) {
    try {
      return FlightEntity.class.getDeclaredField(name).get(this);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  int version() {
    return version;
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.of(read().report(), read().seen(), read().marks());
  }
}
