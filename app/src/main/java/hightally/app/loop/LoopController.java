package hightally.app.loop;

import hightally.app.adjustment.Adjustments;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Lineage;
import hightally.app.aircraft.Revision;
import hightally.app.flight.Flight;
import hightally.app.flight.FlightLog;
import hightally.core.flight.FlightReport;
import hightally.core.flight.LoopFacts;
import hightally.core.flight.LoopState;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The hangar: every aircraft with where it stands on the loop and what waits. */
@RestController
class LoopController {
  private final Hangar hangar;
  private final FlightLog flights;
  private final Adjustments adjustments;
  private final Lineage lineage;

  LoopController(Hangar hangar, FlightLog flights, Adjustments adjustments, Lineage lineage) {
    this.hangar = hangar;
    this.flights = flights;
    this.adjustments = adjustments;
    this.lineage = lineage;
  }

  /**
   * An aircraft with its newest revision and its place on the loop.
   *
   * @param trimsHoldSince number of the first revision whose trims still mean the same
   */
  record Standing(long id, Revision newest, int trimsHoldSince, int flightCount, LoopState loop) {}

  @GetMapping("/api/aircraft")
  @Transactional(readOnly = true)
  public List<Standing> all() {
    return hangar.all().stream().map(this::one).toList();
  }

  @GetMapping("/api/aircraft/{id}")
  @Transactional(readOnly = true)
  public Standing one(@PathVariable long id) {
    Revision newest = hangar.newest(id);
    Revision since = lineage.since(id);
    List<Flight> log = flights.flights(id);
    List<FlightReport> here =
        log.stream()
            .filter(flight -> flight.revisionNumber() >= since.number())
            .map(Flight::report)
            .toList();
    LoopFacts facts =
        new LoopFacts(
            newest.setup().surfaces().size(),
            newest.number(),
            since.fromAdjustment(),
            here.size(),
            here.stream().map(FlightReport::trims).findFirst(),
            adjustments.open(id).isPresent(),
            newest.setup().house().leaveClicks());
    return new Standing(id, newest, since.number(), log.size(), LoopState.of(facts));
  }
}
