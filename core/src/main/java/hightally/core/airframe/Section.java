package hightally.core.airframe;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/** A cross section of the fuselage, for drawing. */
public record Section(
    @Within(min = -500, max = 6000, unit = Unit.MILLIMETRES) double aftMm,
    @Within(min = 0, max = 1000, unit = Unit.MILLIMETRES) double halfWidthMm,
    @Within(min = -1500, max = 1500, unit = Unit.MILLIMETRES) double bottomMm,
    @Within(min = -1500, max = 1500, unit = Unit.MILLIMETRES) double topMm) {}
