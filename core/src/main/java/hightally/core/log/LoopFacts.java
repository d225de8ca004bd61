package hightally.core.log;

import hightally.core.phase.Trims;
import hightally.core.quantity.Said;
import java.util.List;
import java.util.Optional;

/**
 * What decides where a model stands.
 *
 * @param surfaces how many surfaces are described
 * @param revision its newest revision
 * @param fromAdjustment whether that revision came from an adjustment
 * @param flightsOnRevision flights flown on it
 * @param latestTrims trims of the newest flight on it, if there is one
 * @param grounds what keeps it on the ground, in words; empty for nothing
 * @param openAdjustment whether a work order is begun and not closed
 * @param leaveClicks so few clicks may stay in the transmitter
 */
public record LoopFacts(
    int surfaces,
    int revision,
    boolean fromAdjustment,
    int flightsOnRevision,
    Optional<Trims> latestTrims,
    List<Said> grounds,
    boolean openAdjustment,
    int leaveClicks) {}
