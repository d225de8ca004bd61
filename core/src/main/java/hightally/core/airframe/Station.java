package hightally.core.airframe;

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
    @Within(min = -500, max = 6000, unit = "mm", label = "Leading edge", hint = "aft of the nose")
        double aftMm,
    @Within(min = -5000, max = 5000, unit = "mm", label = "Sideways", hint = "plus right")
        double rightMm,
    @Within(min = -1500, max = 1500, unit = "mm", label = "Height", hint = "plus up") double upMm,
    @Within(min = 5, max = 2000, unit = "mm", label = "Chord") double chordMm) {}
