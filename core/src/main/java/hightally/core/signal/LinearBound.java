package hightally.core.signal;

/**
 * A command over a box of axes as a straight line in each of them, and how far from that it can be:
 * nowhere in the box is it further away than the error.
 *
 * @param base its value with every axis at the lower end of its stretch, percent
 * @param rises what each axis adds from its lower to its upper end, percent
 * @param error how far the command can be from the straight lines, percent
 * @param splitAxis where cutting the box in two makes the error smaller; -1 where there is none
 * @param splitAt the place on that axis
 */
public record LinearBound(
    double base, double[] rises, double error, int splitAxis, double splitAt) {
  /** The least it can be in the box. */
  double low() {
    double low = base - error;
    for (double rise : rises) {
      low += Math.min(0, rise);
    }
    return low;
  }

  /** The most it can be in the box. */
  double high() {
    double high = base + error;
    for (double rise : rises) {
      high += Math.max(0, rise);
    }
    return high;
  }
}
