package hightally.core.channel;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * One channel of the transmitter model.
 *
 * @param number as the transmitter numbers it
 * @param name the pilot's name for it
 * @param carries id of the surface whose command it carries, {@link #THROTTLE}, or the id of an
 *     input that a simple channel (retracts, wheel brake) follows
 * @param reversed whether the output turns its sign
 * @param slowedSeconds how long the transmitter takes from -100 to 100 %; 0 does not slow
 * @param limitLowPercent how far below the centre its pulse goes at most, percent of full travel,
 *     whatever is asked; 0 for no limit of its own. Where it is larger than the endpoint it lets
 *     brakes go beyond the throw
 * @param limitHighPercent likewise above the centre
 * @param steady whether no switch may move the surface it carries
 */
public record Channel(
    @Within(min = 0, max = 64) int number,
    @Text String name,
    @Text(max = 40) String carries,
    boolean reversed,
    @Within(min = -300, max = 300, unit = Unit.MICROSECONDS) double subTrimMicroseconds,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double endpointLowPercent,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double endpointHighPercent,
    @Within(min = 0, max = 30, unit = Unit.SECONDS) double slowedSeconds,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double limitLowPercent,
    @Within(min = 0, max = 200, unit = Unit.PERCENT) double limitHighPercent,
    boolean steady) {
  /** What a channel carries that drives the motor. */
  public static final String THROTTLE = "throttle";

  /** A channel without limits of its own that switches may move. */
  public Channel(
      int number,
      String name,
      String carries,
      boolean reversed,
      double subTrimMicroseconds,
      double endpointLowPercent,
      double endpointHighPercent,
      double slowedSeconds) {
    this(
        number,
        name,
        carries,
        reversed,
        subTrimMicroseconds,
        endpointLowPercent,
        endpointHighPercent,
        slowedSeconds,
        0,
        0,
        false);
  }

  /** Whether this channel drives the motor's controller. */
  public boolean carriesThrottle() {
    return THROTTLE.equals(carries);
  }

  /** The same channel under another number. */
  public Channel numbered(int changed) {
    return with(changed, name, carries, reversed, steady);
  }

  /** The same channel under another name. */
  public Channel named(String changed) {
    return with(number, changed, carries, reversed, steady);
  }

  /** The same channel carrying something else. */
  public Channel carrying(String changed) {
    return with(number, name, changed, reversed, steady);
  }

  /** The same channel, reversed or not. */
  public Channel turning(boolean turned) {
    return with(number, name, carries, turned, steady);
  }

  /** The same channel, moved by no switch or free to be. */
  public Channel held(boolean changed) {
    return with(number, name, carries, reversed, changed);
  }

  private Channel with(
      int otherNumber, String otherName, String carried, boolean turned, boolean held) {
    return new Channel(
        otherNumber,
        otherName,
        carried,
        turned,
        subTrimMicroseconds,
        endpointLowPercent,
        endpointHighPercent,
        slowedSeconds,
        limitLowPercent,
        limitHighPercent,
        held);
  }

  /** The same channel with another endpoint on the plus side. */
  public Channel withHigh(double percent) {
    return with(subTrimMicroseconds, endpointLowPercent, percent);
  }

  /** The same channel with another endpoint on the minus side. */
  public Channel withLow(double percent) {
    return with(subTrimMicroseconds, percent, endpointHighPercent);
  }

  /** The same channel with another centre and ends. */
  public Channel with(double subTrim, double low, double high) {
    return with(subTrim, low, high, limitLowPercent, limitHighPercent);
  }

  /** The same channel with limits of its own; 0 for none. */
  public Channel limited(double low, double high) {
    return with(subTrimMicroseconds, endpointLowPercent, endpointHighPercent, low, high);
  }

  private Channel with(double subTrim, double low, double high, double limitLow, double limitHigh) {
    return new Channel(
        number,
        name,
        carries,
        reversed,
        subTrim,
        low,
        high,
        slowedSeconds,
        limitLow,
        limitHigh,
        steady);
  }
}
