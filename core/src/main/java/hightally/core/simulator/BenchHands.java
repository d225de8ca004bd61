package hightally.core.simulator;

import hightally.core.signal.Moment;

/**
 * What happens to the simulated bench.
 *
 * @param moment sticks, levers, switches; link and voltage as they are set
 * @param linkLost whether the simulated receiver hears nothing
 */
public record BenchHands(Moment moment, boolean linkLost) {}
