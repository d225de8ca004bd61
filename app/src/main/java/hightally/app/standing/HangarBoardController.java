package hightally.app.standing;

import hightally.app.aircraft.Hangar;
import hightally.app.platform.Page;
import hightally.app.standing.HangarBoard.Standing;
import hightally.core.preflight.Clearance;
import io.swagger.v3.oas.annotations.Operation;
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

  HangarBoardController(HangarBoard board, Hangar hangar, Clearances groundings) {
    this.board = board;
    this.hangar = hangar;
    this.groundings = groundings;
  }

  @GetMapping("/api/aircraft")
  @Operation(
      summary =
          "The hangar: aircraft whose name has a part, where each stands, what waits; those that"
              + " want their pilot first, as was known when they were last looked at")
  Page<HangarEntry> all(
      @RequestParam(defaultValue = "") String named,
      @RequestParam(defaultValue = "0") int page,
      @RequestParam(defaultValue = "12") int size) {
    Page.Asked asked = new Page.Asked(page, size);
    groundings.prepare(hangar.named(named, asked).items());
    Page<HangarEntry> found = board.named(named, asked);
    found.items().forEach(one -> attend(one.id(), one.loop(), one.grounding()));
    List<HangarEntry> soonest =
        found.items().stream()
            .sorted(Comparator.comparingInt(one -> one.loop().attention(one.grounding())))
            .toList();
    return new Page<>(soonest, found.total());
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
