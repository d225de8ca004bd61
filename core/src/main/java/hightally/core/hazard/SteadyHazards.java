package hightally.core.hazard;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Stretch;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;

/**
 * Channels no switch may move, and switches that move them all the same: wherever the sticks and
 * levers are, and however slowly it fades, compared are the places the surface comes to.
 */
final class SteadyHazards {
  private static final double NOTHING_PERCENT = 0.1;

  /** What is asked beyond the end of all travel moves nothing. */
  private static final double SEEN_MM = 0.05;

  private static final double[] WAYS = {1, -1};

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final List<Integer> steady = new ArrayList<>();
  private final List<Integer> axes;
  private final List<Integer> axisLines;
  private final Map<List<Object>, Integer> kinds = new HashMap<>();
  private final int[] kindOf;
  private long evaluated;
  private long sampled;

  SteadyHazards(HazardSearch search, int count) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    Set<Integer> on = new TreeSet<>();
    for (Channel channel : setup.channels()) {
      if (channel.steady()) {
        int carried = path.indexOf(channel.carries());
        steady.add(carried);
        on.addAll(path.program().hangs(carried).axes());
      }
    }
    axes = List.copyOf(on);
    axisLines = search.states().linesOn(axes::contains);
    kindOf = new int[steady.isEmpty() ? 0 : count];
  }

  long evaluated() {
    return evaluated;
  }

  long sampled() {
    return sampled;
  }

  void state(State state) {
    if (kindOf.length > 0) {
      List<Object> kind = new ArrayList<>(List.of(state.decision()));
      axisLines.forEach(line -> kind.add(state.at()[line]));
      kindOf[state.number()] = kinds.computeIfAbsent(kind, key -> kinds.size());
    }
  }

  /**
   * Every flick of one switch.
   *
   * @return whether it looked at all of them
   */
  boolean changes(BooleanSupplier stop) {
    Set<Long> seen = new HashSet<>();
    List<Line> lines = search.states().lines();
    for (int number = 0; number < kindOf.length; number++) {
      if (number % HazardSearch.LOOK_UP == 0 && stop.getAsBoolean()) {
        return false;
      }
      int[] at = search.states().at(number);
      for (int which = 0; which < at.length; which++) {
        if (lines.get(which).kind() == Line.Kind.SWITCH) {
          for (int cell : search.states().from(which, at[which])) {
            int to = (int) search.states().number(number, which, cell);
            long pair = (long) kindOf[number] * kinds.size() + kindOf[to];
            if (kindOf[number] != kindOf[to] && seen.add(pair * lines.size() + which)) {
              flick(number, to, lines.get(which));
            }
          }
        }
      }
    }
    return true;
  }

  private void flick(int number, int to, Line line) {
    Moment before = search.states().moment(number);
    Moment after = search.states().moment(to);
    Stretch stretch = search.states().stretch(number);
    int moved = States.axis(line);
    stretch.to()[moved] = stretch.from()[moved];
    Program program = path.program();
    for (int carried : steady) {
      if (!tell(carried, before, after, line)) {
        Attained attained =
            new Attained(
                program.still(carried, before, path.phase(before)),
                program.still(carried, after, path.phase(after)),
                before,
                after,
                moved,
                Places.of(after, moved));
        elsewhere(attained, carried, stretch, line);
        evaluated += attained.parts();
        sampled += attained.undecided() ? 1 : 0;
      }
      evaluated += 2;
    }
  }

  /** Where nothing moves with all at rest: wherever the two commands differ at all. */
  private void elsewhere(Attained attained, int carried, Stretch stretch, Line line) {
    for (double way : WAYS) {
      Region.Limit moves = new Region.Limit(-way, way, NOTHING_PERCENT);
      Region region = Region.of(moves, Double.POSITIVE_INFINITY, moves);
      Attained.Found found = attained.most(region, axes, stretch);
      if (found != null && !tell(carried, found.at(), attained.moved(found.at()), line)) {
        attained.each(region, axes, stretch, at -> tell(carried, at, attained.moved(at), line));
      }
    }
  }

  /** Whether the surface moves there; kept where that is the furthest a switch moves it. */
  private boolean tell(int carried, Moment before, Moment after, Line line) {
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
