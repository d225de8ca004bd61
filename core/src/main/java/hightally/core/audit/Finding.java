package hightally.core.audit;

import hightally.core.edit.Mend;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Acceptance;
import hightally.core.setup.Notebook;
import java.util.List;

/**
 * Something the pilot should know about a setup.
 *
 * @param rule id of the rule that found it
 * @param severity how much it matters
 * @param surface id of the surface, or of the device, it is about
 * @param title what is so, in a few words
 * @param why why it matters in the air
 * @param measured the value found
 * @param limit the house value it was held against
 * @param unit of both
 * @param mends changes that may mend it, the smallest first, not tried yet; none where it is shown:
 *     those that were tried come with their own answer
 * @param acceptedBecause why the pilot lives with it; empty while it is open
 */
@Copyable
public record Finding(
    String rule,
    Severity severity,
    String surface,
    Said title,
    Said why,
    double measured,
    double limit,
    Unit unit,
    List<Mend> mends,
    String acceptedBecause) {
  /** A copy to change, part by part. */
  public FindingCopy change() {
    return FindingCopy.from(this);
  }

  /** The same finding to be shown: what may mend it is only offered once it was tried. */
  public Finding shown() {
    return change().mends(List.of()).done();
  }

  /** The same finding with the reason for which it was accepted, if it was. */
  Finding acceptedIn(Notebook notebook) {
    return notebook.accepted().stream()
        .filter(one -> one.rule().equals(rule) && one.subject().equals(surface))
        .findFirst()
        .map(this::accepted)
        .orElse(this);
  }

  private Finding accepted(Acceptance acceptance) {
    return change().acceptedBecause(acceptance.reason()).done();
  }

  /** How much a finding matters. */
  public enum Severity {
    /** Better mended before the model flies. */
    GROUNDS,
    /** Costs precision, torque or travel. */
    WARNS
  }
}
