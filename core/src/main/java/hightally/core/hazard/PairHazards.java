package hightally.core.hazard;

import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Spans;
import hightally.core.signal.Stretch;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * With roll and yaw centred and no trim in, a pair moves equally in every phase, at every pitch and
 * lever.
 */
final class PairHazards {
  private static final double SHARE_OF_TRAVEL = 0.1;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final List<int[]> pairs = new ArrayList<>();
  private final double[] neutral;
  private final Set<List<Object>> seen = new HashSet<>();
  private long evaluated;

  PairHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    int base = setup.phases().size() - 1;
    neutral = path.evaluateTrimmed(Moment.centred(Trims.ZERO), base, Trims.ZERO).travelMm();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface left = setup.surfaces().get(i);
      if (left.side() == Side.LEFT && setup.pairOf(left).isPresent()) {
        pairs.add(new int[] {i, path.indexOf(left.pair())});
      }
    }
  }

  long evaluated() {
    return evaluated;
  }

  void look(Moment at, Stretch stretch, Spans spans) {
    if (pairs.isEmpty() || !seen.add(spans.withoutRollAndYaw())) {
      return;
    }
    for (int[] pair : pairs) {
      Set<Integer> axes = new TreeSet<>();
      for (int surface : pair) {
        if (path.carriedBehind(surface) >= 0) {
          axes.addAll(path.program().hangs(path.carriedBehind(surface)).axes());
        }
      }
      axes.remove(Control.ROLL.ordinal());
      axes.remove(Control.YAW.ordinal());
      Furthest furthest = search.furthest(axes, stretch);
      Furthest.Found found =
          furthest.of(
              at,
              place ->
                  apart(path.evaluateTrimmed(place, spans.phase(), Trims.ZERO), pair[0], pair[1]),
              Double.POSITIVE_INFINITY);
      evaluated += furthest.tried();
      compare(
          found.at(),
          path.evaluateTrimmed(found.at(), spans.phase(), Trims.ZERO),
          pair[0],
          pair[1]);
    }
  }

  /** How much further apart than a ruler forgives, mm. */
  private double apart(Positions positions, int left, int right) {
    double one = positions.travelMm()[left] - neutral[left];
    double two = positions.travelMm()[right] - neutral[right];
    double travel = Math.max(Math.abs(one), Math.abs(two));
    return Math.abs(one - two) - Math.max(setup.house().pairMm(), SHARE_OF_TRAVEL * travel);
  }

  private void compare(Moment at, Positions positions, int left, int right) {
    double one = positions.travelMm()[left] - neutral[left];
    double two = positions.travelMm()[right] - neutral[right];
    double apart = Math.abs(one - two);
    if (apart(positions, left, right) > 0) {
      Surface surface = setup.surfaces().get(left);
      Said words =
          Said.of(
              "hazard.movesRollYawCentred",
              "surface",
              surface.name(),
              "one",
              Quantity.mm(one),
              "item",
              setup.surfaces().get(right).name(),
              "two",
              Quantity.mm(two));
      search.keep(HazardKind.PAIR_UNEQUAL, surface.id(), apart, words, search.way(at), List.of(at));
    }
  }
}
