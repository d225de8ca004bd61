package hightally.app.aircraft;

import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.SetupDifference;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Two setups side by side. */
@RestController
class DifferenceController {
  /** Two setups. */
  record DifferenceAsked(Setup before, Setup after) {}

  @PostMapping("/api/setups/difference")
  @Operation(summary = "What differs between two setups, in words and in mm; stores nothing")
  SetupDifference.Difference difference(@RequestBody DifferenceAsked asked) {
    return SetupDifference.of(Validation.check(asked.before()), Validation.check(asked.after()));
  }
}
