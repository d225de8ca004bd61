package hightally.core.channel;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * What a pilot's transmitter calls something, where it is found, and in which unit it is typed. The
 * order of a transmitter's words is the order of its entry sheet.
 *
 * @param name the transmitter's own name for it
 * @param menu where it is found
 * @param unit its own unit; empty for the one the design uses
 * @param perUnit how many of its units make one of the design's
 */
public record EntryWord(
    EntrySection section,
    @Text(max = 60) String name,
    @Text(min = 0, max = 120) String menu,
    @Text(min = 0, max = 20) String unit,
    @Within(min = 0.001, max = 1000) double perUnit) {}
