package hightally.core.signal;

import hightally.core.quantity.Said;

/** One line of the tally: what it adds when the lines above it are already in. */
public record TallyLine(
    Contribution contribution, Said label, double percent, double degrees, double mm) {}
