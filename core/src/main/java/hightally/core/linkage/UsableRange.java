package hightally.core.linkage;

/**
 * What a linkage can do around its centre, in degrees of the arm.
 *
 * @param from first arm angle below 0 where it locks or the surface turns back, or -120
 * @param to the same above 0, or +120
 * @param reachFrom where it locks below 0, or -120: past dead centre it still moves, past here not
 * @param reachTo the same above 0
 */
public record UsableRange(double from, double to, double reachFrom, double reachTo) {
  /** How far from centre the search looks, degrees: further than any servo arm turns. */
  public static final double SEARCH_LIMIT_DEGREES = 120;
}
