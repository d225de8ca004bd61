package hightally.app.loop;

import hightally.app.flight.TrimLog;
import hightally.core.log.StandingTrims;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Whether the trims of every phase have settled, over HTTP. */
@RestController
class SettlingController {
  private final TrimLog log;

  SettlingController(TrimLog log) {
    this.log = log;
  }

  @GetMapping("/api/aircraft/{id}/settling")
  @Operation(summary = "Settled, not yet or suspicious, per phase and control, with every flight")
  TrimLog.SettlingSheet settling(@PathVariable long id) {
    return log.settling(id);
  }

  @GetMapping("/api/aircraft/{id}/standing-trims")
  @Operation(summary = "The clicks that stand in the transmitter, per phase, and a click's worth")
  StandingTrims standing(@PathVariable long id) {
    return log.standing(id);
  }
}
