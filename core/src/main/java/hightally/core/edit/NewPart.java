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
  LEVER,
  SWITCH
}
