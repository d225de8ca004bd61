package hightally.app.loop;

import hightally.app.aircraft.Hangar;
import hightally.app.loop.HangarBoard.Standing;
import hightally.app.platform.Page;
import hightally.core.ready.Grounding;
import io.swagger.v3.oas.annotations.Operation;
import java.util.Comparator;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The hangar: every aircraft with where it stands on the loop and what waits. */
@RestController
class LoopController {
  private static final Logger LOG = LoggerFactory.getLogger(LoopController.class);

  private final HangarBoard board;
  private final Hangar hangar;

  LoopController(HangarBoard board, Hangar hangar) {
    this.board = board;
    this.hangar = hangar;
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
    Page<HangarEntry> found = board.named(named, new Page.Asked(page, size));
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
    Standing found = board.one(id);
    attend(id, found.loop(), found.grounding());
    return found;
  }

  /**
   * Only the hangar's order hangs on it: where it cannot be kept the model is shown all the same.
   */
  private void attend(long id, LoopState loop, Grounding grounding) {
    try {
      hangar.attend(id, loop.attention(grounding));
    } catch (DataAccessException | TransactionException e) {
      LOG.debug("The order of the hangar was not kept", e);
    }
  }
}
