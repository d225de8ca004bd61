package hightally.core.program;

import hightally.core.channel.Channel;
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
  /** What is usual for a channel: a motor stands still, anything else stays where it was. */
  public static FailsafeSetting safe(Channel channel, Power power) {
    return channel.carriesThrottle()
        ? new FailsafeSetting(channel.number(), false, power.stopPercent())
        : new FailsafeSetting(channel.number(), true, 0);
  }

  /** The same setting under another channel number. */
  public FailsafeSetting onChannel(int changed) {
    return new FailsafeSetting(changed, holds, percent);
  }
}
