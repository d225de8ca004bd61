package hightally.core.balance;

import hightally.core.airframe.Panel;
import hightally.core.airframe.Station;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * The mean chord of some panels: the chord of the rectangle that pitches as they do. Trapezium
 * integrals along each panel.
 *
 * @param areaMm2 of all panels, along their surface
 * @param chordMm Σ∫c² / ΣS
 * @param leadingEdgeAftMm where its leading edge lies, aft of the nose
 */
public record MeanChord(double areaMm2, double chordMm, double leadingEdgeAftMm) {
  /** A quarter of it behind its leading edge, mm aft of the nose. */
  public double quarterAftMm() {
    return leadingEdgeAftMm + chordMm / 4;
  }

  /** The mean chord of panels, each counting by its area. */
  public static MeanChord of(List<Panel> panels) {
    return of(panels, panel -> 1);
  }

  /** How much a panel counts. */
  interface Weight {
    double of(Panel panel);
  }

  static MeanChord of(List<Panel> panels, Weight weight) {
    double area = 0;
    double squares = 0;
    double moments = 0;
    for (Panel panel : panels) {
      Station root = panel.root();
      Station tip = panel.tip();
      double length = weight.of(panel) * lengthMm(panel);
      double c = root.chordMm();
      double d = tip.chordMm();
      double x = root.aftMm();
      double y = tip.aftMm();
      area += length * (c + d) / 2;
      squares += length * (c * c + c * d + d * d) / 3;
      moments += length * (x * c / 3 + (x * d + y * c) / 6 + y * d / 3);
    }
    if (!(area > 0)) {
      throw InvalidInputException.of("panels", area, Said.of("demand.panelsWithArea"));
    }
    return new MeanChord(area, squares / area, moments / area);
  }

  /** Along the panel, dihedral included. */
  static double lengthMm(Panel panel) {
    return Math.hypot(
        panel.tip().rightMm() - panel.root().rightMm(), panel.tip().upMm() - panel.root().upMm());
  }
}
