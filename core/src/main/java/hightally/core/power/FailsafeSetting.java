package hightally.core.power;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * What a channel does when the link is lost.
 *
 * @param channel its number
 * @param holds whether it stays where it is
 * @param percent the command it goes to otherwise
 */
public record FailsafeSetting(
    @Within(min = 0, max = 64) int channel,
    boolean holds,
    @Within(min = -150, max = 150, unit = Unit.PERCENT) double percent) {
  /** The same setting under another channel number. */
  public FailsafeSetting onChannel(int changed) {
    return new FailsafeSetting(changed, holds, percent);
  }
}
