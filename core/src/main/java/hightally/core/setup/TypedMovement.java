package hightally.core.setup;

import hightally.core.program.Trims;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * A movement the pilot typed in millimetres or degrees, and the percent it came to. Once the
 * percent stands at another figure it was changed by hand, and this says nothing any more.
 *
 * @param kind what was typed
 * @param subject id of the phase, mix or set of rates it belongs to; empty for the plain rates
 * @param surface id of the surface it was typed for
 * @param plusSide whether it is what the plus side of the stick or source brings
 * @param value what was typed, plus up or right
 * @param unit millimetres or degrees
 * @param percent what it came to
 * @param trims those in effect when it was typed, clicks: later trims change nothing of it
 * @param stood where it was typed; null for one of a file older than format 9
 */
public record TypedMovement(
    Kind kind,
    @Text(min = 0, max = 40) String subject,
    @Text(max = 40) String surface,
    boolean plusSide,
    @Within(min = -600, max = 600, unit = Unit.NONE) double value,
    Unit unit,
    @Within(min = -10_000, max = 10_000, unit = Unit.PERCENT) double percent,
    Trims trims,
    @Absentable TypedStand stood) {

  /** What can be typed as a movement. */
  public enum Kind {
    /** What a phase's preset adds to a surface. */
    PRESET,
    /** How far full roll brings a surface from rest. */
    RATE_ROLL,
    /** How far full pitch brings a surface from rest. */
    RATE_PITCH,
    /** How far full yaw brings a surface from rest. */
    RATE_YAW,
    /** How far full roll brings a surface down in a phase, from rest. */
    DIFFERENTIAL,
    /** What a mix adds to a surface at the end of its source. */
    MIX;

    /** Whether its direction is the linkage's own and only its size is typed. */
    public boolean sized() {
      return this != PRESET && this != MIX;
    }
  }

  /** Whether it is about the same figure as another. */
  public boolean sameAs(TypedMovement other) {
    return kind == other.kind
        && subject.equals(other.subject)
        && surface.equals(other.surface)
        && plusSide == other.plusSide;
  }
}
