/**
 * The compiled program: a moment of sticks and switches to commands, pulses and positions, with the
 * tally of what each comes from and how far it can go. It computes and explains; it never judges.
 */
package hightally.core.signal;
