package hightally.app.flightlog;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.PageOfModel;
import hightally.app.platform.ConflictException;
import hightally.app.platform.KeptRows;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.Page;
import hightally.core.flightlog.FlightObservations;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.PhaseReading;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The flights of every aircraft. */
@Service
public class FlightLog implements PageOfModel {
  /** So many flights are kept as they were read. */
  private static final int KEPT = 5_000;

  private static final Duration FLOWN_AND_NOTED = Duration.ofMinutes(2);

  private final FlightRepository flights;
  private final Hangar hangar;
  private final Clock clock;
  private final KeptRows<Flight> read = new KeptRows<>(KEPT);
  private final KeptRows<String> written = new KeptRows<>(KEPT);

  FlightLog(FlightRepository flights, Hangar hangar, Clock clock) {
    this.flights = flights;
    this.hangar = hangar;
    this.clock = clock;
  }

  /** A part of an aircraft's flights, newest first. */
  @Transactional(readOnly = true)
  public Page<Flight> flights(long aircraftId, Page.Asked asked) {
    hangar.newestHeader(aircraftId);
    var found =
        flights.findByAircraftIdOrderByFlownOnDescIdDesc(
            aircraftId, PageRequest.of(asked.page(), asked.size()));
    return new Page<>(found.map(FlightEntity::read).getContent(), found.getTotalElements());
  }

  /** Every flight of an aircraft, newest first. */
  @Transactional(readOnly = true)
  public List<Flight> all(long aircraftId) {
    return newest(aircraftId, Limit.unlimited());
  }

  /** The newest of them. */
  @Transactional(readOnly = true)
  public List<Flight> newest(long aircraftId, Limit most) {
    hangar.newestHeader(aircraftId);
    return read.of(flights.rows(aircraftId, most), this::read);
  }

  /** Every flight of an aircraft as comma-separated values, newest first. */
  @Transactional(readOnly = true)
  public String csv(long aircraftId) {
    String base = hangar.newest(aircraftId).setup().basePhase().id();
    List<KeptRows.Row> rows =
        flights.rows(aircraftId, Limit.unlimited()).stream()
            .map(one -> one.besides(base.hashCode()))
            .toList();
    StringBuilder text = new StringBuilder(CsvLog.header());
    written.of(rows, numbers -> written(numbers, base)).forEach(text::append);
    return text.toString();
  }

  private Map<KeptRows.Row, String> written(List<Long> numbers, String base) {
    Map<KeptRows.Row, String> found = new HashMap<>();
    read(numbers)
        .forEach((row, one) -> found.put(row.besides(base.hashCode()), CsvLog.lines(one, base)));
    return found;
  }

  private Map<KeptRows.Row, Flight> read(List<Long> numbers) {
    Map<KeptRows.Row, Flight> found = new HashMap<>();
    for (FlightEntity one : flights.findAllById(numbers)) {
      Flight flight = one.read();
      found.put(new KeptRows.Row(flight.id(), flight.version()), flight);
    }
    return found;
  }

  /** How many flights were flown on a revision or a later one; from 0 on, how many in all. */
  @Transactional(readOnly = true)
  public long count(long aircraftId, int sinceRevision) {
    return sinceRevision <= 1
        ? flights.countByAircraftId(aircraftId)
        : flights.countByAircraftIdAndRevisionNumberGreaterThanEqual(aircraftId, sinceRevision);
  }

  /** The newest flight on a revision or a later one. */
  @Transactional(readOnly = true)
  public Optional<Flight> newest(long aircraftId, int sinceRevision) {
    return flights
        .findFirstByAircraftIdAndRevisionNumberGreaterThanEqualOrderByFlownOnDescIdDesc(
            aircraftId, sinceRevision)
        .map(FlightEntity::read);
  }

  /**
   * The newest flight on a revision or a later one in which a phase other than the base was flown.
   */
  @Transactional(readOnly = true)
  public Optional<Flight> newestIn(long aircraftId, int sinceRevision, String phase) {
    return flights
        .flownIn(aircraftId, sinceRevision, "%\"phase\":\"" + phase + "\"%", Limit.of(1))
        .stream()
        .findFirst()
        .map(FlightEntity::read);
  }

