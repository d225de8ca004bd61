package hightally.app.flightlog;

import hightally.app.aircraft.Hangar;
import hightally.core.flightlog.PhaseReading;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.simulator.FaultGenerator;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.TrimmedFlight;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Random;
import java.util.Set;
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
  private static final int PRACTISED = 3;

  /** Faults that a trim takes out. */
  private static final Set<HiddenFault.Kind> IN_TRIM =
      Set.of(
          HiddenFault.Kind.WARP,
          HiddenFault.Kind.TIP_MASS,
          HiddenFault.Kind.TAIL_INCIDENCE,
          HiddenFault.Kind.RIGHT_THRUST,
          HiddenFault.Kind.HORN);

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
   * @param unsteady whether the pilot is a click off in one control of three
   * @param seed decides where
   */
  record Flown(
      List<HiddenFault> faults,
      @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double cgMm,
      boolean unsteady,
      long seed) {}

  /** The clicks it needs in every phase; the first revision is what it was built to. */
  @PostMapping
  @Operation(summary = "Simulated: the clicks a model with given faults needs in every phase")
  List<PhaseReading> fly(@PathVariable long aircraftId, @RequestBody Flown flown) {
    Validation.check(flown);
    return flight(aircraftId, flown.cgMm(), flown.faults())
        .fly(hangar.newest(aircraftId).setup(), flown.cgMm(), flown.unsteady(), flown.seed());
  }

  /** Rigged for the balance point of the first flight, so a pack moved afterwards shows. */
  private TrimmedFlight flight(long aircraftId, double cgMm, List<HiddenFault> faults) {
    Setup design = hangar.revision(aircraftId, DESIGN).setup();
    double first = log.first(aircraftId, DESIGN).map(one -> one.report().cgMm()).orElse(cgMm);
    String pack = design.balance().packs().stream().map(one -> one.name()).findFirst().orElse("");
    return new TrimmedFlight(design, pack, first, faults);
  }

  /** The same with faults to practise with, the same for a model whenever it is flown. */
  @GetMapping
  @Operation(summary = "Simulated: the clicks of a model with faults to practise with")
  List<PhaseReading> practise(
      @PathVariable long aircraftId, @RequestParam double cgMm, @RequestParam long seed) {
    Setup design = hangar.revision(aircraftId, DESIGN).setup();
    List<HiddenFault> faults =
        FaultGenerator.random(
            design, FlightTraits.proposed(design), PRACTISED, new Random(aircraftId), IN_TRIM);
    return flight(aircraftId, cgMm, faults)
        .fly(hangar.newest(aircraftId).setup(), cgMm, true, seed);
  }
}
