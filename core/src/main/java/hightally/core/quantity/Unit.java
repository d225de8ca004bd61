package hightally.core.quantity;

/** What a number counts. The core computes in these alone; how they are shown is a setting. */
public enum Unit {
  NONE,
  /** At a trailing edge, of a rod, a hole, a chord. */
  MILLIMETRES,
  DEGREES,
  PERCENT,
  MICROSECONDS,
  SECONDS,
  GRAMS,
  VOLTS,
  NEWTON_CENTIMETRES,
  CLICKS,
  MILLIMETRES_PER_MILLIMETRE,
  DEGREES_PER_MICROSECOND
}
