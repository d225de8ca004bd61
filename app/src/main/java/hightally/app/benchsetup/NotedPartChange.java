package hightally.app.benchsetup;

import hightally.core.airframe.PartChange;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * A part that was changed, with what must be done again.
 *
 * @param revisionNumber the revision the model was at
 * @param changedAt when it was noted
 * @param changedOn the day it was done
 */
public record NotedPartChange(
    long id,
    int revisionNumber,
    PartChange change,
    List<Check> checks,
    Instant changedAt,
    LocalDate changedOn) {
  /** One check that was voided, and whether it has been done again. */
  public record Check(PartChange.Voided voided, boolean done) {}
}
