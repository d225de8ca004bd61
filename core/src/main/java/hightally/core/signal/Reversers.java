package hightally.core.signal;

import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * Which way the second wire of each motor's controller turns it: backwards where its channel's
 * pulse, at the controller, is beyond the transmitter's centre.
 */
public final class Reversers {
  private static final int NONE = -1;

  private final SignalPath path;
  private final Setup setup;

  /** By motor: the index of the channel that turns it round. */
  private final int[] channels;

  public Reversers(SignalPath path) {
    this.path = path;
    setup = path.setup();
    List<Integer> numbers = setup.channels().stream().map(Channel::number).toList();
    channels =
        setup.airframe().motors().stream()
            .mapToInt(one -> one.hasReverser() ? numbers.indexOf(one.reverserChannel()) : NONE)
            .toArray();
  }

  /** Whether a motor is turned round at a moment. */
  public boolean back(int motor, Moment moment) {
    int channel = channels[motor];
    return channel != NONE
        && backAt(channel, path.output(channel).pulse(path.channel(channel).command(null, moment)));
  }

  /** Whether any motor that is told to run turns backwards where everything stands as it does. */
  public boolean anyBack(Positions positions) {
    for (int motor = 0; motor < channels.length; motor++) {
      Motor one = setup.airframe().motors().get(motor);
      double command = positions.commandPercent()[indexOf(one.channel())];
      boolean runs = setup.power().power(command) > 0;
      boolean turned =
          channels[motor] != NONE
              && backAt(channels[motor], positions.pulseMicroseconds()[channels[motor]]);
      if (runs && turned != (setup.power().twoWay() && command < 0)) {
        return true;
      }
    }
    return false;
  }

  private int indexOf(int number) {
    return setup.channels().stream().map(Channel::number).toList().indexOf(number);
  }

  private boolean backAt(int channel, double pulseMicroseconds) {
    String device = setup.channels().get(channel).carries();
    return setup.wiring().arriving(device, pulseMicroseconds)
        > setup.transmitter().centreMicroseconds();
  }
}
