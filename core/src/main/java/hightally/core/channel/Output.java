package hightally.core.channel;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * The output stage of one channel: command in percent to pulse in µs.
 *
 * <p>Command clamped to ±limit, turned if reversed, then with {@code e} the endpoint of the side
 * {@code v} is on: SHIFT {@code centre + subTrim + v/100·per100·e/100}; FIXED_ENDS {@code centre +
 * subTrim + v/100·(per100·e/100 ∓ subTrim)}; last the hard limits, of which a channel's own limit
 * of travel is one: {@code centre ± per100·limit/100}.
 */
@Copyable
public record Output(
    @Within(min = 100, max = 1000, unit = Unit.MICROSECONDS) double pulsePer100,
    @Within(min = 700, max = 2300, unit = Unit.MICROSECONDS) double centre,
    boolean reversed,
    @Within(min = -300, max = 300, unit = Unit.MICROSECONDS) double subTrim,
    SubTrimMode subTrimMode,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double endpointLow,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double endpointHigh,
    @Within(min = 500, max = 1500, unit = Unit.MICROSECONDS) double limitLow,
    @Within(min = 1500, max = 2500, unit = Unit.MICROSECONDS) double limitHigh,
    @Within(min = 50, max = 200, unit = Unit.PERCENT) double commandLimit) {
  /** A copy to change, part by part. */
  public OutputCopy change() {
    return OutputCopy.from(this);
  }

  /** The output stage of a channel on a transmitter. */
  public static Output of(Transmitter transmitter, Channel channel) {
    return of(transmitter, channel, Double.POSITIVE_INFINITY);
  }

  /**
   * The same where something between receiver and servo passes only so much travel.
   *
   * @param passesPercent of nominal full travel either way; infinite for all of it
   */
  public static Output of(Transmitter transmitter, Channel channel, double passesPercent) {
    double reach = transmitter.microsecondsPer100() * passesPercent / 100;
    return new Output(
        transmitter.microsecondsPer100(),
        transmitter.centreMicroseconds(),
        channel.reversed(),
        channel.subTrimMicroseconds(),
        transmitter.subTrimMode(),
        channel.endpointLowPercent(),
        channel.endpointHighPercent(),
        Math.max(
            transmitter.shortestMicroseconds(),
            transmitter.centreMicroseconds()
                - Math.min(reach, own(transmitter, channel.limitLowPercent()))),
        Math.min(
            transmitter.longestMicroseconds(),
            transmitter.centreMicroseconds()
                + Math.min(reach, own(transmitter, channel.limitHighPercent()))),
        transmitter.commandLimitPercent());
  }

  /** How far a channel's own limit lets it go, µs; infinitely far where it has none. */
  private static double own(Transmitter transmitter, double percent) {
    return percent == 0
        ? Double.POSITIVE_INFINITY
        : transmitter.microsecondsPer100() * percent / 100;
  }

  /** Pulse for a command, µs. */
  public double pulse(double commandPercent) {
    double pulse = freePulse(Math.max(-commandLimit, Math.min(commandLimit, commandPercent)));
    return Math.max(limitLow, Math.min(limitHigh, pulse));
  }

  /** Pulse before any limit, µs. */
  public double freePulse(double commandPercent) {
    double turned = reversed ? -commandPercent : commandPercent;
    return centre + subTrim + turned / 100 * reach(turned);
  }

  /** Pulse before any limit as it would be with the sub-trim at zero, µs. */
  public double unshiftedPulse(double commandPercent) {
    double turned = reversed ? -commandPercent : commandPercent;
    return centre + turned / 100 * pulsePer100 * endpoint(turned) / 100;
  }

  /**
   * The command that gives a pulse, before any limit, percent; infinite where no travel is left.
   */
  public double commandFor(double pulseMicroseconds) {
    double offset = pulseMicroseconds - centre - subTrim;
    double turned = 100 * offset / reach(offset);
    return reversed ? -turned : turned;
  }

  /**
   * d(pulse)/d(command), µs per percent; 0 beyond a limit. At exactly 0, where the two sides meet
   * in a corner if their endpoints differ, the mean of both: what a small step either way finds.
   */
  public double slope(double commandPercent) {
    double pulse = freePulse(commandPercent);
    if (Math.abs(commandPercent) > commandLimit || pulse < limitLow || pulse > limitHigh) {
      return 0;
    }
    double turned = reversed ? -commandPercent : commandPercent;
    double reach = turned == 0 ? (reach(1) + reach(-1)) / 2 : reach(turned);
    return (reversed ? -1 : 1) * reach / 100;
  }

  /**
   * Microseconds per percent of command on the side a command is on, sign included, without
   * sub-trim and limits: what turns a shift of the pulse into the command it equals.
   */
  public double plainSlope(double commandPercent) {
    double turned = reversed ? -commandPercent : commandPercent;
    double slope = pulsePer100 * endpoint(turned) / 10_000;
    double fallback = slope == 0 ? pulsePer100 / 100 : slope;
    return reversed ? -fallback : fallback;
  }

  private double reach(double turned) {
    double ends = pulsePer100 * endpoint(turned) / 100;
    if (subTrimMode == SubTrimMode.SHIFT) {
      return ends;
    }
    return turned >= 0 ? ends - subTrim : ends + subTrim;
  }

  private double endpoint(double turned) {
    return turned >= 0 ? endpointHigh : endpointLow;
  }
}
