package hightally.core.balance;

import hightally.core.airframe.Panel;
import java.util.List;

/**
 * Where a model stops being stable in pitch, estimated from its outline: Helmbold's slope for wings
 * of any aspect ratio, the downwash of an elliptic wing far behind it. An estimate, never above the
 * maker's figure.
 *
 * @param wingSlope lift coefficient per radian
 * @param tailSlope likewise; null without a tail
 * @param downwashSlope how much of a change of angle the one ahead takes from the one behind it;
 *     null without a tail
 * @param aftMm the neutral point, aft of the nose
 * @param meanChordMm of the wing
 */
public record NeutralPoint(
    double wingSlope, Double tailSlope, Double downwashSlope, double aftMm, double meanChordMm) {
  private static final double MOST_DOWNWASH = 0.9;

  /** A group of panels as one lifting surface. */
  private record Group(double area, double centre, double span, double slope) {
    static Group of(List<Panel> panels) {
      MeanChord mean = MeanChord.of(panels, Group::weight);
      double left = Double.POSITIVE_INFINITY;
      double right = Double.NEGATIVE_INFINITY;
      for (Panel panel : panels) {
        left = Math.min(left, Math.min(panel.root().rightMm(), panel.tip().rightMm()));
        right = Math.max(right, Math.max(panel.root().rightMm(), panel.tip().rightMm()));
      }
      double span = right - left;
      double aspect = span * span / mean.areaMm2();
      double slope = 2 * Math.PI * aspect / (2 + Math.sqrt(4 + aspect * aspect));
      return new Group(mean.areaMm2(), mean.quarterAftMm(), span, slope);
    }

    /** Dihedral: the square of its cosine, once for the angle and once for the lift. */
    private static double weight(Panel panel) {
      double across = panel.tip().rightMm() - panel.root().rightMm();
      double length = MeanChord.lengthMm(panel);
      double cosine = length == 0 ? 0 : across / length;
      return cosine * cosine;
    }

    double aspect() {
      return span * span / area;
    }

    /** How far what is far behind it feels its downwash. */
    double downwash() {
      return Math.min(MOST_DOWNWASH, 2 * slope / (Math.PI * aspect()));
    }
  }

  /**
   * The neutral point of a wing and a tail.
   *
   * @param tail behind the wing, or ahead of it; empty for none
   * @param tailEfficiency what is left of the air's speed at a tail behind, 0 to 1
   */
  public static NeutralPoint of(List<Panel> wing, List<Panel> tail, double tailEfficiency) {
    Group main = Group.of(wing);
    double chord = MeanChord.of(wing).chordMm();
    if (tail.isEmpty()) {
      return new NeutralPoint(main.slope(), null, null, main.centre(), chord);
    }
    Group other = Group.of(tail);
    boolean behind = other.centre() > main.centre();
    double downwash = behind ? main.downwash() : other.downwash();
    double covered = Math.min(1, other.span() / main.span());
    double wingCounts = behind ? 1 : 1 - downwash * covered;
    double tailCounts = behind ? (1 - downwash) * tailEfficiency : 1;
    double mainLift = main.slope() * main.area() * wingCounts;
    double otherLift = other.slope() * other.area() * tailCounts;
    double aft = (main.centre() * mainLift + other.centre() * otherLift) / (mainLift + otherLift);
    return new NeutralPoint(main.slope(), other.slope(), downwash, aft, chord);
  }

  /** How far ahead of it a model balances, in percent of the wing's mean chord. */
  public double marginPercent(double balanceAftMm) {
    return 100 * (aftMm - balanceAftMm) / meanChordMm;
  }
}
