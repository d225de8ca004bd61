package hightally.core.setup;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/** Throws wanted of a surface at the largest rate, each as a positive size. */
public record ThrowGoal(
    @Text(max = 40) String surface,
    @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double plusMm,
    @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double minusMm) {}
