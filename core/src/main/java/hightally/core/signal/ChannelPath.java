package hightally.core.signal;

import hightally.core.airframe.Shares;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;

/** One channel: sticks and trims to a command, and its output stage. */
final class ChannelPath {
  private static final double PERCENT = 100;

  private final boolean throttle;
  private final Shares shares;
  private final double clickStep;
  private final Output output;

  ChannelPath(Setup setup, Channel channel) {
    throttle = channel.carriesThrottle();
    shares = throttle ? null : setup.surface(channel.carries()).orElseThrow().shares();
    clickStep = setup.transmitter().clickStepPercent();
    output = Output.of(setup.transmitter(), channel);
  }

  Output output() {
    return output;
  }

  /** The command, percent; {@code roll}, {@code pitch}, {@code yaw} are the responses' values. */
  double command(double roll, double pitch, double yaw, Moment moment) {
    if (throttle) {
      return motorCommand(moment);
    }
    Trims trims = moment.trims();
    return PERCENT * (shares.roll() * roll + shares.pitch() * pitch + shares.yaw() * yaw)
        + clickStep
            * (shares.roll() * trims.roll()
                + shares.pitch() * trims.pitch()
                + shares.yaw() * trims.yaw());
  }

  /** The whole stick runs the whole range; cut holds the low end, where a one-way motor stops. */
  private static double motorCommand(Moment moment) {
    return 2 * PERCENT * moment.motorPower() - PERCENT;
  }

  double share(Control control) {
    return shares.of(control);
  }

  double responsePercent(Control control, double value) {
    return PERCENT * shares.of(control) * value;
  }

  double trimPercent(Control control, Trims trims) {
    return clickStep * shares.of(control) * trims.of(control);
  }
}
