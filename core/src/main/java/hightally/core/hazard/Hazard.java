package hightally.core.hazard;

import hightally.core.edit.Mend;
import hightally.core.quantity.Said;
import hightally.core.setup.Notebook;
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
 * @param mends changes that mend it, the smallest first; empty where it needs thought
 * @param acceptedBecause why the pilot lives with it; empty while it is open
 */
public record Hazard(
    HazardKind kind,
    String subject,
    Said words,
    Said why,
    List<Said> way,
    List<Moment> moments,
    List<Mend> mends,
    String acceptedBecause) {

  /** The same hazard with the reason for which it was accepted, if it was. */
  Hazard acceptedIn(Notebook notebook) {
    String reason =
        notebook.accepted().stream()
            .filter(one -> one.rule().equals(kind.name()) && one.subject().equals(subject))
            .findFirst()
            .map(one -> one.reason())
            .orElse("");
    return new Hazard(kind, subject, words, why, way, moments, mends, reason);
  }
}