  /** The first flight on a revision or a later one. */
  @Transactional(readOnly = true)
  public Optional<Flight> first(long aircraftId, int sinceRevision) {
    return flights
        .findFirstByAircraftIdAndRevisionNumberGreaterThanEqualOrderByFlownOnAscIdAsc(
            aircraftId, sinceRevision)
        .map(FlightEntity::read);
  }

  /** The flight a request with that key has noted. */
  @Transactional(readOnly = true)
  public Optional<Flight> notedBy(long aircraftId, String requestKey) {
    return flights.findByAircraftIdAndRequestKey(aircraftId, requestKey).map(FlightEntity::read);
  }

  /** One flight of an aircraft. */
  @Transactional(readOnly = true)
  public Flight flight(long aircraftId, long flightId) {
    return find(aircraftId, flightId).read();
  }

  /** Notes a flight on a revision. */
  @Transactional
  public Flight add(long aircraftId, int revisionNumber, FlightReport report) {
    return add(aircraftId, revisionNumber, report, null);
  }

  /** The same for a request with a key, or null. */
  @Transactional
  public Flight add(long aircraftId, int revisionNumber, FlightReport report, String requestKey) {
    return add(aircraftId, revisionNumber, report, FlightObservations.NONE, requestKey);
  }

  /** The same with what was seen besides. */
  @Transactional
  public Flight add(
      long aircraftId,
      int revisionNumber,
      FlightReport report,
      FlightObservations seen,
      String requestKey) {
    // A request with a key of its own is a flight of its own.
    Optional<Flight> same =
        requestKey == null ? again(aircraftId, revisionNumber, report, seen) : Optional.empty();
    return same.orElseGet(() -> add(aircraftId, revisionNumber, report, seen, false, requestKey));
  }

  /** The same for one that the stand-in may have flown. */
  @Transactional
  public Flight add(
      long aircraftId,
      int revisionNumber,
      FlightReport report,
      FlightObservations seen,
      boolean simulated,
      String requestKey) {
    check(aircraftId, revisionNumber, report);
    check(aircraftId, revisionNumber, seen);
    FlightEntity added =
        new FlightEntity(aircraftId, revisionNumber, report, clock.instant(), requestKey);
    added.see(seen);
    added.mark(new FlightMarks("", simulated, false, List.of()));
    return flights.saveAndFlush(added).read();
  }

  /** The same entry sent again within minutes: nobody flies that fast. */
  private Optional<Flight> again(
      long aircraftId, int revisionNumber, FlightReport report, FlightObservations seen) {
    Instant since = clock.instant().minus(FLOWN_AND_NOTED);
    return flights
        .findByAircraftIdAndFlownOnAndCreatedAtAfterOrderById(aircraftId, report.flownOn(), since)
        .stream()
        .map(FlightEntity::read)
        .filter(one -> one.revisionNumber() == revisionNumber && one.seen().equals(seen))
        .filter(one -> one.report().equals(report))
        .findFirst();
  }

  /** Flights that were noted with the very same report, oldest first. */
  @Transactional(readOnly = true)
  public List<Flight> same(long aircraftId, FlightReport report) {
    return flights.findByAircraftIdAndFlownOnOrderById(aircraftId, report.flownOn()).stream()
        .map(FlightEntity::read)
        .filter(one -> one.report().equals(report))
        .toList();
  }

  /** Number of the first flight noted after a moment; beyond all where there is none. */
  @Transactional(readOnly = true)
  public long firstNotedAfter(long aircraftId, Instant at) {
    Long first = flights.firstNotedAfter(aircraftId, at);
    return first == null ? Long.MAX_VALUE : first;
  }

  /** Takes over what is said of a flight; {@code version} is the one the pilot saw. */
  @Transactional
  public Flight mark(long aircraftId, long flightId, int version, FlightMarks marks) {
    Validation.check(marks);
    FlightEntity found = seen(aircraftId, flightId, version);
    found.mark(marks);
    return flights.saveAndFlush(found).read();
  }

