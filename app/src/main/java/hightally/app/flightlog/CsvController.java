package hightally.app.flightlog;

import hightally.app.aircraft.Hangar;
import hightally.core.flightlog.FlightObservations;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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

  /** What becomes of a flight of a file. */
  enum Became {
    /** Noted. */
    TAKEN,
    /** In the log already, just as it stands here. */
    THERE_ALREADY,
    /** In the log with that number, with other values: nothing was changed. */
    DIFFERS,
    /** Not to be taken. */
    REFUSED
  }

  /**
   * What became of a flight of a file.
   *
   * @param rows the lines it stands in, counted from 1 for the header
   * @param reason why it was not taken; empty if it was
   */
  record CsvRow(List<Integer> rows, String flownOn, Became became, Said reason) {}

  /**
   * What became of a file.
   *
   * @param taken how many flights were noted
   * @param there how many were in the log already
   * @param rows flight by flight
   * @param problems rows that could not be taken, with their reason
   */
  record Imported(int taken, int there, List<CsvRow> rows, List<CsvLog.CsvProblem> problems) {}

  @GetMapping("/api/aircraft/{aircraftId}/flights.csv")
  @Operation(summary = "All flights, one row a flight and phase")
  ResponseEntity<String> export(@PathVariable long aircraftId) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
        .header("Content-Disposition", "attachment; filename=\"flights.csv\"")
        .body(log.csv(aircraftId));
  }

  @PostMapping(value = "/api/aircraft/{aircraftId}/flights.csv", consumes = "text/csv")
  @Operation(
      summary = "Notes the flights of a file on the newest revision; says what cannot be read")
  Imported read(@PathVariable long aircraftId, @RequestBody byte[] bytes) {
    if (bytes.length > LARGEST_BYTES) {
      throw InvalidInputException.of(
          "the file",
          Said.of("given.bytes", "count", bytes.length),
          Said.of("demand.mostAMillion"));
    }
    int revision = hangar.newest(aircraftId).number();
    Setup setup = hangar.newest(aircraftId).setup();
    CsvLog.CsvRead read = CsvLog.read(CsvLog.decoded(bytes), setup);
    List<CsvLog.CsvProblem> problems = new ArrayList<>(read.problems());
    List<CsvRow> rows = new ArrayList<>();
    Set<Long> met = new HashSet<>();
    List<Flight> there = new ArrayList<>(log.all(aircraftId));
    for (CsvLog.CsvFlight one : read.flights()) {
      try {
        rows.add(
            new CsvRow(
                one.rows(),
                one.report().flownOn().toString(),
                taken(aircraftId, revision, completed(there, setup, one), there, met),
                Said.NOTHING));
      } catch (InvalidInputException e) {
        problems.add(
            new CsvLog.CsvProblem(one.rows().get(0), one.report().flownOn().toString(), e.said()));
        rows.add(
            new CsvRow(one.rows(), one.report().flownOn().toString(), Became.REFUSED, e.said()));
      }
    }
    return new Imported(
        count(rows, Became.TAKEN), count(rows, Became.THERE_ALREADY), rows, problems);
  }

  /** Where no row is about the base phase, its trims are those of the flight before. */
  private static CsvLog.CsvFlight completed(List<Flight> there, Setup setup, CsvLog.CsvFlight one) {
    if (one.baseRead()) {
      return one;
    }
    Trims stood =
        there.stream()
            .filter(each -> each.report().flownOn().isBefore(one.report().flownOn()))
            .max(
                Comparator.comparing((Flight each) -> each.report().flownOn())
                    .thenComparing(Flight::id))
            .map(each -> each.report().trims())
            .orElse(setup.trims());
    return new CsvLog.CsvFlight(
        one.rows(),
        one.number(),
        one.report().withTrims(stood),
        one.leftOut(),
        one.simulated(),
        true);
  }

  private static int count(List<CsvRow> rows, Became became) {
    return (int) rows.stream().filter(one -> one.became() == became).count();
  }

  /** Notes a flight unless the log has it: each flight of the log stands for one of the file. */
  private Became taken(
      long aircraftId, int revision, CsvLog.CsvFlight one, List<Flight> there, Set<Long> met) {
    Optional<Flight> same =
        there.stream()
            .filter(each -> each.report().equals(one.report()) && !met.contains(each.id()))
            .findFirst();
    if (same.isPresent()) {
      met.add(same.get().id());
      return Became.THERE_ALREADY;
    }
    boolean numbered =
        there.stream()
            .anyMatch(
                each ->
                    String.valueOf(each.id()).equals(one.number())
                        && each.report().flownOn().equals(one.report().flownOn()));
    if (numbered) {
      return Became.DIFFERS;
    }
    Flight noted =
        log.add(aircraftId, revision, one.report(), FlightObservations.NONE, one.simulated(), null);
    met.add(noted.id());
    there.add(noted);
    if (!one.leftOut().isEmpty()) {
      log.mark(
          aircraftId,
          noted.id(),
          noted.version(),
          new FlightMarks(one.leftOut(), one.simulated(), false, List.of()));
    }
    return Became.TAKEN;
  }
}
