package hightally.core.quantity;

/** The three controls of a stick pair; plus is right wing down, nose up, nose right. */
public enum Control {
  ROLL,
  PITCH,
  YAW
}
