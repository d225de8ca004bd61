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

  /** The largest travel that reaches a channel's servos, percent; infinite without a limit. */
  public double travelLimitPercent(int channel) {
    return between.stream()
        .filter(one -> one.carries(channel))
        .mapToDouble(Between::travelLimitPercent)
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }
}
