package hightally.core.airframe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * Where a surface sits: along the trailing edge of a panel.
 *
 * @param panel id of the panel
 * @param from inner end, as a part of the panel's span from its root
 * @param to outer end, likewise
 */
public record Place(
    @Text String panel,
    @Within(min = 0, max = 1) double from,
    @Within(min = 0, max = 1) double to) {}
