package hightally.core.edit;

/** What can be added to a setup with values to begin with, to be changed at once. */
public enum NewPart {
  CONDITION,
  FEEL_SET,
  TIMER,
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
