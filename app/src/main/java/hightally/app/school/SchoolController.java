package hightally.app.school;

import hightally.app.platform.ComputationQueue;
import hightally.app.platform.IdempotentRequests;
import hightally.core.trimming.TestResult;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The trim school over HTTP. Everything in it is simulated and kept apart from the logs. */
@RestController
@RequestMapping("/api/school")
class SchoolController {
  private final School school;
  private final ComputationQueue turns;

  SchoolController(School school, ComputationQueue turns) {
    this.school = school;
    this.turns = turns;
  }

  @GetMapping
  @Operation(summary = "Simulated: lessons with their progress, and every practice, newest first")
  School.Hall hall() {
    return school.hall();
  }

  @PostMapping("/lessons")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Simulated: begins the next step of a lesson; once for each key")
  SchoolSheet lesson(
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody School.LessonBegun begun) {
    String once = IdempotentRequests.key(key);
    return turns.of(
        () -> IdempotentRequests.of(once, school::begunBy, () -> school.begin(begun, once)));
  }

  @PostMapping("/models")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      summary = "Simulated: begins a practice with one of the pilot's models; once for each key")
  SchoolSheet model(
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody School.ModelBegun begun) {
    String once = IdempotentRequests.key(key);
    return turns.of(
        () -> IdempotentRequests.of(once, school::begunBy, () -> school.begin(begun, once)));
  }

  @GetMapping("/{id}")
  @Operation(summary = "Simulated: one practice")
  SchoolSheet sheet(@PathVariable long id) {
    return turns.of(() -> school.sheet(id));
  }

  @PostMapping("/{id}/flights")
  @Operation(summary = "Simulated: flies a trim test, to be watched")
  School.FlownSheet fly(@PathVariable long id, @RequestBody School.TestToFly fly) {
    return turns.of(() -> school.fly(id, fly));
  }

  @PostMapping("/{id}/seen")
  @Operation(summary = "Simulated: notes what was seen of a flown test")
  SchoolSheet seen(@PathVariable long id, @RequestBody TestResult seen) {
    return turns.of(() -> school.seen(id, seen));
  }

  @PostMapping("/{id}/changes")
  @Operation(summary = "Simulated: moves one lever of a trim test")
  SchoolSheet change(@PathVariable long id, @RequestBody School.LeverChange change) {
    return turns.of(() -> school.change(id, change));
  }

  @PostMapping("/{id}/left-out")
  @Operation(summary = "Simulated: leaves a test out")
  SchoolSheet leaveOut(@PathVariable long id, @RequestBody School.TestToFly left) {
    return turns.of(() -> school.leaveOut(id, left));
  }

  /** Whether a practice is over. */
  record Ending(boolean ended) {}

  @PutMapping("/{id}/end")
  @Operation(summary = "Simulated: ends a practice and tells what was wrong")
  SchoolSheet end(@PathVariable long id, @RequestBody Ending ending) {
    return turns.of(() -> ending.ended() ? school.end(id) : school.sheet(id));
  }
}