  /** Deletes a flight; it can be brought back. */
  @Transactional
  public void delete(long aircraftId, long flightId, int version) {
    FlightEntity found = seen(aircraftId, flightId, version);
    found.delete(clock.instant());
    flights.saveAndFlush(found);
  }

  /** Brings a deleted flight back. */
  @Transactional
  public Flight bringBack(long aircraftId, long flightId) {
    flights.bringBack(aircraftId, flightId);
    return flight(aircraftId, flightId);
  }

  private FlightEntity seen(long aircraftId, long flightId, int version) {
    FlightEntity found = find(aircraftId, flightId);
    if (found.version() != version) {
      throw new ConflictException(Said.of("refused.flightCorrected"));
    }
    return found;
  }

  /** Corrects what was noted; {@code version} is the one the pilot saw. */
  @Transactional
  public Flight correct(long aircraftId, long flightId, int version, FlightReport report) {
    FlightEntity found = find(aircraftId, flightId);
    check(aircraftId, found.read().revisionNumber(), report);
    if (found.version() != version) {
      throw new ConflictException(Said.of("refused.correctedElsewhere"));
    }
    found.correct(report);
    return flights.saveAndFlush(found).read();
  }

  /** The same with what was seen besides. */
  @Transactional
  public Flight correct(
      long aircraftId, long flightId, int version, FlightReport report, FlightObservations seen) {
    FlightEntity found = find(aircraftId, flightId);
    check(aircraftId, found.read().revisionNumber(), seen);
    found.see(seen);
    return correct(aircraftId, flightId, version, report);
  }

  /** Only tests of that model, each once, with outcomes of their own. */
  private void check(long aircraftId, int revisionNumber, FlightObservations seen) {
    Validation.check(seen);
    List<TestCase> tests = TestCase.of(hangar.revision(aircraftId, revisionNumber).setup());
    List<TestCase> told = new ArrayList<>();
    for (int i = 0; i < seen.results().size(); i++) {
      TestResult result = seen.results().get(i);
      TestCase test = new TestCase(result.test(), result.part());
      if (!tests.contains(test) || told.contains(test)) {
        throw InvalidInputException.of(
            "results[" + i + "].test",
            test.told(),
            Said.of("demand.testOfModel", "known", TestCase.told(tests)));
      }
      told.add(test);
    }
  }

  private void check(long aircraftId, int revisionNumber, FlightReport report) {
    Validation.check(report);
    Setup flown = hangar.revision(aircraftId, revisionNumber).setup();
    Validation.check(flown.withTrims(report.trims()));
    List<String> read = new ArrayList<>(List.of(flown.basePhase().id()));
    for (int i = 0; i < report.phases().size(); i++) {
      PhaseReading reading = report.phases().get(i);
      if (read.contains(reading.phase())) {
        throw InvalidInputException.of(
            "phases[" + i + "].phase", reading.phase(), Said.of("demand.phaseOnce"));
      }
      read.add(reading.phase());
      if (flown.phase(reading.phase()).isEmpty()) {
        String known = String.join(", ", flown.phases().stream().map(phase -> phase.id()).toList());
        throw InvalidInputException.of(
            "phases[" + i + "].phase",
            reading.phase(),
            Said.of("demand.phaseRevision", "known", known));
      }
      Validation.check(flown.withTrims(reading.trims()));
    }
    LocalDate latest = LocalDate.now(clock).plusDays(1);
    if (report.flownOn().isAfter(latest)) {
      throw InvalidInputException.of(
          "flownOn", report.flownOn(), Said.of("demand.notAfter", "latest", latest));
    }
  }

  private FlightEntity find(long aircraftId, long flightId) {
    return flights
        .findById(flightId)
        .filter(found -> found.read().aircraftId() == aircraftId)
        .orElseThrow(() -> new NotFoundException("missing.flight", flightId));
  }

  @Override
  public String told() {
    return "flight";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    all(aircraftId);
  }
}
