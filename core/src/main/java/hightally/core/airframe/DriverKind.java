package hightally.core.airframe;

/** What pushes a rod. */
public enum DriverKind {
  /** A servo's arm. */
  SERVO,
  /** The horn of another surface: a slave rod. */
  SURFACE
}
