package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;

/**
 * A flat piece of wing or tail between two stations; drawn, and carrying surfaces.
 *
 * @param role what it is
 * @param pair id of the panel that mirrors it on the other side; empty for none
 */
@Copyable
public record Panel(
    @Text(max = 40, pattern = Surface.ID_PATTERN) String id,
    @Text String name,
    Station root,
    Station tip,
    PanelRole role,
    @Text(min = 0, max = 40) String pair) {
  /** A copy to change, part by part. */
  public PanelCopy change() {
    return PanelCopy.from(this);
  }

  /** The same panel mirrored by another one, or by none. */
  public Panel inPairWith(String other) {
    return change().pair(other).done();
  }
}
