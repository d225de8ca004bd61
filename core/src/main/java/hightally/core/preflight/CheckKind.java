package hightally.core.preflight;

/** What is checked before a flight. */
public enum CheckKind {
  /** Before every flight. */
  FLIGHT,
  /** After a change that can turn something round: balance, failsafe, directions in full. */
  FULL,
  /** At reduced power, on foot. */
  RANGE,
  /** With a second pilot on a link. */
  PUPIL
}
