package hightally.core.signal;

import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.program.FailsafeSetting;
import hightally.core.setup.Setup;
import java.util.Optional;

/**
 * Whether what should stop a motor gives the pulse at which its controller stops, at its socket:
 * endpoints, sub-trim, reversal, what sits between and a reverser in its lead included.
 */
public final class MotorStops {
  /** So far from the stop a controller still stops, µs. */
  public static final double SAME_MICROSECONDS = 20;

  private final SignalPath path;
  private final Setup setup;
  private final Motor motor;
  private final int channel;

  public MotorStops(SignalPath path, Motor motor) {
    this.path = path;
    this.motor = motor;
    setup = path.setup();
    channel = setup.channels().stream().map(Channel::number).toList().indexOf(motor.channel());
  }

  /** The pulse at which its controller stops, µs. */
  public double stop() {
    return setup.power().stopPulse(setup.transmitter());
  }

  /** The pulse a command gives at the socket, µs. */
  public double pulse(double percent) {
    return setup.wiring().arriving(motor.id(), path.output(channel).pulse(percent));
  }

  /** Whether a command stops it. */
  public boolean stopsAt(double percent) {
    return Math.abs(pulse(percent) - stop()) <= SAME_MICROSECONDS;
  }

  /** Whether the receiver's failsafe reaches it at all. */
  public boolean failsafeReaches() {
    return setup.wiring().failsafeReaches(motor.id(), motor.channel());
  }

  /** The command its channel goes to when the link is lost; none where it holds or is not set. */
  public Optional<Double> failsafe() {
    return setup.power().failsafe().stream()
        .filter(one -> one.channel() == motor.channel() && !one.holds())
        .map(FailsafeSetting::percent)
        .findFirst();
  }
}
