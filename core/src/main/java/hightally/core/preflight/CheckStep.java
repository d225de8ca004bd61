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
 */
public record CheckStep(
    String id, Said title, Said words, List<Said> lines, Said caution, boolean counted) {
  public CheckStep {
    lines = List.copyOf(lines);
  }
}
