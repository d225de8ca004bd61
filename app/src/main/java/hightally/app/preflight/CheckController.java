package hightally.app.preflight;

import hightally.app.platform.Once;
import hightally.core.link.LinkStandIn;
import hightally.core.preflight.CheckAnswer;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Checks before a flight over HTTP, and the link to practise a range check on. */
@RestController
class CheckController {
  private static final String OF_AIRCRAFT = "/api/aircraft/{aircraftId}/checks";

  private final Checks checks;

  CheckController(Checks checks) {
    this.checks = checks;
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
      @RequestHeader(name = Once.KEY, required = false) String key,
      @RequestBody Checks.Begun begun) {
    String once = Once.key(key);
    return Once.of(
        once,
        made -> checks.begunBy(aircraftId, made),
        () -> checks.begin(aircraftId, begun, once));
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

  @PutMapping(OF_AIRCRAFT + "/{runId}/end")
  @Operation(summary = "Ends a check: done where every step has its answer, else broken off")
  CheckRun end(
      @PathVariable long aircraftId, @PathVariable long runId, @RequestBody Checks.Ended ended) {
    return checks.end(aircraftId, runId, ended);
  }

  @PostMapping("/api/link/range-check")
  @Operation(summary = "Ten seconds of a simulated link at a distance: fades, lost frames, holds")
  LinkStandIn.LinkReport link(@RequestBody LinkStandIn.LinkAsked asked) {
    return LinkStandIn.of(asked);
  }
}
