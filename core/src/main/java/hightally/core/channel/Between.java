package hightally.core.channel;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * Something between receiver and servos.
 *
 * @param channels that run through it
 * @param travelLimitPercent the largest travel it passes on, in percent of nominal full travel
 * @param allowsTrim whether trims and sub-trims pass as they are
 * @param bypassed unplugged, with the leads straight on the receiver
 */
@Copyable
public record Between(
    @Text String name,
    BetweenKind kind,
    List<Integer> channels,
    @Within(min = 20, max = 200, unit = Unit.PERCENT) double travelLimitPercent,
    boolean allowsTrim,
    boolean bypassed) {
  public Between {
    channels = channels == null ? null : List.copyOf(channels);
  }

  /** A copy to change, part by part. */
  public BetweenCopy change() {
    return BetweenCopy.from(this);
  }

  /** Whether a channel runs through it now. */
  public boolean carries(int channel) {
    return !bypassed && channels.contains(channel);
  }

  /** The same thing with other channels running through it. */
  public Between onChannels(List<Integer> changed) {
    return change().channels(changed).done();
  }
}
