package hightally.app.flightlog;

import hightally.app.platform.IdempotentRequests;
import hightally.app.platform.Page;
import hightally.core.flightlog.FlightObservations;
import hightally.core.flightlog.FlightReport;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.OptionalLong;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Flights over HTTP. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}/flights")
class FlightController {
  private final FlightLog log;
  private final CheckSource checks;

  FlightController(FlightLog log, CheckSource checks) {
    this.log = log;
    this.checks = checks;
  }

  /** A flight to note, and the revision it was flown on. */
  record NewFlight(int revisionNumber, FlightReport report) {}

  /** A corrected report, and the version that was corrected. */
  record CorrectedFlight(int version, FlightReport report) {}

  @GetMapping
  @Operation(summary = "The flights of an aircraft, newest first")
  Page<Flight> flights(
      @PathVariable long aircraftId,
      @RequestParam(defaultValue = "0") int page,
      @RequestParam(defaultValue = "50") int size) {
    return log.flights(aircraftId, new Page.Asked(page, size));
  }

  @GetMapping("/{flightId}")
  @Operation(summary = "One flight as it was noted")
  Flight flight(@PathVariable long aircraftId, @PathVariable long flightId) {
    return log.flight(aircraftId, flightId);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Notes a flight on a revision; once for each key")
  Flight add(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody NewFlight flight) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> log.notedBy(aircraftId, made),
        () -> log.add(aircraftId, flight.revisionNumber(), flight.report(), once));
  }

  /** A flight, the revision it was flown on, and what was seen besides its trims. */
  record FlownFlight(int revisionNumber, FlightReport report, FlightObservations seen) {}

  /** The same corrected, and the version that was corrected. */
  record CorrectedFlown(int version, FlightReport report, FlightObservations seen) {}

  @PostMapping("/flown")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      summary = "Notes a flight with what it showed of trim tests and its check; once for each key")
  Flight addFlown(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @Parameter(
              description =
                  "The check before it that was ended out of reach, by its number or the key it was"
                      + " begun with: the flight names it if it was done and nothing was found")
          @RequestParam(defaultValue = "")
          String checked,
      @RequestBody FlownFlight flight) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> log.notedBy(aircraftId, made),
        () -> {
          FlightObservations seen = checked(aircraftId, checked, flight.seen());
          return log.add(aircraftId, flight.revisionNumber(), flight.report(), seen, once);
        });
  }

  private FlightObservations checked(long aircraftId, String name, FlightObservations seen) {
    OptionalLong check = name.isEmpty() ? OptionalLong.empty() : checks.passed(aircraftId, name);
    return seen == null || check.isEmpty() ? seen : seen.checkedBy(check.getAsLong());
  }

  @PostMapping("/simulated")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Notes what the simulated model flew; it never counts as a flight")
  Flight addSimulated(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody FlownFlight flight) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> log.notedBy(aircraftId, made),
        () ->
            log.add(
                aircraftId, flight.revisionNumber(), flight.report(), flight.seen(), true, once));
  }

  /** What is said of a flight, and the version that was seen. */
  record MarkedFlight(int version, FlightMarks marks) {}

  @PutMapping("/{flightId}/marks")
  @Operation(summary = "Leaves a flight out, confirms a sign, marks it as one that flew well")
  Flight mark(
      @PathVariable long aircraftId,
      @PathVariable long flightId,
      @RequestBody MarkedFlight marked) {
    return log.mark(aircraftId, flightId, marked.version(), marked.marks());
  }

  @DeleteMapping("/{flightId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Deletes a flight; it can be brought back")
  void delete(
      @PathVariable long aircraftId, @PathVariable long flightId, @RequestParam int version) {
    log.delete(aircraftId, flightId, version);
  }

  /** Nothing more is asked. */
  record FlightWanted() {}

  @PostMapping("/{flightId}/brought-back")
  @Operation(summary = "Brings a deleted flight back")
  Flight bringBack(
      @PathVariable long aircraftId, @PathVariable long flightId, @RequestBody FlightWanted asked) {
    return log.bringBack(aircraftId, flightId);
  }

  @PutMapping("/{flightId}/flown")
  @Operation(summary = "Corrects what was noted of a flight and what it showed of trim tests")
  Flight correctFlown(
      @PathVariable long aircraftId,
      @PathVariable long flightId,
      @RequestBody CorrectedFlown flight) {
    return log.correct(aircraftId, flightId, flight.version(), flight.report(), flight.seen());
  }

  @PutMapping("/{flightId}")
  @Operation(summary = "Corrects what was noted of a flight")
  Flight correct(
      @PathVariable long aircraftId,
      @PathVariable long flightId,
      @RequestBody CorrectedFlight flight) {
    return log.correct(aircraftId, flightId, flight.version(), flight.report());
  }
}
