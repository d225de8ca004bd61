package hightally.app.history;

import hightally.app.platform.IdempotentRequests;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.history.BenchReading;
import hightally.core.history.ModelStanding;
import hightally.core.quantity.Control;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a pilot adds to the story of a model besides flights and work orders. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}")
class HistoryController {
  private final PilotStatements word;
  private final AircraftHistories stories;

  HistoryController(PilotStatements word, AircraftHistories stories) {
    this.word = word;
    this.stories = stories;
  }

  /** A trim that the pilot says has settled, and why. */
  record SettledSaid(
      @Text(max = 40) String phase, Control control, @Text(min = 3, max = 300) String because) {}

  @PostMapping("/settled-words")
  @Operation(summary = "The pilot says that a trim has settled; answers where the model stands")
  ModelStanding settled(@PathVariable long aircraftId, @RequestBody SettledSaid said) {
    word.settled(aircraftId, said.phase(), said.control(), said.because());
    return stories.standing(aircraftId);
  }

  @DeleteMapping("/settled-words")
  @Operation(summary = "Takes that back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takenBack(
      @PathVariable long aircraftId, @RequestParam String phase, @RequestParam Control control) {
    word.takenBack(aircraftId, phase, control);
  }

  /**
   * Something measured on the bench.
   *
   * @param amount clicks or turns put in; 1 or -1 for a full stick
   * @param mm how far the trailing edge went, as a size
   */
  record MeasuredOnce(
      @Text(max = 40) String surface,
      Seen kind,
      Control control,
      @Within(min = -200, max = 200) double amount,
      @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double mm) {}

  @PostMapping("/bench-readings")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Notes a measurement that tells explanations apart; once for each key")
  BenchReading measured(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody MeasuredOnce read) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> word.measuredBy(aircraftId, made),
        () ->
            word.measured(
                aircraftId,
                read.surface(),
                read.kind(),
                read.control(),
                read.amount(),
                read.mm(),
                once));
  }
}
