package hightally.app.flight;

import hightally.app.aircraft.Hangar;
import hightally.core.log.FlightReport;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Flights in and out as comma-separated values. */
@RestController
class CsvController {
  private static final int LARGEST_BYTES = 1_000_000;

  private final FlightLog log;
  private final Hangar hangar;

  CsvController(FlightLog log, Hangar hangar) {
    this.log = log;
    this.hangar = hangar;
  }

  /**
   * What became of a file.
   *
   * @param taken how many flights were noted
   * @param problems rows that could not be taken, with their reason
   */
  record Imported(int taken, List<CsvLog.CsvProblem> problems) {}

  @GetMapping("/api/aircraft/{aircraftId}/flights.csv")
  @Operation(summary = "All flights, one row a flight and phase")
  ResponseEntity<String> export(@PathVariable long aircraftId) {
    String base = hangar.newest(aircraftId).setup().basePhase().id();
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
        .header("Content-Disposition", "attachment; filename=\"flights.csv\"")
        .body(CsvLog.write(log.all(aircraftId), base));
  }

  @PostMapping(value = "/api/aircraft/{aircraftId}/flights.csv", consumes = "text/csv")
  @Operation(
      summary = "Notes the flights of a file on the newest revision; says what cannot be read")
  Imported read(@PathVariable long aircraftId, @RequestBody byte[] bytes) {
    if (bytes.length > LARGEST_BYTES) {
      throw InvalidInputException.of(
          "the file", Said.of("given.bytes", "count", bytes.length), Said.of("demand.most2"));
    }
    int revision = hangar.newest(aircraftId).number();
    Setup setup = hangar.newest(aircraftId).setup();
    CsvLog.CsvRead read = CsvLog.read(CsvLog.decoded(bytes), setup);
    List<CsvLog.CsvProblem> problems = new ArrayList<>(read.problems());
    int taken = 0;
    for (FlightReport report : read.flights()) {
      try {
        log.add(aircraftId, revision, report);
        taken++;
      } catch (InvalidInputException e) {
        problems.add(new CsvLog.CsvProblem(0, report.flownOn().toString(), e.said()));
      }
    }
    return new Imported(taken, problems);
  }
}
