package hightally.app.adjustment;

/**
 * What a gauge showed on the bench.
 *
 * @param surface id of the surface
 * @param mm trim in less trim zeroed, plus is up or right
 * @param choice what the pilot decided where ruler and arithmetic disagree
 */
public record Gauge(String surface, double mm, Choice choice) {
  /** Which of the two is believed. */
  public enum Choice {
    /** Not decided; the work order waits for it where they disagree. */
    OPEN,
    /** The arithmetic: the reading was wrong. */
    ARITHMETIC,
    /** The ruler: the lever arm is corrected until the arithmetic says the same. */
    RULER
  }
}
