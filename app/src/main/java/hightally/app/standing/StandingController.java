package hightally.app.standing;

import hightally.app.history.AircraftHistories;
import hightally.core.flightlog.StandingTrims;
import hightally.core.flightlog.TrimSeries;
import hightally.core.history.ModelStanding;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Where a model stands, and parts of that, over HTTP. */
@RestController
class StandingController {
  private final AircraftHistories stories;
  private final Clearances groundings;

  StandingController(AircraftHistories stories, Clearances groundings) {
    this.stories = stories;
    this.groundings = groundings;
  }

  /**
   * All series.
   *
   * @param reference id of the phase flown most, proposed for the rods
   * @param ready whether a trim has settled and is worth turning
   */
  record SettlingSheet(String reference, boolean ready, List<TrimSeries> series) {}

  @GetMapping("/api/aircraft/{id}/standing")
  @Operation(summary = "Where a model stands: stage, verdicts, what waits and why, what is next")
  ModelStanding standing(@PathVariable long id) {
    groundings.prepare(List.of(id));
    return stories.standing(id);
  }

  @GetMapping("/api/aircraft/{id}/settling")
  @Operation(summary = "The verdict of every phase and control, with every flight")
  SettlingSheet settling(@PathVariable long id) {
    ModelStanding standing = stories.standing(id);
    return new SettlingSheet(standing.reference(), !standing.turn().isEmpty(), standing.series());
  }

  @GetMapping("/api/aircraft/{id}/standing-trims")
  @Operation(summary = "The clicks that stand in the transmitter, per phase, and a click's worth")
  StandingTrims trims(@PathVariable long id) {
    return stories.standing(id).trims();
  }
}
