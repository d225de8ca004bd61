package hightally.app.adjustment;

import hightally.app.aircraft.StoredRow;
import hightally.app.flightlog.Flight;
import hightally.app.flightlog.PhaseReadings;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.RodAlternative;
import hightally.core.benchsetup.BenchVerification.Verified;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Violation;
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
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** One round of moving trims into the linkages: which flight, how far, and what came of it. */
@Entity
@Table(name = "adjustment")
class AdjustmentEntity implements StoredRow {
  /** What has become of it. */
  enum State {
    OPEN,
    CLOSED,
    ABANDONED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private long aircraftId;
  private long flightId;
  private int revisionNumber;
  private int rollClicks;
  private int pitchClicks;
  private int yawClicks;

  @Enumerated(EnumType.STRING)
  private State state;

  private int step;
  private Integer resultRevision;
  private String referencePhase;
  private boolean presetsTakeUp;

  @Convert(converter = Controls.class)
  private List<Control> controls;

  @Convert(converter = PhaseReadings.class)
  private List<PhaseReading> phases;

  @Convert(converter = Gauges.class)
  private List<Gauge> gauges;

  @Convert(converter = VerifiedThrows.class)
  private List<Verified> verified;

  @Convert(converter = Means.class)
  private List<RodAlternative> means;

  @Convert(converter = Marks.class)
  private List<MarkSeen> marks;

  private Instant createdAt;
  private Instant closedAt;
  @Version private int version;

  protected AdjustmentEntity() {}

  AdjustmentEntity(Flight flight, int revisionNumber, FlownTrims flown, Instant createdAt) {
    aircraftId = flight.aircraftId();
    flightId = flight.id();
    this.revisionNumber = revisionNumber;
    rollClicks = flight.report().trims().roll();
    pitchClicks = flight.report().trims().pitch();
    yawClicks = flight.report().trims().yaw();
    referencePhase = flown.reference();
    phases = flown.phases();
    presetsTakeUp = flown.presetsTakeUp();
    controls = flown.controls();
    gauges = List.of();
    verified = List.of();
    means = flown.means();
    marks = List.of();
    this.createdAt = createdAt;
    state = State.OPEN;
  }

  void moveTo(int newStep) {
    step = newStep;
  }

  void close(int revision, Instant at) {
    state = State.CLOSED;
    resultRevision = revision;
    closedAt = at;
  }

  void abandon(Instant at) {
    state = State.ABANDONED;
    closedAt = at;
  }

  Long id() {
    return id;
  }

  long aircraftId() {
    return aircraftId;
  }

  long flightId() {
    return flightId;
  }

  int revisionNumber() {
    return revisionNumber;
  }

  /** The clicks as they stood in the flight when the work was begun. */
  Trims trims() {
    return new Trims(rollClicks, pitchClicks, yawClicks);
  }

  /** The clicks of every phase as they stood when the work was begun. */
  FlownTrims flown(Supplier<Setup> setup) {
    if (referencePhase.isEmpty()) {
      return FlownTrims.base(setup.get(), trims());
    }
    return new FlownTrims(
        referencePhase, phases, presetsTakeUp, controls, means, List.of(), List.of());
  }

  List<MarkSeen> marks() {
    return marks;
  }

  void marked(MarkSeen seen) {
    List<MarkSeen> all = new ArrayList<>(marks);
    all.removeIf(one -> one.surface().equals(seen.surface()));
    all.add(seen);
    marks = all;
  }

  List<Gauge> gauges() {
    return gauges;
  }

  void measured(Gauge gauge) {
    List<Gauge> all = new ArrayList<>(gauges);
    all.removeIf(one -> one.surface().equals(gauge.surface()));
    all.add(gauge);
    gauges = all;
  }

  List<Verified> verified() {
    return verified;
  }

  void verified(Verified measured) {
    List<Verified> all = new ArrayList<>(verified);
    all.removeIf(one -> one.sameAs(measured));
    all.add(measured);
    verified = all;
  }

  Integer resultRevision() {
    return resultRevision;
  }

  int step() {
    return step;
  }

  int version() {
    return version;
  }

  /** The phase the others were told by; none in a round of one phase. */
  private record Reference(String reference, List<PhaseReading> phases) implements SelfChecked {
    @Override
    public void check(String path, Consumer<Violation> found) {
      List<String> known = phases.stream().map(PhaseReading::phase).toList();
      if (!reference.isEmpty() && !known.contains(reference)) {
        Said one = Said.of("demand.oneOf", "names", String.join(", ", known));
        found.accept(Violation.of(path + "reference", reference, one));
      }
    }
  }

  @Override
  public Stream<? extends Record> told() {
    return Stream.concat(
        Stream.of(new Reference(referencePhase, phases)),
        Stream.of(gauges, verified, means, marks).flatMap(List::stream));
  }
}
