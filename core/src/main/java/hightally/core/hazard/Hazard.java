package hightally.core.hazard;

import hightally.core.edit.Mend;
import hightally.core.quantity.Copyable;
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
 * @param showing how they are shown
 * @param size how large it is, in the unit of its words; 1 where it is or is not
 * @param mends changes that may mend it, the smallest first, not tried yet; none where it is shown
 * @param acceptedBecause why the pilot lives with it; empty while it is open
 */
@Copyable
public record Hazard(
    HazardKind kind,
    String subject,
    Said words,
    Said why,
    List<Said> way,
    List<Moment> moments,
    Showing showing,
    double size,
    List<Mend> mends,
    String acceptedBecause) {
  /** A copy to change, part by part. */
  public HazardCopy change() {
    return HazardCopy.from(this);
  }

  /**
   * How a hazard is shown on the bench so that it is seen to happen.
   *
   * @param leadIn what comes before: the cut released with the throttle closed, where that is
   *     needed
   * @param seconds how long each moment stands: until all that fades or is slowed has arrived
   * @param linkLost whether the link is lost in the end
   */
  public record Showing(List<Moment> leadIn, double seconds, boolean linkLost) {}

  /** The same hazard to be shown: what may mend it is only offered once it was tried. */
  Hazard shown() {
    return change().mends(List.of()).done();
  }

  /** The same hazard with the reason for which it was accepted, if it was. */
  Hazard acceptedIn(Notebook notebook) {
    String reason =
        notebook.accepted().stream()
            .filter(one -> one.rule().equals(kind.name()) && one.subject().equals(subject))
            .findFirst()
            .map(one -> one.reason())
            .orElse("");
    return change().acceptedBecause(reason).done();
  }
}
