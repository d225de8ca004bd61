package hightally.core.channel;

import hightally.core.quantity.Within;

/**
 * One socket of a receiver.
 *
 * @param number as printed on the receiver; some begin with 0
 * @param channel the channel it puts out
 * @param output what the socket speaks
 */
public record Socket(
    @Within(min = 0, max = 64) int number,
    @Within(min = 0, max = 64) int channel,
    SocketOutput output) {}
