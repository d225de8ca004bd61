package hightally.core.adjustment;

/** What happens to a rod's length. */
public enum RodDirection {
  LENGTHEN,
  SHORTEN,
  NONE;

  /** Less than this is rounding. */
  private static final double NOTHING_MM = 1e-9;

  /** The direction of a change of length. */
  public static RodDirection of(double changeMm) {
    if (Math.abs(changeMm) < NOTHING_MM) {
      return NONE;
    }
    return changeMm > 0 ? LENGTHEN : SHORTEN;
  }
}
