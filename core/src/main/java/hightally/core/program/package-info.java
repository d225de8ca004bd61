/**
 * What a transmitter model is programmed with: conditions, flight phases, rates and expo, mixes,
 * differential, throttle curves, cut and timers. Each is a part by itself; what they come to
 * together is in {@code signal}.
 */
package hightally.core.program;
