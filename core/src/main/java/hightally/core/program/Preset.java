package hightally.core.program;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * A standing command of one surface: reflex, camber.
 *
 * @param surface its id
 * @param percent of nominal full travel, plus up or right
 */
public record Preset(
    @Text(max = 40) String surface,
    @Within(min = -150, max = 150, unit = Unit.PERCENT) double percent) {}
