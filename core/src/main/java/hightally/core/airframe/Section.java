package hightally.core.airframe;

import hightally.core.quantity.Within;

/** A cross section of the fuselage, for drawing. */
public record Section(
    @Within(min = -500, max = 6000, unit = "mm", label = "Station", hint = "aft of the nose")
        double aftMm,
    @Within(min = 0, max = 1000, unit = "mm", label = "Half width") double halfWidthMm,
    @Within(min = -1500, max = 1500, unit = "mm", label = "Underside") double bottomMm,
    @Within(min = -1500, max = 1500, unit = "mm", label = "Top") double topMm) {}
