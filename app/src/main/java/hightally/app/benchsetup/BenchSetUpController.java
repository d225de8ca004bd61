package hightally.app.benchsetup;

import hightally.app.platform.ComputationQueue;
import hightally.core.benchsetup.CentringMethod;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.preflight.SeenMends;
import hightally.core.preflight.SeenMends.SeenMend;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Guided set-ups over HTTP; an aircraft has at most one under way. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}")
class BenchSetUpController {
  private final BenchSetUps setUps;
  private final ComputationQueue turns;

  BenchSetUpController(BenchSetUps setUps, ComputationQueue turns) {
    this.setUps = setUps;
    this.turns = turns;
  }

  /** Which school of centring. */
  record SetUpBegun(CentringMethod school) {}

  /** Where the pilot goes, the version he saw, and what he answered before going: one or none. */
  record SetUpMoved(int version, @Text(max = 120) String step, List<StepAnswer> answers) {}

  /** The version the pilot saw. */
  record SetUpSeen(int version) {}

  @GetMapping("/bench-set-up")
  @Operation(summary = "The guided set-up under way; empty if there is none")
  ResponseEntity<OpenSetUp> open(@PathVariable long aircraftId) {
    return setUps
        .open(aircraftId)
        .map(ResponseEntity::ok)
        .orElseGet(() -> ResponseEntity.noContent().build());
  }

  @PostMapping("/bench-set-up")
  @Operation(summary = "Begins a guided set-up, or takes up the one of the same school")
  @ResponseStatus(HttpStatus.CREATED)
  OpenSetUp begin(@PathVariable long aircraftId, @RequestBody SetUpBegun begun) {
    return setUps.begin(aircraftId, begun.school());
  }

  @PutMapping("/bench-set-up")
  @Operation(summary = "Keeps an answer and goes to a step")
  OpenSetUp move(@PathVariable long aircraftId, @RequestBody SetUpMoved moved) {
    Validation.check(moved);
    StepAnswer answer = moved.answers().isEmpty() ? null : moved.answers().get(0);
    return setUps.moveTo(aircraftId, moved.version(), moved.step(), answer);
  }

  @GetMapping("/bench-set-up/mends")
  @Operation(
      summary =
          "The changes that go with the answer to a step, each tried on a copy: what moves, what"
              + " the rules then say, whether it may be made")
  List<SeenMend> mends(@PathVariable long aircraftId, @RequestParam String step) {
    BenchSetUps.Proposed proposed = setUps.proposed(aircraftId, step);
    return turns.of(() -> SeenMends.of(proposed.setup(), proposed.mends()));
  }

  @PostMapping("/bench-set-up/close")
  @Operation(summary = "Closes the guided set-up; what was measured stays")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void close(@PathVariable long aircraftId, @RequestBody SetUpSeen seen) {
    setUps.close(aircraftId, seen.version());
  }

  @GetMapping("/measurements")
  @Operation(summary = "Everything ever measured on a model, newest first")
  List<Measurement> measurements(@PathVariable long aircraftId) {
    return setUps.measurements(aircraftId);
  }
}
