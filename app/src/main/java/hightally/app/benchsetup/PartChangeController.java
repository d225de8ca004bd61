package hightally.app.benchsetup;

import hightally.app.platform.IdempotentRequests;
import hightally.core.airframe.PartChange;
import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
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

/** Changed parts over HTTP. */
@RestController
@RequestMapping("/api/aircraft/{aircraftId}/part-changes")
class PartChangeController {
  private final PartChanges changes;

  PartChangeController(PartChanges changes) {
    this.changes = changes;
  }

  /** Which check, and whether it has been done again. */
  record Marked(int check, boolean done) {}

  @GetMapping
  @Operation(summary = "The changed parts of an aircraft and what is due again, newest first")
  List<NotedPartChange> of(@PathVariable long aircraftId) {
    return changes.of(aircraftId);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Notes a changed part and the checks it voids; once for each key")
  NotedPartChange note(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody PartChange change) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> changes.notedBy(aircraftId, made),
        () -> changes.note(aircraftId, change, once));
  }

  /** A changed part, and the day it was changed. */
  record ChangedOn(PartChange change, LocalDate changedOn) {}

  @PostMapping("/dated")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Notes a part that was changed on a day; once for each key")
  NotedPartChange noteDated(
      @PathVariable long aircraftId,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody ChangedOn changed) {
    String once = IdempotentRequests.key(key);
    return IdempotentRequests.of(
        once,
        made -> changes.notedBy(aircraftId, made),
        () -> changes.note(aircraftId, changed.change(), changed.changedOn(), once));
  }

  @PutMapping("/{changeId}")
  @Operation(summary = "Marks a check as done again, or not")
  NotedPartChange mark(
      @PathVariable long aircraftId, @PathVariable long changeId, @RequestBody Marked marked) {
    return changes.mark(aircraftId, changeId, marked.check(), marked.done());
  }
}
