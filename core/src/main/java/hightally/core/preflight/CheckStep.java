package hightally.core.preflight;

import hightally.core.quantity.Said;
import java.util.List;

/**
 * One step of a check, made from the model.
 *
 * @param id of the step, the same for the same model
 * @param title what it is about, in a few words
 * @param words what to do
 * @param lines what is to be seen, a line each
 * @param caution where it can hurt; empty where it cannot
 * @param counted whether fades, lost frames and holds are noted
 * @param concern what an answer says something about
 */
public record CheckStep(
    String id,
    Said title,
    Said words,
    List<Said> lines,
    Said caution,
    boolean counted,
    Concern concern) {
  /** What an answer says something about. */
  public enum Concern {
    /** The day: weather, pilot, what was done for this flight. */
    DAY,
    /** The model: what was seen wrong stays so until it is seen right. */
    MODEL,
    /** Where the model balances. */
    BALANCE
  }

  /** Whether what was seen wrong stays so, whatever day it is. */
  public boolean lasting() {
    return concern == Concern.MODEL;
  }

  public CheckStep {
    lines = List.copyOf(lines);
  }
}
