package hightally.core.program;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * A timer of the transmitter.
 *
 * @param countsDown from {@code startSeconds} instead of up from 0
 * @param when id of the condition under which it runs; empty for always
 * @param resetWhen id of the condition that sets it back to its start; empty for by hand
 * @param spokenAtSeconds what it says aloud, on its own display
 */
@Copyable
public record FlightTimer(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text String name,
    boolean countsDown,
    @Within(min = 0, max = 36_000, unit = Unit.SECONDS) double startSeconds,
    @Text(min = 0, max = 40) String when,
    @Text(min = 0, max = 40) String resetWhen,
    @Within(min = 0, max = 36_000, unit = Unit.SECONDS) List<Double> spokenAtSeconds) {
  public FlightTimer {
    spokenAtSeconds = spokenAtSeconds == null ? null : List.copyOf(spokenAtSeconds);
  }

  /** A copy to change, part by part. */
  public FlightTimerCopy change() {
    return FlightTimerCopy.from(this);
  }

  /** The same timer, asking nothing of a condition that is gone. */
  public FlightTimer without(String condition) {
    return change()
        .when(when.equals(condition) ? "" : when)
        .resetWhen(resetWhen.equals(condition) ? "" : resetWhen)
        .done();
  }
}
