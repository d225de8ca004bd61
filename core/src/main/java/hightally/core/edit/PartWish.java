package hightally.core.edit;

import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.SurfaceRole;
import hightally.core.quantity.Text;

/**
 * A part to add to a model.
 *
 * @param kind what sort of part
 * @param name the pilot's name for it; of a pair, for the left one
 * @param rightName of a pair, the name of the right one; else empty
 * @param role what it is for, where it is a surface
 * @param panel what it is, where it is a panel
 * @param side which half; both for a mirrored pair
 * @param at id of the panel it sits on, or of the surface whose horn drives it
 */
public record PartWish(
    NewPartKind kind,
    @Text String name,
    @Text(min = 0) String rightName,
    SurfaceRole role,
    PanelRole panel,
    Side side,
    boolean mirrored,
    @Text(min = 0, max = 40) String at) {

  /** Sorts of parts. */
  public enum NewPartKind {
    /** A surface with a servo, a channel and a lead of its own. */
    SURFACE,
    /** A surface on a slave rod from another one's horn. */
    SLAVE_SURFACE,
    /** A wing or tail panel. */
    PANEL,
    /** A motor with its own channel. */
    MOTOR,
    /** A channel that only follows a lever or switch: retracts, wheel brake, release. */
    SIMPLE_CHANNEL
  }
}
