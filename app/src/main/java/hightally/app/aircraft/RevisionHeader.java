package hightally.app.aircraft;

import java.time.Instant;

/**
 * A saved setup without the setup itself.
 *
 * @param number counted from 1 for each aircraft
 * @param reason why it was saved
 * @param fromAdjustment whether it is the result of moving trims into the linkages
 * @param corrects whether it only corrects the description from what a flight has taught
 * @param trimsHoldSince number of the first revision whose trims mean the same as this one's
 * @param restored whether it went back to an earlier one
 * @param flewWell whether the pilot marked it so
 */
public record RevisionHeader(
    int number,
    String reason,
    boolean fromAdjustment,
    boolean corrects,
    int trimsHoldSince,
    Instant createdAt,
    boolean restored,
    boolean flewWell) {}
