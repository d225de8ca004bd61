package hightally.app.history;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.words.ReaderWords;
import hightally.core.history.Restoration;
import hightally.core.quantity.Said;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Back to what flew well, over HTTP. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}/way-back")
class RestorationController {
  private static final int MOST_LETTERS = 300;

  private final AircraftHistories stories;
  private final Hangar hangar;
  private final ReaderWords words;

  RestorationController(AircraftHistories stories, Hangar hangar, ReaderWords words) {
    this.stories = stories;
    this.hangar = hangar;
    this.words = words;
  }

  @GetMapping
  @Operation(summary = "What going back to a revision, or to a flight on it, would take")
  Restoration look(
      @PathVariable long aircraftId,
      @RequestParam int revision,
      @RequestParam(defaultValue = "0") long flight) {
    return Restoration.of(stories.history(aircraftId), revision, flight);
  }

  /**
   * Going back.
   *
   * @param basedOn the revision the pilot saw
   * @param flight the flight whose trims are wanted; 0 for the newest on that revision
   */
  record GoingBack(int basedOn, int revision, long flight) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Goes back in one step: description and trims; the rods are turned by hand")
  Revision go(@PathVariable long aircraftId, @RequestBody GoingBack going) {
    Restoration way = Restoration.of(stories.history(aircraftId), going.revision(), going.flight());
    Said reason = Said.of("story.reasonWentBack", "revision", going.revision());
    return hangar.restore(aircraftId, going.basedOn(), way.setup(), words.of(reason, MOST_LETTERS));
  }
}
