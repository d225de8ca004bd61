package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import java.util.List;

/**
 * What the drawings are made from.
 *
 * @param kind the kind in the pilot's words
 * @param fuselage sections from nose to tail; may be empty for a bare wing
 * @param panels wings and tails, each side its own
 * @param motors none for a glider without one
 */
@Copyable
public record Airframe(
    @Text String kind, List<Section> fuselage, List<Panel> panels, List<Motor> motors) {
  public Airframe {
    fuselage = fuselage == null ? null : List.copyOf(fuselage);
    panels = panels == null ? null : List.copyOf(panels);
    motors = motors == null ? null : List.copyOf(motors);
  }

  /** A copy to change, part by part. */
  public AirframeCopy change() {
    return AirframeCopy.from(this);
  }

  /** The same airframe with other motors. */
  public Airframe withMotors(List<Motor> changed) {
    return change().motors(changed).done();
  }

  /** The same airframe with other panels. */
  public Airframe withPanels(List<Panel> changed) {
    return change().panels(changed).done();
  }
}
