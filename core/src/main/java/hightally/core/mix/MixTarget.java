package hightally.core.mix;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * What a mix moves.
 *
 * @param target id of a surface or motor
 * @param factor times the mix's value, sign included
 */
public record MixTarget(@Text(max = 40) String target, @Within(min = -2, max = 2) double factor) {}
