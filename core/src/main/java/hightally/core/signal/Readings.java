package hightally.core.signal;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * What is measured and counted besides the pilot's hands.
 *
 * @param linkPercent quality of the link
 * @param voltage of the pack
 * @param timerSeconds what every timer shows, in the setup's order; missing ones have not begun
 * @param truths whether each condition is true, where something that keeps time has worked it out;
 *     empty where it is asked of the moment itself
 */
@Copyable
public record Readings(
    @Within(min = 0, max = 100, unit = Unit.PERCENT) double linkPercent,
    @Within(min = 0, max = 100, unit = Unit.VOLTS) double voltage,
    @Within(min = 0, max = 100_000, unit = Unit.SECONDS) List<Double> timerSeconds,
    List<Boolean> truths) {
  /** A good link, a full pack, no timer begun. */
  public static final Readings NORMAL = new Readings(100, 12.6, List.of(), List.of());

  public Readings {
    timerSeconds = timerSeconds == null ? null : List.copyOf(timerSeconds);
    truths = truths == null ? null : List.copyOf(truths);
  }

  /** A copy to change, part by part. */
  public ReadingsCopy change() {
    return ReadingsCopy.from(this);
  }

  /** The same readings with the conditions worked out. */
  public Readings withTruths(List<Boolean> known) {
    return change().truths(known).done();
  }

  double timer(int index) {
    return index >= 0 && index < timerSeconds.size() ? timerSeconds.get(index) : 0;
  }
}
