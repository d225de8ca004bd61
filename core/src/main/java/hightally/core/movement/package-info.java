/**
 * What sticks, levers, mixes and phases do to each surface in millimetres, and the percent behind
 * millimetres that are typed. Positions come from {@code signal}; this asks for them and works
 * backwards.
 */
package hightally.core.movement;
