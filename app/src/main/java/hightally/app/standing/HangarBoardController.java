package hightally.app.standing;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.JsonProblems;
import hightally.app.platform.ModelFaults;
import hightally.app.platform.Page;
import hightally.app.standing.HangarBoard.Standing;
import hightally.core.preflight.Clearance;
import hightally.core.quantity.Violation;
import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The hangar: every aircraft with where it stands on the loop and what waits. */
@RestController
class HangarBoardController {
  private static final Logger LOG = LoggerFactory.getLogger(HangarBoardController.class);

  private final HangarBoard board;
  private final Hangar hangar;
  private final Clearances groundings;
  private final ModelFaults faults;

  HangarBoardController(
      HangarBoard board, Hangar hangar, Clearances groundings, ModelFaults faults) {
    this.faults = faults;
    this.board = board;
    this.hangar = hangar;
    this.groundings = groundings;
  }

  @GetMapping("/api/aircraft")
  @Operation(
      summary =
          "The hangar: aircraft whose name has a part, where each stands, what waits; those that"
              + " want their pilot first, as was known when they were last looked at")
  HangarList all(
      @RequestParam(defaultValue = "") String named,
      @RequestParam(defaultValue = "0") int page,
      @RequestParam(defaultValue = "12") int size) {
    Page<Long> found = hangar.named(named, new Page.Asked(page, size));
    groundings.prepare(found.items());
    List<HangarEntry> items = new ArrayList<>();
    List<UnreadableModel> unreadable = new ArrayList<>();
    for (long id : found.items()) {
      try {
        items.add(board.entry(id));
      } catch (RuntimeException e) {
        LOG.warn("Model {} cannot be read: {}", id, e.getMessage());
        unreadable.add(unreadable(id, e));
      }
    }
    items.forEach(one -> attend(one.id(), one.loop(), one.grounding()));
    items.sort(Comparator.comparingInt(one -> one.loop().attention(one.grounding())));
    return new HangarList(items, found.total(), unreadable);
  }

  /**
   * A part of the hangar.
   *
   * @param unreadable models of this part of which not everything can be read
   */
  record HangarList(List<HangarEntry> items, long total, List<UnreadableModel> unreadable) {}

  /**
   * A model of which not everything can be read.
   *
   * @param faults what cannot, by table, row and field
   */
  record UnreadableModel(long id, String name, List<Violation> faults) {}

  private UnreadableModel unreadable(long id, RuntimeException failed) {
    List<Violation> why = faults.of(id);
    return new UnreadableModel(
        id, hangar.name(id), why.isEmpty() ? JsonProblems.why(failed).violations() : why);
  }

  @GetMapping("/api/aircraft/{id}")
  @Operation(summary = "An aircraft with its newest revision and where it stands")
  Standing one(@PathVariable long id) {
    groundings.prepare(List.of(id));
    Standing found = board.one(id);
    attend(id, found.loop(), found.grounding());
    return found;
  }

  @PutMapping("/api/aircraft/{id}/clearance")
  @Operation(summary = "Why a pilot flies a model though something is still to be seen on it")
  Standing say(@PathVariable long id, @RequestBody Clearances.Word word) {
    groundings.say(id, word);
    return board.one(id);
  }

  @DeleteMapping("/api/aircraft/{id}/clearance")
  @Operation(summary = "Takes that reason back")
  Standing takeBack(@PathVariable long id) {
    groundings.takeBack(id);
    return board.one(id);
  }

  /**
   * Only the hangar's order hangs on it: where it cannot be kept the model is shown all the same.
   */
  private void attend(long id, StandingSummary loop, Clearance grounding) {
    try {
      hangar.attend(id, loop.attention(grounding));
    } catch (DataAccessException | TransactionException e) {
      LOG.debug("The order of the hangar was not kept", e);
    }
  }
}
