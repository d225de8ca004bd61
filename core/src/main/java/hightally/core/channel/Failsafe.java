package hightally.core.channel;

/** Which outputs a receiver itself holds when the link is lost. */
public enum Failsafe {
  /** Every channel goes to what was set for it. */
  EVERY_CHANNEL,
  /** Only one channel; the others stop putting out pulses. */
  ONE_CHANNEL,
  /** None: the last positions are held, the motor's as well. */
  NONE
}
