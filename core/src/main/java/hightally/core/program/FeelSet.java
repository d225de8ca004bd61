package hightally.core.program;

import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import java.util.List;

/**
 * Rates and expo for some controls while a condition is true. Of the sets that are on, the first
 * that has a control decides it; where none does, the model's plain feel does.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param when id of its condition; empty for always
 * @param phases ids of the phases it acts in; empty for all
 * @param hasRoll whether it decides roll
 * @param hasPitch whether it decides pitch
 * @param hasYaw whether it decides yaw
 * @param feel the responses
 */
@Copyable
public record FeelSet(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text String name,
    @Text(min = 0, max = 40) String when,
    List<String> phases,
    boolean hasRoll,
    boolean hasPitch,
    boolean hasYaw,
    Feel feel) {
  public FeelSet {
    phases = phases == null ? null : List.copyOf(phases);
  }

  /** A copy to change, part by part. */
  public FeelSetCopy change() {
    return FeelSetCopy.from(this);
  }

  /** The same set, acting at other times. */
  public FeelSet acting(String changedWhen, List<String> changedPhases) {
    return change().when(changedWhen).phases(changedPhases).done();
  }

  /** The same set with another feel. */
  public FeelSet withFeel(Feel changed) {
    return change().feel(changed).done();
  }

  /** Whether it decides a control. */
  public boolean has(Control control) {
    return switch (control) {
      case ROLL -> hasRoll;
      case PITCH -> hasPitch;
      case YAW -> hasYaw;
    };
  }
}
