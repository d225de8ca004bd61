/**
 * The transmitter's conventions, its channels with their endpoints, sub-trim and failsafe, and the
 * wiring from receiver to devices. What is put into a channel is in {@code program}.
 */
package hightally.core.channel;
