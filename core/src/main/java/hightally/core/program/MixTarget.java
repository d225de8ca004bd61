package hightally.core.program;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * What a mix moves.
 *
 * @param target id of a surface or motor
 * @param factor times the mix's value on the plus side of its source, sign included
 * @param factorMinus the same on the minus side; a mix with a curve has one factor for both
 */
public record MixTarget(
    @Text(max = 40) String target,
    @Within(min = -2, max = 2) double factor,
    @Within(min = -2, max = 2) double factorMinus) {
  /** The same on both sides. */
  public static MixTarget even(String target, double factor) {
    return new MixTarget(target, factor, factor);
  }

  /** Both together, of one target named twice. */
  public MixTarget and(MixTarget other) {
    return new MixTarget(target, factor + other.factor, factorMinus + other.factorMinus);
  }

  /** Whether it differs from side to side. */
  public boolean sided() {
    return factor != factorMinus;
  }
}
