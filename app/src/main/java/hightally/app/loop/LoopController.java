package hightally.app.loop;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.flight.FlightLog;
import hightally.app.platform.Page;
import hightally.app.story.Stories;
import hightally.core.ready.Grounding;
import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The hangar: every aircraft with where it stands on the loop and what waits. */
@RestController
class LoopController {
  private final Hangar hangar;
  private final FlightLog flights;
  private final Stories stories;
  private final Groundings groundings;

  LoopController(Hangar hangar, FlightLog flights, Stories stories, Groundings groundings) {
    this.groundings = groundings;
    this.hangar = hangar;
    this.flights = flights;
    this.stories = stories;
  }

  /**
   * An aircraft with its newest revision and its place on the loop.
   *
   * @param trimsHoldSince number of the first revision whose trims still mean the same
   * @param grounding what keeps it on the ground
   */
  record Standing(
      long id,
      Revision newest,
      int trimsHoldSince,
      long flightCount,
      LoopState loop,
      Grounding grounding) {}

  @GetMapping("/api/aircraft")
  @Operation(summary = "The hangar: aircraft whose name has a part, where each stands, what waits")
  @Transactional(readOnly = true)
  public Page<HangarEntry> all(
      @RequestParam(defaultValue = "") String named,
      @RequestParam(defaultValue = "0") int page,
      @RequestParam(defaultValue = "12") int size) {
    Page<Long> found = hangar.named(named, new Page.Asked(page, size));
    return new Page<>(found.items().stream().map(this::entry).toList(), found.total());
  }

  private HangarEntry entry(long id) {
    Revision newest = hangar.newest(id);
    Setup setup = newest.setup();
    return new HangarEntry(
        id,
        setup.name(),
        setup.transmitter().name(),
        setup.airframe(),
        setup.surfaces(),
        newest.number(),
        newest.reason(),
        flights.count(id, 0),
        loop(id),
        groundings.of(id, newest));
  }

  @GetMapping("/api/aircraft/{id}")
  @Operation(summary = "An aircraft with its newest revision and where it stands")
  @Transactional(readOnly = true)
  public Standing one(@PathVariable long id) {
    Revision newest = hangar.newest(id);
    return new Standing(
        id,
        newest,
        newest.trimsHoldSince(),
        flights.count(id, 0),
        loop(id),
        groundings.of(id, newest));
  }

  private LoopState loop(long id) {
    return LoopState.of(stories.standing(id));
  }
}
