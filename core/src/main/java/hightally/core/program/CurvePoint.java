package hightally.core.program;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/** A point of a curve, percent against percent. */
public record CurvePoint(
    @Within(min = -100, max = 100, unit = Unit.PERCENT) double x,
    @Within(min = -150, max = 150, unit = Unit.PERCENT) double y) {}
