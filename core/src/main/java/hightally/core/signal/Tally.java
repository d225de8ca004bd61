package hightally.core.signal;

import java.util.List;

/**
 * Everything that moves one surface at one moment, summing to where it stands.
 *
 * @param surface its id
 * @param lines in the order of {@link Contribution}; they sum to the three totals
 * @param percent command that would stand it there from neutral
 * @param degrees where it stands
 * @param mm where its trailing edge stands
 * @param plusLeftMm travel still to be had up (or right)
 * @param minusLeftMm travel still to be had down (or left), as a positive size
 */
public record Tally(
    String surface,
    List<TallyLine> lines,
    double percent,
    double degrees,
    double mm,
    double plusLeftMm,
    double minusLeftMm) {}
