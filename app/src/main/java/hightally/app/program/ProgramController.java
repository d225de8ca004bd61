package hightally.app.program;

import hightally.core.hazard.HazardSearch;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the program of a setup can do; stores nothing. */
@RestController
@RequestMapping("/api/program")
class ProgramController {
  /** A setup to look at. */
  record ProgramAsked(Setup setup) {}

  @PostMapping("/hazards")
  @Operation(
      summary = "Every position of every switch tried: what a pilot would only find in the air")
  HazardSearch.Outcome hazards(@RequestBody ProgramAsked asked) {
    return HazardSearch.of(SignalPath.of(asked.setup()));
  }
}
