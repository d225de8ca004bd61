package hightally.app.flight;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.Page;
import hightally.core.coach.TestCase;
import hightally.core.log.FlightReport;
import hightally.core.log.FlightSeen;
import hightally.core.log.PhaseReading;
import hightally.core.log.TestResult;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The flights of every aircraft. */
@Service
public class FlightLog {
  private final FlightRepository flights;
  private final Hangar hangar;
  private final Clock clock;

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

  /** Every flight of an aircraft, newest first: only for writing all of them out. */
  @Transactional(readOnly = true)
  public List<Flight> all(long aircraftId) {
    hangar.newestHeader(aircraftId);
    return flights
        .findByAircraftIdOrderByFlownOnDescIdDesc(aircraftId, Pageable.unpaged())
        .map(FlightEntity::read)
        .getContent();
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
    return add(aircraftId, revisionNumber, report, FlightSeen.NONE, requestKey);
  }

  /** The same with what was seen besides. */
  @Transactional
  public Flight add(
      long aircraftId,
      int revisionNumber,
      FlightReport report,
      FlightSeen seen,
      String requestKey) {
    check(aircraftId, revisionNumber, report);
    check(aircraftId, revisionNumber, seen);
    FlightEntity added =
        new FlightEntity(aircraftId, revisionNumber, report, clock.instant(), requestKey);
    added.see(seen);
    return flights.saveAndFlush(added).read();
  }

  /** Corrects what was noted; {@code version} is the one the pilot saw. */
  @Transactional
  public Flight correct(long aircraftId, long flightId, int version, FlightReport report) {
    FlightEntity found = find(aircraftId, flightId);
    check(aircraftId, found.read().revisionNumber(), report);
    if (found.version() != version) {
      throw new ConflictException(
          "This flight was corrected on another page meanwhile. Nothing was stored; what you typed is"
              + " still here.");
    }
    found.correct(report);
    return flights.saveAndFlush(found).read();
  }

  /** The same with what was seen besides. */
  @Transactional
  public Flight correct(
      long aircraftId, long flightId, int version, FlightReport report, FlightSeen seen) {
    FlightEntity found = find(aircraftId, flightId);
    check(aircraftId, found.read().revisionNumber(), seen);
    found.see(seen);
    return correct(aircraftId, flightId, version, report);
  }

  /** Only tests of that model, each once, with outcomes of their own. */
  private void check(long aircraftId, int revisionNumber, FlightSeen seen) {
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
    for (int i = 0; i < report.phases().size(); i++) {
      PhaseReading reading = report.phases().get(i);
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
        .orElseThrow(() -> new NotFoundException("flight of this aircraft with number", flightId));
  }
}
