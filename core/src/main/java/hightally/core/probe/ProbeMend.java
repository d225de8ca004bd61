package hightally.core.probe;

import java.util.List;

/**
 * The smallest change that makes rig, description and wish one.
 *
 * @param changes what is done at the transmitter or the model; none where only the description is
 *     wrong
 * @param notes what the description says otherwise afterwards, so that it tells the rig as it then
 *     is
 */
public record ProbeMend(List<RigDifference> changes, List<RigDifference> notes) {
  public ProbeMend {
    changes = List.copyOf(changes);
    notes = List.copyOf(notes);
  }
}
