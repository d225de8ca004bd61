package hightally.core.airframe;

/** What kind of thing a servo moves: how it is drawn and which way plus is said to be. */
public enum SurfacePart {
  /** A surface on a hinge line. */
  HINGED,
  /** A nose or tail wheel that steers; measured at the tyre's edge. */
  WHEEL,
  /** A spoiler plate; plus is up, out of the wing. */
  SPOILER,
  /** A wing half that swings; plus sweeps it aft, measured at the tip. */
  SWINGING_WING,
  /** A thrust-vectoring nozzle or vane. */
  NOZZLE
}
