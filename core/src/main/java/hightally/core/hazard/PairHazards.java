package hightally.core.hazard;

import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
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

/** With roll and yaw centred a pair moves equally, in every phase, at every pitch and lever. */
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
    neutral = path.evaluate(Moment.centred(Trims.ZERO), base).travelMm();
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
    for (Moment place : Places.pitches(at, spans.moving(stretch))) {
      evaluated++;
      Positions positions = path.evaluate(place);
      pairs.forEach(pair -> compare(place, positions, pair[0], pair[1]));
    }
  }

  private void compare(Moment at, Positions positions, int left, int right) {
    double one = positions.travelMm()[left] - neutral[left];
    double two = positions.travelMm()[right] - neutral[right];
    double apart = Math.abs(one - two);
    double travel = Math.max(Math.abs(one), Math.abs(two));
    if (apart > Math.max(setup.house().pairMm(), SHARE_OF_TRAVEL * travel)) {
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
