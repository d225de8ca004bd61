package hightally.core.probe;

import hightally.core.quantity.Absentable;
import java.util.List;

/**
 * Where the search stands after some answers.
 *
 * @param next what is looked at next; null once nothing is
 * @param mend what is changed; null while something is looked at
 * @param contrary ids of two looks whose answers do not go together, the one to be asked again in
 *     front; of one that fits no rig by itself
 * @param open looks that could still show something else
 */
public record ProbeStanding(
    ProbeStage stage,
    @Absentable Look next,
    @Absentable ProbeMend mend,
    List<String> contrary,
    int open) {
  public ProbeStanding {
    contrary = List.copyOf(contrary);
  }
}
