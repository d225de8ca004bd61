/**
 * Channel maps drawn up, moved to another transmitter or shared on Y-leads, and the wiring sheet.
 * What a channel map is made of is in {@code channel}.
 */
package hightally.core.wiring;
