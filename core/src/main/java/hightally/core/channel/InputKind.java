package hightally.core.channel;

/** What a pilot can move on a transmitter besides the sticks. */
public enum InputKind {
  /** Stays where it is put: a lever, slider or knob. */
  LEVER,
  /** Has a few positions. */
  SWITCH
}
