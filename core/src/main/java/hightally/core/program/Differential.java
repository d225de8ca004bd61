package hightally.core.program;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * Differential of one surface's roll share.
 *
 * @param surface its id
 * @param percent plus makes the down-going side smaller, minus the up-going one
 */
public record Differential(
    @Text(max = 40) String surface,
    @Within(min = -100, max = 100, unit = Unit.PERCENT) double percent) {}
