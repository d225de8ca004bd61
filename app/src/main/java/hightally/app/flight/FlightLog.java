package hightally.app.flight;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.core.flight.FlightReport;
import hightally.core.flight.PhaseReading;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
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

  /** All flights of an aircraft, newest first. */
  @Transactional(readOnly = true)
  public List<Flight> flights(long aircraftId) {
    hangar.newest(aircraftId);
    return flights.findByAircraftIdOrderByFlownOnDescIdDesc(aircraftId).stream()
        .map(FlightEntity::read)
        .toList();
  }

  /** One flight of an aircraft. */
  @Transactional(readOnly = true)
  public Flight flight(long aircraftId, long flightId) {
    return find(aircraftId, flightId).read();
  }

  /** Notes a flight on a revision. */
  @Transactional
  public Flight add(long aircraftId, int revisionNumber, FlightReport report) {
    check(aircraftId, revisionNumber, report);
    FlightEntity added = new FlightEntity(aircraftId, revisionNumber, report, clock.instant());
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

  private void check(long aircraftId, int revisionNumber, FlightReport report) {
    Validation.check(report);
    Setup flown = hangar.revision(aircraftId, revisionNumber).setup();
    Validation.check(flown.withTrims(report.trims()));
    for (int i = 0; i < report.phases().size(); i++) {
      PhaseReading reading = report.phases().get(i);
      if (flown.phase(reading.phase()).isEmpty()) {
        String known = String.join(", ", flown.phases().stream().map(phase -> phase.id()).toList());
        throw InvalidInputException.of(
            "phases[" + i + "].phase", reading.phase(), "a phase of that revision: " + known);
      }
      Validation.check(flown.withTrims(reading.trims()));
    }
    LocalDate latest = LocalDate.now(clock).plusDays(1);
    if (report.flownOn().isAfter(latest)) {
      throw InvalidInputException.of("flownOn", report.flownOn(), "not after " + latest);
    }
  }

  private FlightEntity find(long aircraftId, long flightId) {
    return flights
        .findById(flightId)
        .filter(found -> found.read().aircraftId() == aircraftId)
        .orElseThrow(() -> new NotFoundException("flight of this aircraft with number", flightId));
  }
}
