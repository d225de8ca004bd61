package hightally.app.flight;

import hightally.app.aircraft.Hangar;
import hightally.core.bench.FlyingModel;
import hightally.core.bench.FlyingModel.Faults;
import hightally.core.log.PhaseReading;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A simulated flight of an aircraft's newest revision: a stand-in to practise with. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}/simulated-flight")
class SimulatedFlightController {
  private static final int DESIGN = 1;
  private final Hangar hangar;
  private final FlightLog log;

  SimulatedFlightController(Hangar hangar, FlightLog log) {
    this.hangar = hangar;
    this.log = log;
  }

  /**
   * What flies.
   *
   * @param faults what its description does not know
   * @param cgMm where it balances
   * @param seed decides where an unsteady pilot is a click off
   */
  record Flown(Faults faults, double cgMm, long seed) {}

  /** The clicks it needs in every phase; the first revision is what it was designed to do. */
  @PostMapping
  @Operation(summary = "Simulated: the clicks a model with given faults needs in every phase")
  List<PhaseReading> fly(@PathVariable long aircraftId, @RequestBody Flown flown) {
    return new FlyingModel(hangar.revision(aircraftId, DESIGN).setup(), flown.faults())
        .fly(hangar.newest(aircraftId).setup(), flown.cgMm(), flown.seed());
  }

  /**
   * The same with faults to practise with; they belong to the balance point of the first flight, so
   * a pack that is moved afterwards shows.
   */
  @GetMapping
  @Operation(summary = "Simulated: the clicks of a model with faults to practise with")
  List<PhaseReading> practise(
      @PathVariable long aircraftId, @RequestParam double cgMm, @RequestParam long seed) {
    double first = log.first(aircraftId, DESIGN).map(one -> one.report().cgMm()).orElse(cgMm);
    return fly(aircraftId, new Flown(FlyingModel.practice(first), cgMm, seed));
  }
}
