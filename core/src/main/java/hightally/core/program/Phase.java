package hightally.core.program;

import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * A flight phase. Of those whose condition is true the first in the list is on; the last has no
 * condition and is on when no other is.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param goal what it is flown for, in the pilot's words
 * @param role what it is for
 * @param when id of its condition; empty for the last
 * @param fadeSeconds how long its values take to come in
 * @param presets standing commands in it
 * @param differential of surfaces in it
 * @param ownRoll whether it has a roll trim of its own
 * @param ownPitch whether it has a pitch trim of its own
 * @param ownYaw whether it has a yaw trim of its own
 * @param trims its own trims; those of common controls are 0
 * @param nose what the nose was seen to do when it came on
 */
@Copyable
public record Phase(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text(max = 40) String name,
    @Text(min = 0, max = 300) String goal,
    PhaseRole role,
    @Text(min = 0, max = 40) String when,
    @Within(min = 0, max = 10, unit = Unit.SECONDS) double fadeSeconds,
    List<Preset> presets,
    List<Differential> differential,
    boolean ownRoll,
    boolean ownPitch,
    boolean ownYaw,
    Trims trims,
    NoseNote nose) {
  public Phase {
    presets = presets == null ? null : List.copyOf(presets);
    differential = differential == null ? null : List.copyOf(differential);
  }

  /** A copy to change, part by part. */
  public PhaseCopy change() {
    return PhaseCopy.from(this);
  }

  /** Whether a control has a trim of its own here. */
  public boolean own(Control control) {
    return switch (control) {
      case ROLL -> ownRoll;
      case PITCH -> ownPitch;
      case YAW -> ownYaw;
    };
  }

  /** The trims that are in effect here. */
  public Trims effective(Trims common) {
    return new Trims(
        ownRoll ? trims.roll() : common.roll(),
        ownPitch ? trims.pitch() : common.pitch(),
        ownYaw ? trims.yaw() : common.yaw());
  }

  /** Standing command of a surface, percent. */
  public double presetPercent(String surface) {
    return presets.stream()
        .filter(preset -> preset.surface().equals(surface))
        .mapToDouble(Preset::percent)
        .sum();
  }

  /** Differential of a surface, as a fraction. */
  public double differential(String surface) {
    return differential.stream()
            .filter(one -> one.surface().equals(surface))
            .mapToDouble(Differential::percent)
            .sum()
        / 100;
  }

  /** The same phase fading in over another time. */
  public Phase fading(double changedSeconds) {
    return change().fadeSeconds(changedSeconds).done();
  }

  /** The same phase with other presets. */
  public Phase withPresets(List<Preset> changed) {
    return change().presets(changed).done();
  }

  /** The same phase with other trims of its own. */
  public Phase withTrims(Trims changed) {
    return change().trims(changed).done();
  }

  /** The same phase with other differential. */
  public Phase withDifferential(List<Differential> changed) {
    return change().differential(changed).done();
  }
}
