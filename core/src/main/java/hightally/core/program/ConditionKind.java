package hightally.core.program;

/** What a condition looks at. */
public enum ConditionKind {
  /** A switch stands at one position; {@code limit} is the position, counted from 1. */
  SWITCH_AT,
  /** A lever or the throttle, 0 to 100 %, or a stick, -100 to 100 %, is above {@code limit}. */
  ABOVE,
  /** The same below {@code limit}. */
  BELOW,
  /** A flight phase is on. */
  PHASE,
  /** A measured value (link, voltage) is above {@code limit}. */
  TELEMETRY_ABOVE,
  /** The same below {@code limit}. */
  TELEMETRY_BELOW,
  /** A timer has counted more than {@code limit} seconds. */
  TIMER_ABOVE,
  /** All members are true. */
  AND,
  /** At least one member is true. */
  OR,
  /** The one member is not true. */
  NOT
}
