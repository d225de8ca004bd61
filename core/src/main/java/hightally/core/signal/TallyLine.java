package hightally.core.signal;

/** One line of the tally: what it adds when the lines above it are already in. */
public record TallyLine(
    Contribution contribution, String label, double percent, double degrees, double mm) {}
