package hightally.core.quantity;

/** Which way a trailing edge, a tyre or a swinging wing goes. */
public enum Way {
  UP,
  DOWN,
  RIGHT,
  LEFT,
  AFT,
  FORWARD;

  /** The opposite one. */
  public Way back() {
    return switch (this) {
      case UP -> DOWN;
      case DOWN -> UP;
      case RIGHT -> LEFT;
      case LEFT -> RIGHT;
      case AFT -> FORWARD;
      case FORWARD -> AFT;
    };
  }
}
