package hightally.app.benchsetup;

import hightally.app.benchsetup.BenchWays.WaysStanding;
import hightally.app.platform.ComputationQueue;
import hightally.core.benchsetup.CentringMethod;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.preflight.SeenMends;
import hightally.core.preflight.SeenMends.SeenMend;
import hightally.core.probe.LookAnswer;
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
  private final BenchWays ways;
  private final ComputationQueue turns;

  BenchSetUpController(BenchSetUps setUps, BenchWays ways, ComputationQueue turns) {
    this.setUps = setUps;
    this.ways = ways;
    this.turns = turns;
  }

  /** Which school of centring. */
  record SetUpBegun(CentringMethod school) {}

  /** Where the pilot goes, the version he saw, and what he answered before going: one or none. */
  record SetUpMoved(int version, @Text(max = 120) String step, List<StepAnswer> answers) {}

  /** The version the pilot saw. */
  record SetUpSeen(int version) {}

  /** What was seen in a look, and the version the pilot saw. */
  record WaysLooked(int version, LookAnswer answer) {}

  /** The version and the revision the pilot saw. */
  record WaysDone(int version, int basedOn) {}

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

  @GetMapping("/bench-set-up/ways")
  @Operation(summary = "Which surface moves and which way: what to look at next, or what to change")
  WaysStanding ways(@PathVariable long aircraftId) {
    return turns.of(() -> ways.standing(aircraftId));
  }

  @PutMapping("/bench-set-up/ways")
  @Operation(summary = "Keeps what was seen in a look; a later answer to the same one replaces it")
  WaysStanding look(@PathVariable long aircraftId, @RequestBody WaysLooked looked) {
    Validation.check(looked);
    return turns.of(() -> ways.keep(aircraftId, looked.version(), looked.answer()));
  }

  @PostMapping("/bench-set-up/ways/back")
  @Operation(summary = "Takes the last look back")
  WaysStanding back(@PathVariable long aircraftId, @RequestBody SetUpSeen seen) {
    return turns.of(() -> ways.back(aircraftId, seen.version()));
  }

  @PostMapping("/bench-set-up/ways/again")
  @Operation(summary = "Begins with nothing seen")
  WaysStanding again(@PathVariable long aircraftId, @RequestBody SetUpSeen seen) {
    return turns.of(() -> ways.again(aircraftId, seen.version()));
  }

  @PostMapping("/bench-set-up/ways/mended")
  @Operation(
      summary =
          "Takes what is to be changed as done: a new revision where the description is another,"
              + " and only the looks it changed are asked again")
  WaysStanding mended(@PathVariable long aircraftId, @RequestBody WaysDone done) {
    return turns.of(() -> ways.mended(aircraftId, done.version(), done.basedOn()));
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
