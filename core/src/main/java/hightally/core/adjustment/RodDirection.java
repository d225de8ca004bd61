package hightally.core.adjustment;

/** What happens to a rod's length. */
public enum RodDirection {
  LENGTHEN,
  SHORTEN,
  LEAVE;

  /** The direction of a change of length. */
  public static RodDirection of(double changeMm) {
    if (changeMm == 0) {
      return LEAVE;
    }
    return changeMm > 0 ? LENGTHEN : SHORTEN;
  }
}
