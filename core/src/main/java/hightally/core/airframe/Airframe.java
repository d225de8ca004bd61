package hightally.core.airframe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * What the drawings are made from.
 *
 * @param kind the kind in the pilot's words
 * @param fuselage sections from nose to tail; may be empty for a bare wing
 * @param panels wings and tails, each side its own
 * @param propellerDiameterMm 0 for a model without a motor
 */
public record Airframe(
    @Text(label = "Kind of aircraft") String kind,
    List<Section> fuselage,
    List<Panel> panels,
    @Within(min = 0, max = 1000, unit = "mm", label = "Propeller diameter")
        double propellerDiameterMm) {
  public Airframe {
    fuselage = fuselage == null ? null : List.copyOf(fuselage);
    panels = panels == null ? null : List.copyOf(panels);
  }
}
