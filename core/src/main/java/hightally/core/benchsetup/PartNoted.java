package hightally.core.benchsetup;

import hightally.core.airframe.PartChange;
import java.time.Instant;

/**
 * A part that was changed on a model.
 *
 * @param at when it was noted
 */
public record PartNoted(PartChange change, Instant at) {}
