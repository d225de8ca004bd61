package hightally.core.hazard;

import hightally.core.quantity.Said;
import hightally.core.signal.Moment;
import java.util.List;

/**
 * Something a pilot would only find in the air.
 *
 * @param kind what sort
 * @param subject id of what it is about; empty for the whole model
 * @param words what happens, with figures
 * @param why why it matters
 * @param way which switch and which stick, step by step
 * @param moments to be shown on the bench, in order; empty where nothing moves
 */
public record Hazard(
    HazardKind kind, String subject, Said words, Said why, List<Said> way, List<Moment> moments) {}
