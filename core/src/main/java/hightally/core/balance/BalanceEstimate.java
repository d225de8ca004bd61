package hightally.core.balance;

import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What the described outline says of the balance: an estimate, never above the maker's figure.
 *
 * @param meanChordMm of the wing
 * @param leadingEdgeMm its leading edge, aft of the datum
 * @param neutralPointMm aft of the datum
 * @param wantedPercent where the wanted balance point lies on the mean chord
 * @param marginPercent how far that is ahead of the neutral point, in percent of the mean chord
 * @param words all of it in words
 */
public record BalanceEstimate(
    double meanChordMm,
    double leadingEdgeMm,
    double neutralPointMm,
    double wantedPercent,
    double marginPercent,
    Said words) {
  private static final double PERCENT = 100;

  /** What is left of the air's speed, squared, at a tail behind a wing. */
  private static final double TAIL_EFFICIENCY = 0.9;

  /** The estimate for a model; none where no wing is described. */
  public static Optional<BalanceEstimate> of(Setup setup) {
    List<Panel> wing = panels(setup, Set.of(PanelRole.WING));
    if (wing.stream().noneMatch(BalanceEstimate::hasArea)) {
      return Optional.empty();
    }
    List<Panel> behind = panels(setup, Set.of(PanelRole.TAIL, PanelRole.V_TAIL));
    List<Panel> ahead = panels(setup, Set.of(PanelRole.CANARD));
    List<Panel> tail = behind.isEmpty() ? ahead : behind;
    NeutralPoint point = NeutralPoint.of(wing, tail, TAIL_EFFICIENCY);
    MeanChord mean = MeanChord.of(wing);
    double datum = setup.balance().datumAftMm();
    double target = setup.balance().targetMm();
    double edge = mean.leadingEdgeAftMm() - datum;
    double wanted = percent(target, edge, mean.chordMm());
    double margin = point.marginPercent(target + datum);
    Said words =
        Said.of(
            "guide.balanceEstimate",
            "chord",
            Quantity.mm(mean.chordMm(), 0),
            "edge",
            Quantity.mm(edge, 0),
            "neutral",
            Quantity.mm(point.aftMm() - datum, 0),
            "wanted",
            Quantity.percent(wanted, 0),
            "margin",
            Quantity.percent(Math.abs(margin), 0),
            "ahead",
            margin >= 0);
    return Optional.of(
        new BalanceEstimate(mean.chordMm(), edge, point.aftMm() - datum, wanted, margin, words));
  }

  /** Where a balance point lies on the mean chord, percent. */
  double percent(double balanceMm) {
    return percent(balanceMm, leadingEdgeMm, meanChordMm);
  }

  private static double percent(double balanceMm, double edgeMm, double chordMm) {
    return PERCENT * (balanceMm - edgeMm) / chordMm;
  }

  private static List<Panel> panels(Setup setup, Set<PanelRole> roles) {
    return setup.airframe().panels().stream()
        .filter(one -> roles.contains(one.role()) && hasArea(one))
        .toList();
  }

  private static boolean hasArea(Panel panel) {
    return panel.root().rightMm() != panel.tip().rightMm();
  }
}
