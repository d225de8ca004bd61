package hightally.core.adjustment;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * What came of turning a rod: how much was turned, and how the trailing edge stands to its mark.
 *
 * @param surface id of the surface
 * @param steps whole steps of its end that were made, plus longer
 * @param offMm where the edge stands against the mark, plus is up or right; 0 at the mark
 */
public record MarkSeen(
    @Text(max = 40) String surface,
    @Within(min = -200, max = 200) long steps,
    @Within(min = -50, max = 50, unit = Unit.MILLIMETRES) double offMm) {}
