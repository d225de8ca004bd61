package hightally.core.quantity;

/**
 * Turns of a rod's end, in sixths, so that halves and sixths stay whole; plus is out, the rod
 * longer. Told without a sign.
 */
public record Turns(long sixths) {}
