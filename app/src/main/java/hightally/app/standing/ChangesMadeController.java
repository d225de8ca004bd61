package hightally.app.standing;

import hightally.app.program.EntryList;
import hightally.app.trimming.ModelChange;
import hightally.app.trimming.TrimCoach;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.trimming.TrimLever;
import io.swagger.v3.oas.annotations.Operation;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What was really changed on a model: typed into its transmitter, or done at the model itself. */
@RestController
class ChangesMadeController {
  private final EntryList entries;
  private final TrimCoach coach;

  ChangesMadeController(EntryList entries, TrimCoach coach) {
    this.entries = entries;
    this.coach = coach;
  }

  /** Where a change was made. */
  enum Where {
    TRANSMITTER,
    MODEL
  }

  /**
   * A change that was made.
   *
   * @param id of the typed change, or of the job
   * @param what what was changed
   * @param before what stood there; nothing where it was new
   * @param after what stands there since
   * @param back whether it can be put back in one step
   */
  record Made(Where where, long id, Said what, Said before, Said after, Instant at, boolean back) {}

  @GetMapping("/api/aircraft/{aircraftId}/made")
  @Operation(summary = "Changes that were typed in or done at the model, newest first")
  @Transactional(readOnly = true)
  public List<Made> made(@PathVariable long aircraftId) {
    return Stream.concat(typed(aircraftId), atModel(aircraftId))
        .sorted(Comparator.comparing(Made::at).reversed())
        .toList();
  }

  /** Of each value only the last change can be put back. */
  private Stream<Made> typed(long aircraftId) {
    Set<String> seen = new HashSet<>();
    return entries.changes(aircraftId).stream()
        .map(
            one ->
                new Made(
                    Where.TRANSMITTER,
                    one.id(),
                    one.what(),
                    one.before(),
                    one.after(),
                    one.changedAt(),
                    seen.add(one.transmitter() + "/" + one.key())));
  }

  private Stream<Made> atModel(long aircraftId) {
    List<ModelChange> done = coach.done(aircraftId);
    Set<TrimLever> seen = new HashSet<>();
    return Stream.iterate(done.size() - 1, i -> i >= 0, i -> i - 1)
        .map(done::get)
        .map(
            one ->
                new Made(
                    Where.MODEL,
                    one.id(),
                    Said.of("made.atModel", "lever", one.lever()),
                    value(one.lever(), one.from()),
                    value(one.lever(), one.to()),
                    one.closedAt(),
                    seen.add(one.lever()) && one.resultRevision() == null));
  }

  private static Said value(TrimLever lever, double value) {
    return switch (lever) {
      case BALANCE -> Said.of("made.ofChord", "value", Quantity.percent(value, 2));
      case LATERAL -> Said.of("made.ofMass", "value", Quantity.percent(value, 2));
      case DOWN_THRUST, RIGHT_THRUST -> Said.of("made.plain", "value", Quantity.degrees(value, 2));
      default -> Said.of("made.plain", "value", Quantity.percent(value, 2));
    };
  }
}
