package hightally.core.channel;

/** What a transmitter's sub-trim does to the ends of travel. */
public enum SubTrimMode {
  /** The whole travel moves with the centre. */
  SHIFT,
  /** The ends stay where they are when the centre moves. */
  FIXED_ENDS
}
