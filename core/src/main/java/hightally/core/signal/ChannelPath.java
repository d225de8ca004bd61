package hightally.core.signal;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;

/** One channel: sticks, levers, preset and trims to a command, and its output stage. */
final class ChannelPath {
  private static final double PERCENT = 100;
  private static final Shares NONE = new Shares(0, 0, 0, List.of());

  private final boolean throttle;
  private final Shares shares;
  private final int[] inputs;
  private final double[] inputShares;
  private final int plainInput;
  private final double preset;
  private final double clickStep;
  private final Output output;

  ChannelPath(Setup setup, Channel channel) {
    throttle = channel.carriesThrottle();
    plainInput = setup.transmitter().inputIndex(channel.carries());
    shares = setup.surface(channel.carries()).map(surface -> surface.shares()).orElse(NONE);
    List<LeverShare> levers = shares.levers();
    inputs = levers.stream().mapToInt(one -> setup.transmitter().inputIndex(one.input())).toArray();
    inputShares = levers.stream().mapToDouble(LeverShare::share).toArray();
    preset = setup.presetPercent(channel.carries());
    clickStep = setup.transmitter().clickStepPercent();
    double passes = setup.wiring().travelLimitPercent(channel.number());
    output = Output.of(setup.transmitter(), channel, passes);
  }

  Output output() {
    return output;
  }

  /** The command, percent; {@code roll}, {@code pitch}, {@code yaw} are the responses' values. */
  double command(double roll, double pitch, double yaw, Moment moment) {
    if (throttle) {
      return motorCommand(moment);
    }
    if (plainInput >= 0) {
      return 2 * PERCENT * moment.input(plainInput) - PERCENT;
    }
    Trims trims = moment.trims();
    double command =
        PERCENT * (shares.roll() * roll + shares.pitch() * pitch + shares.yaw() * yaw)
            + preset
            + clickStep
                * (shares.roll() * trims.roll()
                    + shares.pitch() * trims.pitch()
                    + shares.yaw() * trims.yaw());
    for (int i = 0; i < inputs.length; i++) {
      command += leverPercent(i, moment);
    }
    return command;
  }

  /** The whole stick runs the whole range; cut holds the low end, where a one-way motor stops. */
  private static double motorCommand(Moment moment) {
    return 2 * PERCENT * moment.motorPower() - PERCENT;
  }

  double share(Control control) {
    return shares.of(control);
  }

  int leverCount() {
    return inputs.length;
  }

  /** Index of the input behind a lever share. */
  int leverInput(int lever) {
    return inputs[lever];
  }

  double leverShare(int lever) {
    return inputShares[lever];
  }

  double leverPercent(int lever, Moment moment) {
    return PERCENT * inputShares[lever] * moment.input(inputs[lever]);
  }

  double presetPercent() {
    return preset;
  }

  double responsePercent(Control control, double value) {
    return PERCENT * shares.of(control) * value;
  }

  double trimPercent(Control control, Trims trims) {
    return clickStep * shares.of(control) * trims.of(control);
  }
}
