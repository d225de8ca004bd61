package hightally.core.airframe;

/** Which half of the aircraft something belongs to, seen by its pilot. */
public enum Side {
  LEFT,
  CENTRE,
  RIGHT;

  /** The side across from this one. */
  public Side other() {
    return this == LEFT ? RIGHT : this == RIGHT ? LEFT : CENTRE;
  }
}
