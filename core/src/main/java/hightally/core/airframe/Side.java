package hightally.core.airframe;

/** Which half of the aircraft something belongs to, seen by its pilot. */
public enum Side {
  LEFT,
  CENTRE,
  RIGHT
}
