package hightally.core.signal;

/** What kind of thing moves a surface; the tally lists them in this order. */
public enum Contribution {
  /** A stick, after rate and expo, through the surface's share. */
  RESPONSE,
  /** What differential takes off a roll response. */
  DIFFERENTIAL,
  /** A lever or switch, through the surface's share. */
  LEVER,
  /** A standing command of the surface: reflex, camber. */
  PRESET,
  /** A mix. */
  MIX,
  /** Trim clicks, through the surface's share. */
  TRIM,
  /** Still fading, slowed or at failsafe: what is missing to where the program wants it. */
  UNDER_WAY,
  /** Sub-trim, and a transmitter's centre that is not the servo's. */
  CENTRE_SHIFT,
  /** The arm seated off square. */
  ARM_OFFSET,
  /** Trims that were moved into the rods. */
  ROD,
  /** What a limit cut off: command, pulse, servo stop. */
  LIMIT
}
