/**
 * The parts of a model: panels, surfaces, servos, motors, packs and what was replaced of them. What
 * moves them is in {@code channel} and {@code program}; where it should balance is in {@code
 * balance}.
 */
package hightally.core.airframe;
