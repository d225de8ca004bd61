package hightally.core.power;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * A timer of the transmitter.
 *
 * @param countsDown from {@code startSeconds} instead of up from 0
 * @param when id of the condition under which it runs; empty for always
 * @param spokenAtSeconds what it says aloud, on its own display
 */
public record FlightTimer(
    @Text(label = "Timer id", max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text(label = "Timer") String name,
    boolean countsDown,
    @Within(min = 0, max = 36_000, unit = "s", label = "Starts from") double startSeconds,
    @Text(label = "Runs while", min = 0, max = 40) String when,
    @Within(min = 0, max = 36_000, unit = "s", label = "Spoken at") List<Double> spokenAtSeconds) {
  public FlightTimer {
    spokenAtSeconds = spokenAtSeconds == null ? null : List.copyOf(spokenAtSeconds);
  }

  /** The same timer, waiting for nothing. */
  public FlightTimer countingAlways() {
    return new FlightTimer(id, name, countsDown, startSeconds, "", spokenAtSeconds);
  }
}
