package hightally.app.benchsetup;

import hightally.core.quantity.Said;
import java.time.Instant;
import java.util.List;

/**
 * An answer from a guided set-up, kept with its date.
 *
 * @param step which step
 * @param title what was asked
 * @param choice what was picked; empty where figures were read
 * @param values the figures, in the step's order
 * @param revisionNumber the revision that was on the bench
 */
public record Measurement(
    String step,
    Said title,
    String choice,
    List<Double> values,
    int revisionNumber,
    Instant answeredAt) {
  /** The same told as what was seen in a look. */
  Measurement ofLook(Said seen) {
    return new Measurement(step, seen, "", List.of(), revisionNumber, answeredAt);
  }
}
