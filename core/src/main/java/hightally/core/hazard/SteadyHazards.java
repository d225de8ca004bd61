package hightally.core.hazard;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.hazard.SwitchLogic.Watch;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.InputRange;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Channels no switch may move, and switches that move them all the same: wherever the sticks and
 * levers are, and however slowly it fades, compared are the places the surface comes to.
 */
final class SteadyHazards implements HazardFinder {
  private static final int SHARE_PERCENT = 10;
  private static final double NOTHING_PERCENT = 0.1;

  /** What is asked beyond the end of all travel moves nothing. */
  private static final double SEEN_MM = 0.05;

  private static final double[] WAYS = {1, -1};

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final List<Integer> steady = new ArrayList<>();
  private final Set<Integer> axes = new TreeSet<>();
  private long evaluated;
  private long sampled;

  SteadyHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    for (Channel channel : setup.channels()) {
      if (channel.steady()) {
        int carried = path.indexOf(channel.carries());
        steady.add(carried);
        axes.addAll(path.program().hangs(carried).axes());
      }
    }
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(HazardKind.SWITCH_MOVES);
  }

  @Override
  public int sharePercent() {
    return SHARE_PERCENT;
  }

  @Override
  public long evaluated() {
    return evaluated;
  }

  @Override
  public long sampled() {
    return sampled;
  }

  /** Every flick of one switch, channel by channel. */
  @Override
  public void look() {
    List<InputRange> lines = search.states().lines();
    SwitchLogic logic = search.logic();
    for (int carried : steady) {
      Watch watch = watch(carried);
      Set<List<Object>> seen = new HashSet<>();
      for (int which = 0; which < lines.size(); which++) {
        InputRange line = lines.get(which);
        if (line.kind() != InputRange.Kind.SWITCH || !logic.hangs(watch, which)) {
          continue;
        }
        for (int cell : logic.cells(which)) {
          for (int to : logic.cells(which)) {
            if (search.states().leads(which, cell, to)) {
              search
                  .regions()
                  .changes(watch, which, cell, to, change -> flick(carried, change, line, seen));
            }
          }
        }
      }
    }
  }

  private Watch watch(int carried) {
    Program.Hangs hangs = path.program().hangs(carried);
    int feel =
        hangs.axes().stream()
            .filter(axis -> axis < AxisPlaces.THROTTLE)
            .mapToInt(a -> 1 << a)
            .sum();
    BitSet lines = search.states().linesOn(hangs.axes()::contains);
    return new Watch(search.logic().eachPhase(), hangs.mixes(), feel, true, lines);
  }

  private void flick(
      int carried, DecisionRegions.Change told, InputRange line, Set<List<Object>> seen) {
    SwitchState from = SwitchState.of(path, search.states(), told.before());
    SwitchState to = SwitchState.of(path, search.states(), told.after());
    boolean alike = from.decision().equals(to.decision()) && !axes.contains(line.axis());
    List<Object> pair = List.of(from.decision(), to.decision(), line, cells(from), cells(to));
    if (alike || !seen.add(pair)) {
      return;
    }
    Moment before = from.moment();
    Moment after = to.moment();
    AxisBox stretch = search.states().stretch(told.before());
    int moved = line.axis();
    stretch.to()[moved] = stretch.from()[moved];
    Program program = path.program();
    if (!tell(carried, before, after, line)) {
      JointExtremes extremes =
          new JointExtremes(
              program.still(carried, before, from.phase()),
              program.still(carried, after, to.phase()),
              before,
              after,
              moved,
              AxisPlaces.of(after, moved));
      elsewhere(extremes, carried, stretch, line);
      evaluated += extremes.parts();
      search.work().spend(extremes.parts());
      sampled += extremes.undecided() ? 1 : 0;
    }
    evaluated += 2;
    search.work().spend(2);
  }

  /** Where the lines stand that lie on what moves the channels. */
  private List<Integer> cells(SwitchState state) {
    return search.states().linesOn(axes::contains).stream()
        .mapToObj(line -> state.at()[line])
        .toList();
  }

  /** Where nothing moves with all at rest: wherever the two commands differ at all. */
  private void elsewhere(JointExtremes extremes, int carried, AxisBox stretch, InputRange line) {
    for (double way : WAYS) {
      CommandRegion.Limit moves = new CommandRegion.Limit(-way, way, NOTHING_PERCENT);
      CommandRegion region = CommandRegion.of(moves, Double.POSITIVE_INFINITY, moves);
      JointExtremes.Found found = extremes.most(region, axes, stretch);
      if (found != null && !tell(carried, found.at(), extremes.moved(found.at()), line)) {
        extremes.each(region, axes, stretch, at -> tell(carried, at, extremes.moved(at), line));
      }
    }
  }

  /** Whether the surface moves there; kept where that is the furthest a switch moves it. */
  private boolean tell(int carried, Moment before, Moment after, InputRange line) {
    Surface surface = setup.surfaces().get(carried);
    double was = path.evaluate(before).travelMm()[carried];
    double is = path.evaluate(after).travelMm()[carried];
    if (Math.abs(is - was) < SEEN_MM) {
      return false;
    }
    List<Said> way = new ArrayList<>(search.way(before));
    way.add(search.states().change(line, after, 0));
    search.keep(
        HazardKind.SWITCH_MOVES,
        surface.id(),
        Math.abs(is - was),
        Said.of(
            "hazard.steadyMoved",
            "surface",
            surface.name(),
            "name",
            search.states().name(line),
            "from",
            Quantity.mm(was),
            "to",
            Quantity.mm(is)),
        way,
        List.of(before, after));
    return true;
  }
}
