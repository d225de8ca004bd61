/**
 * One servo arm, pushrod and horn: the planar four-bar between them, which holes give which throws,
 * and rods and their threads. It knows neither channels nor what the surface is for.
 */
package hightally.core.linkage;
