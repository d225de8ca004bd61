package hightally.core.probe;

/** What of a rig may be otherwise than it is described. */
public enum RigPart {
  /** Which way a servo turns. */
  SERVO_SENSE,
  /** On which side of the horn, or of the arm, a surface's rod acts. */
  HORN_SIDE,
  /** Two leads, each in the other's place. */
  LEADS,
  /** Whether the transmitter reverses a channel. */
  CHANNEL_SIGN,
  /** The sign of what a surface takes of a control or lever. */
  SHARE_SIGN,
  /** Whether a servo does anything: its lead, its supply, itself. */
  SERVO_STILL,
  /** Whether a surface follows what drives it. */
  SURFACE_STILL,
  /** Which way a motor turns. */
  MOTOR_SENSE
}
