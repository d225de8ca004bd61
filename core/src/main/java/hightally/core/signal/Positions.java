package hightally.core.signal;

/**
 * Where everything stands at one moment, in the order of the setup's lists. The arrays are the
 * caller's own; nothing else holds them.
 *
 * @param commandPercent per channel
 * @param pulseMicroseconds per channel
 * @param armDegrees per servo
 * @param surfaceDegrees per surface
 * @param travelMm per surface, at the trailing edge
 */
public record Positions(
    double[] commandPercent,
    double[] pulseMicroseconds,
    double[] armDegrees,
    double[] surfaceDegrees,
    double[] travelMm) {}
