package hightally.core.edit;

/** What can be added to a setup with values to begin with, to be changed at once. */
public enum NewPart {
  CONDITION,
  /** A mix from the roll stick to the first surface, which gives it nothing yet. */
  MIX,
  FEEL_SET,
  TIMER,
  /** A throttle curve for the first phase. */
  THROTTLE_CURVE,
  /** What the first channel without one does when the link is lost. */
  FAILSAFE,
  ALARM,
  /** Two surfaces that touch. */
  CONTACT,
  PACK,
  /** A stabiliser between receiver and servos. */
  BETWEEN,
  /** One more output of the receiver, for the channel after the highest. */
  SOCKET,
  LEVER,
  SWITCH
}
