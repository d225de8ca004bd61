package hightally.app.adjustment;

/**
 * What a gauge showed on the bench.
 *
 * @param surface id of the surface
 * @param mm trim in less trim zeroed, plus is up or right
 * @param choice what the pilot decided where ruler and arithmetic disagree
 */
public record Gauge(String surface, double mm, Choice choice) {
  /** What becomes of a reading that disagrees. */
  public enum Choice {
    /** Not decided; the work order waits for it where they disagree. */
    OPEN,
    /** A misreading: the arithmetic goes on alone. */
    ARITHMETIC,
    /**
     * The ruler is right: the rod is turned until the edge is at its mark, and the reading is
     * weighed with everything else that was seen.
     */
    RULER
  }
}
