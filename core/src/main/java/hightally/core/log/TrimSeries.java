package hightally.core.log;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.time.LocalDate;
import java.util.List;

/**
 * The trims of one control in one phase over the flights, and what they say.
 *
 * @param phase id of the phase
 * @param control which control
 * @param state whether it has settled
 * @param clicks the middle one of those that count; 0 if none does
 * @param words all of it in words: what is missing, or what is suspicious
 * @param points every flight that was trimmed in this phase, oldest first
 */
public record TrimSeries(
    String phase, Control control, State state, int clicks, Said words, List<TrimPoint> points) {
  /** What a series says. */
  public enum State {
    SETTLED,
    NOT_YET,
    SUSPICIOUS
  }

  /**
   * One flight in a series.
   *
   * @param flight its number
   * @param clicks what stood in the transmitter
   * @param counts whether it counts now
   * @param why it does not, in a few words; empty if it does
   */
  public record TrimPoint(long flight, LocalDate flownOn, int clicks, boolean counts, Said why) {}
}
