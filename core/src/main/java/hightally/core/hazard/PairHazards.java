package hightally.core.hazard;

import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.CommandSpans;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Spans;
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

  private static final double NOTICED_MM = 0.05;

  /** Pairs that nowhere come nearer than this part to being unequal are not looked at closer. */
  private static final double HOPE = 0.6;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final CommandSpans commands;
  private final List<Pair> pairs = new ArrayList<>();
  private final double[] neutral;
  private final Set<List<Object>> seen = new HashSet<>();
  private long evaluated;
  private long sampled;

  /** Two surfaces that mirror one another, and the furthest they were seen apart, mm. */
  private static final class Pair {
    private final TravelTable left;
    private final TravelTable right;
    private final double pairMm;
    private double worst = Double.NEGATIVE_INFINITY;

    Pair(TravelTable left, TravelTable right, double pairMm) {
      this.left = left;
      this.right = right;
      this.pairMm = pairMm;
    }

    /**
     * The furthest apart they can be beyond what a ruler forgives, mm.
     *
     * @param low least command of the left one
     * @param high most
     * @param least by how much the right one's command is more, at least
     * @param most and at most
     */
    double apart(double low, double high, double least, double most) {
      double more = Math.max(Math.abs(least), Math.abs(most));
      double slack = right.steepest() * more + left.slack() + right.slack();
      double furthest = Double.NEGATIVE_INFINITY;
      for (int i = left.at(low); i <= left.at(high) + 1; i++) {
        double one = left.mm(i);
        double two = right.mm(i);
        double travel = Math.max(Math.abs(one), Math.abs(two)) - slack;
        double forgiven = Math.max(pairMm, SHARE_OF_TRAVEL * travel);
        furthest = Math.max(furthest, Math.abs(one - two) + slack - forgiven);
      }
      return furthest;
    }
  }

  PairHazards(HazardSearch search, CommandSpans commands) {
    this.search = search;
    this.commands = commands;
    path = search.path();
    setup = search.setup();
    int base = setup.phases().size() - 1;
    neutral = path.evaluateTrimmed(Moment.centred(Trims.ZERO), base, Trims.ZERO).travelMm();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface left = setup.surfaces().get(i);
      if (left.side() == Side.LEFT && setup.pairOf(left).isPresent()) {
        int right = path.indexOf(left.pair());
        pairs.add(
            new Pair(
                new TravelTable(path, i, neutral[i]),
                new TravelTable(path, right, neutral[right]),
                setup.house().pairMm()));
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

  /** The open mixes of a pair that may be more unequal than it was seen; 0 where none is. */
  long worse(Moment at, AxisBox stretch, SwitchLogic.Known known, long open) {
    AxisBox centred = new AxisBox(stretch.from().clone(), stretch.to().clone());
    for (Control control : List.of(Control.ROLL, Control.YAW)) {
      centred.from()[control.ordinal()] = 0;
      centred.to()[control.ordinal()] = 0;
    }
    long acting = search.logic().mixes(known, SwitchLogic.YES);
    Spans spans = null;
    for (Pair pair : pairs) {
      long on = open & (pair.left.mixes() | pair.right.mixes());
      if (on != 0) {
        spans = spans == null ? commands.of(at, centred, acting, open) : spans;
        int left = path.carriedBehind(pair.left.index());
        int right = path.carriedBehind(pair.right.index());
        double[] apart = commands.apart(spans, at, centred, open, right, left);
        double most = pair.apart(spans.low(left), spans.high(left), apart[0], apart[1]);
        if (most > Math.max(0, pair.worst) + NOTICED_MM) {
          return on;
        }
      }
    }
    return 0;
  }

  void look(Moment at, AxisBox stretch, Spans spans) {
    if (pairs.isEmpty() || !seen.add(spans.withoutRollAndYaw())) {
      return;
    }
    AxisBox moving = spans.moving(stretch);
    for (Pair pair : pairs) {
      int left = pair.left.index();
      int right = pair.right.index();
      ToDoubleFunction<Moment> apart = apart(at, spans.phase(), left, right);
      MaximumSearch furthest =
          search.furthest(axes(left, right), moving, at, spans.phase(), left, right);
      MaximumSearch.Found found =
          furthest.of(at, apart, Double.POSITIVE_INFINITY, -HOPE * setup.house().pairMm());
      evaluated += furthest.tried();
      search.work().spend(furthest.tried());
      sampled += furthest.tried() > 1 ? 1 : 0;
      pair.worst = Math.max(pair.worst, found.size());
      if (found.size() > 0) {
        compare(found.at(), spans.phase(), left, right);
      }
    }
  }

  /** What moves them besides roll and yaw. */
  private Set<Integer> axes(int left, int right) {
    Set<Integer> axes = search.axesOf(left, right);
    axes.remove(Control.ROLL.ordinal());
    axes.remove(Control.YAW.ordinal());
    return axes;
  }

  /** How much further apart than a ruler forgives, mm. */
  private ToDoubleFunction<Moment> apart(Moment state, int phase, int left, int right) {
    ToDoubleFunction<Moment> one = LostTravel.travel(path, left, state, phase, Trims.ZERO);
    ToDoubleFunction<Moment> two = LostTravel.travel(path, right, state, phase, Trims.ZERO);
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
            "hazard.pairApart",
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
