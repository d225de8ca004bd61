package hightally.core.airframe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * How much of a lever or switch a surface takes.
 *
 * @param input id of the transmitter's lever or switch; at rest it is 0, at its other end 1
 * @param share 1 is full nominal travel at the far end, plus up or right; minus turns it round
 */
public record LeverShare(@Text(max = 40) String input, @Within(min = -2, max = 2) double share) {}
