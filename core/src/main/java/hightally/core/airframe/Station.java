package hightally.core.airframe;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * One end of a flat panel.
 *
 * @param aftMm leading edge, aft of the nose
 * @param rightMm right of the centre line
 * @param upMm above the fuselage's reference line
 * @param chordMm leading edge to trailing edge
 */
public record Station(
    @Within(min = -500, max = 6000, unit = Unit.MILLIMETRES) double aftMm,
    @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double rightMm,
    @Within(min = -1500, max = 1500, unit = Unit.MILLIMETRES) double upMm,
    @Within(min = 5, max = 2000, unit = Unit.MILLIMETRES) double chordMm) {}
