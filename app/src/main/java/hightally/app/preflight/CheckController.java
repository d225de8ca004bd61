package hightally.app.preflight;

import hightally.app.platform.EntryTime;
import hightally.app.platform.IdempotentRequests;
import hightally.core.preflight.CheckAnswer;
import hightally.core.simulator.LinkStandIn;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Checks before a flight over HTTP, and the link to practise a range check on. */
@RestController
class CheckController {
  private static final String OF_AIRCRAFT = "/api/aircraft/{aircraftId}/checks";

  private final Checks checks;
  private final EntryTime entered;

  CheckController(Checks checks, EntryTime entered) {
    this.checks = checks;
    this.entered = entered;
  }

  @GetMapping(OF_AIRCRAFT)
  @Operation(summary = "The newest checks of a model, newest first, and what is due besides")
  Checks.CheckSheet sheet(@PathVariable long aircraftId) {
    return checks.sheet(aircraftId);
  }

  @PostMapping(OF_AIRCRAFT)
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Begins a check, its steps made from the model; once for each key")
  CheckRun begin(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestHeader(name = EntryTime.AGO, required = false) String ago,
      @RequestParam(defaultValue = "0") int revision,
      @RequestBody Checks.Begun begun) {
    String once = IdempotentRequests.key(key);
    Checks.Then then = new Checks.Then(revision, entered.at(ago));
    return IdempotentRequests.of(
        once,
        made -> checks.begunBy(aircraftId, made),
        () -> checks.begin(aircraftId, begun, then, once));
  }

  @GetMapping(OF_AIRCRAFT + "/ahead")
  @Operation(
      summary =
          "Every check as it would begin now, with each pack: to be begun out of reach; stores"
              + " nothing")
  List<CheckRun> ahead(@PathVariable long aircraftId) {
    return checks.ahead(aircraftId);
  }

  @GetMapping(OF_AIRCRAFT + "/{runId}")
  @Operation(summary = "One check with its steps and answers")
  CheckRun run(@PathVariable long aircraftId, @PathVariable long runId) {
    return checks.run(aircraftId, runId);
  }

  @PutMapping(OF_AIRCRAFT + "/{runId}/answers")
  @Operation(summary = "Notes what was found at a step of a check")
  CheckRun answer(
      @PathVariable long aircraftId, @PathVariable long runId, @RequestBody CheckAnswer answer) {
    return checks.answer(aircraftId, runId, answer);
  }

  @PutMapping(OF_AIRCRAFT + "/begun/{key}/answers")
  @Operation(summary = "The same of a check begun with that key, by whom its number is not known")
  CheckRun answerBegun(
      @PathVariable long aircraftId, @PathVariable String key, @RequestBody CheckAnswer answer) {
    return checks.answer(aircraftId, checks.numberOf(aircraftId, key), answer);
  }

  @PutMapping(OF_AIRCRAFT + "/{runId}/end")
  @Operation(summary = "Ends a check: done where every step has its answer, else broken off")
  CheckRun end(
      @PathVariable long aircraftId,
      @PathVariable long runId,
      @RequestHeader(name = EntryTime.AGO, required = false) String ago,
      @RequestBody Checks.Ended ended) {
    return checks.end(aircraftId, runId, ended, entered.at(ago));
  }

  @PutMapping(OF_AIRCRAFT + "/begun/{key}/end")
  @Operation(summary = "The same of a check begun with that key, by whom its number is not known")
  CheckRun endBegun(
      @PathVariable long aircraftId,
      @PathVariable String key,
      @RequestHeader(name = EntryTime.AGO, required = false) String ago,
      @RequestBody Checks.Ended ended) {
    return checks.end(aircraftId, checks.numberOf(aircraftId, key), ended, entered.at(ago));
  }

  @PostMapping("/api/link/range-check")
  @Operation(summary = "Ten seconds of a simulated link at a distance: fades, lost frames, holds")
  LinkStandIn.LinkReport link(@RequestBody LinkStandIn.LinkAsked asked) {
    return LinkStandIn.of(asked);
  }
}
