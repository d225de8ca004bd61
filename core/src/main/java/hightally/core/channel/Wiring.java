package hightally.core.channel;

import java.util.List;
import java.util.Optional;

/** From the transmitter's channels to the devices: receiver, leads, what sits in between. */
public record Wiring(Receiver receiver, List<Lead> leads, List<Between> between) {
  public Wiring {
    leads = leads == null ? null : List.copyOf(leads);
    between = between == null ? null : List.copyOf(between);
  }

  /** The lead of a device, if it is plugged in. */
  public Optional<Lead> lead(String device) {
    return leads.stream().filter(lead -> lead.device().equals(device)).findFirst();
  }

  /** The pulse a device gets of one at its socket, µs: behind a reverser it is mirrored. */
  public double arriving(String device, double pulseMicroseconds) {
    boolean mirrored = lead(device).map(Lead::reverser).orElse(false);
    return mirrored ? 2 * Lead.REVERSER_CENTRE_MICROSECONDS - pulseMicroseconds : pulseMicroseconds;
  }

  /**
   * Whether the receiver's failsafe reaches a device: not behind a serial bus, and not if the
   * receiver holds other channels only.
   */
  public boolean failsafeReaches(String device, int channel) {
    boolean onBus =
        lead(device)
            .flatMap(lead -> receiver.socket(lead.socket()))
            .map(socket -> socket.output() == SocketOutput.BUS)
            .orElse(false);
    return !onBus
        && switch (receiver.failsafe()) {
          case EVERY_CHANNEL -> true;
          case ONE_CHANNEL -> receiver.failsafeChannel() == channel;
          case NONE -> false;
        };
  }

  /** The largest travel that reaches a channel's servos, percent; infinite without a limit. */
  public double travelLimitPercent(int channel) {
    return between.stream()
        .filter(one -> one.carries(channel))
        .mapToDouble(Between::travelLimitPercent)
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }
}
