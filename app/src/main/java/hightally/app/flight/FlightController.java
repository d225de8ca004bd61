package hightally.app.flight;

import hightally.core.flight.FlightReport;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Flights over HTTP. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}/flights")
class FlightController {
  private final FlightLog log;

  FlightController(FlightLog log) {
    this.log = log;
  }

  /** A flight to note, and the revision it was flown on. */
  record NewFlight(int revisionNumber, FlightReport report) {}

  /** A corrected report, and the version that was corrected. */
  record CorrectedFlight(int version, FlightReport report) {}

  @GetMapping
  List<Flight> flights(@PathVariable long aircraftId) {
    return log.flights(aircraftId);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Flight add(@PathVariable long aircraftId, @RequestBody NewFlight flight) {
    return log.add(aircraftId, flight.revisionNumber(), flight.report());
  }

  @PutMapping("/{flightId}")
  Flight correct(
      @PathVariable long aircraftId,
      @PathVariable long flightId,
      @RequestBody CorrectedFlight flight) {
    return log.correct(aircraftId, flightId, flight.version(), flight.report());
  }
}
