package hightally.core.signal;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.setup.Setup;
import java.util.List;

/** One channel: which of the program's commands it carries, and its output stage. */
final class ChannelPath {
  private static final double PERCENT = 100;

  /** Index among surfaces and motors; -1 where the channel only follows an input. */
  private final int command;

  private final int plainInput;
  private final Output output;

  ChannelPath(Setup setup, Channel channel) {
    plainInput = setup.transmitter().inputIndex(channel.carries());
    command = plainInput >= 0 ? -1 : command(setup, channel);
    double passes = setup.wiring().travelLimitPercent(channel.number());
    output = Output.of(setup.transmitter(), channel, passes);
  }

  private static int command(Setup setup, Channel channel) {
    if (channel.carriesThrottle()) {
      List<Integer> motors = setup.airframe().motors().stream().map(Motor::channel).toList();
      int motor = motors.indexOf(channel.number());
      return motor < 0 ? Integer.MAX_VALUE : setup.surfaces().size() + motor;
    }
    List<String> ids = setup.surfaces().stream().map(Surface::id).toList();
    return ids.indexOf(channel.carries());
  }

  Output output() {
    return output;
  }

  /** Index of the surface whose command it carries. */
  int carried() {
    return command;
  }

  /** The channel's command, percent; a throttle channel no motor hangs on holds the low end. */
  double command(double[] commands, Moment moment) {
    if (plainInput >= 0) {
      return 2 * PERCENT * moment.input(plainInput) - PERCENT;
    }
    return command < commands.length ? commands[command] : -PERCENT;
  }
}
