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
import java.util.function.ToDoubleFunction;

/**
 * With roll and yaw centred and no trim in, a pair moves equally in every phase, at every pitch and
 * lever.
 */
final class PairHazards {
  private static final double SHARE_OF_TRAVEL = 0.1;

  /** Pairs that nowhere come nearer than this part to being unequal are not looked at closer. */
  private static final double HOPE = 0.6;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final List<int[]> pairs = new ArrayList<>();
  private final double[] neutral;
  private final Set<List<Object>> seen = new HashSet<>();
  private long evaluated;
  private long sampled;

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

  /** How often a pair was tried in more than one place. */
  long sampled() {
    return sampled;
  }

  void look(Moment at, Stretch stretch, Spans spans) {
    if (pairs.isEmpty() || !seen.add(spans.withoutRollAndYaw())) {
      return;
    }
    Stretch moving = spans.moving(stretch);
    for (int[] pair : pairs) {
      ToDoubleFunction<Moment> apart = apart(at, spans.phase(), pair[0], pair[1]);
      Furthest furthest = search.furthest(axes(pair), moving);
      Furthest.Found found =
          furthest.of(at, apart, Double.POSITIVE_INFINITY, -HOPE * setup.house().pairMm());
      evaluated += furthest.tried();
      sampled += furthest.tried() > 1 ? 1 : 0;
      if (found.size() > 0) {
        compare(found.at(), spans.phase(), pair[0], pair[1]);
      }
    }
  }

  /** What moves them besides roll and yaw. */
  private Set<Integer> axes(int[] pair) {
    Set<Integer> axes = search.axesOf(pair);
    axes.remove(Control.ROLL.ordinal());
    axes.remove(Control.YAW.ordinal());
    return axes;
  }

  /** How much further apart than a ruler forgives, mm. */
  private ToDoubleFunction<Moment> apart(Moment state, int phase, int left, int right) {
    ToDoubleFunction<Moment> one = Lost.travel(path, left, state, phase, Trims.ZERO);
    ToDoubleFunction<Moment> two = Lost.travel(path, right, state, phase, Trims.ZERO);
    return at -> {
      double here = one.applyAsDouble(at) - neutral[left];
      double there = two.applyAsDouble(at) - neutral[right];
      double travel = Math.max(Math.abs(here), Math.abs(there));
      return Math.abs(here - there) - Math.max(setup.house().pairMm(), SHARE_OF_TRAVEL * travel);
    };
  }

  private void compare(Moment at, int phase, int left, int right) {
    Positions positions = path.evaluateTrimmed(at, phase, Trims.ZERO);
    double one = positions.travelMm()[left] - neutral[left];
    double two = positions.travelMm()[right] - neutral[right];
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
    search.keep(
        HazardKind.PAIR_UNEQUAL,
        surface.id(),
        Math.abs(one - two),
        words,
        search.way(at),
        List.of(at));
  }
}
