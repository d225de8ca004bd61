package hightally.core.benchsetup;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * What the pilot answered at a step.
 *
 * @param step its id
 * @param choice id of the choice; empty where figures were asked
 * @param values the figures, in the step's order
 */
public record StepAnswer(
    @Text(max = 120) String step,
    @Text(min = 0, max = 40) String choice,
    @Within(min = -600, max = 600) List<Double> values) {
  public StepAnswer {
    values = values == null ? null : List.copyOf(values);
  }
}
