package hightally.core.program;

/** What a phase is for. */
public enum PhaseRole {
  LAUNCH,
  CRUISE,
  THERMAL,
  SPEED,
  LANDING,
  /** Rolling on the ground. */
  GROUND,
  /** The motor turning backwards. */
  REVERSE,
  OTHER
}
