package hightally.app.preflight;

import hightally.core.preflight.CheckAnswer;
import hightally.core.preflight.CheckKind;
import hightally.core.preflight.CheckState;
import hightally.core.preflight.CheckStep;
import hightally.core.quantity.Absentable;
import java.time.Instant;
import java.util.List;

/**
 * A check with its steps and what was found.
 *
 * @param id its number; 0 before it is begun
 * @param pack the pack that was in; empty where none was chosen
 * @param state whether it is open, done or broken off
 * @param steps made from the revision it was begun on
 * @param judged how far it has come and what it says
 */
public record CheckRun(
    long id,
    int revisionNumber,
    CheckKind kind,
    String pack,
    Stage state,
    List<CheckStep> steps,
    List<CheckAnswer> answers,
    CheckState judged,
    Instant createdAt,
    @Absentable Instant closedAt,
    int version) {
  /** How far a check has come. */
  public enum Stage {
    OPEN,
    DONE,
    BROKEN_OFF
  }
}
