package hightally.core.program;

/** What the subject of a mix names. */
public enum SourceOf {
  /** Nothing: there is one of it, or none is needed. */
  NOTHING,
  /** Roll, pitch or yaw. */
  STICK,
  /** A lever or switch of the transmitter. */
  INPUT,
  SURFACE
}
