package hightally.app.guide;

import hightally.core.guide.PartChange;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
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
  List<NotedChange> of(@PathVariable long aircraftId) {
    return changes.of(aircraftId);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  NotedChange note(@PathVariable long aircraftId, @RequestBody PartChange change) {
    return changes.note(aircraftId, change);
  }

  @PutMapping("/{changeId}")
  NotedChange mark(
      @PathVariable long aircraftId, @PathVariable long changeId, @RequestBody Marked marked) {
    return changes.mark(aircraftId, changeId, marked.check(), marked.done());
  }
}
