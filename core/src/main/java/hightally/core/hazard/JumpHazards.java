package hightally.core.hazard;

import hightally.core.airframe.Surface;
import hightally.core.edit.Mend;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;
import hightally.core.signal.StillCommand;
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
 * Surfaces that jump at a flick, sticks centred: what no fade takes in hand. A phase that fades in
 * moves nothing at once, nor does a mix with a fade of its own.
 */
final class JumpHazards {
  private static final double NOTHING_PERCENT = 0.1;
  private static final double[] WAYS = {1, -1};

  /** Steps of a command in which a linkage's gain is looked at, percent. */
  private static final double FINE_PERCENT = 10;

  private static final double LEEWAY = 0.9;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Map<List<Object>, Integer> kinds = new HashMap<>();
  private final List<Integer> slides = new ArrayList<>();
  private final List<Integer> axisLines;
  private final List<Program.Decision> decided = new ArrayList<>();
  private final int[] kindOf;
  private final boolean[] centred;

  /** What each surface's command can hang on; null where no channel carries it. */
  private final Program.Hangs[] hangs;

  /** By how much a command must change at least for its surface to jump, percent. */
  private final double[] least;

  private long evaluated;
  private long sampled;

  JumpHazards(HazardSearch search, int count) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    kindOf = new int[count];
    centred = new boolean[count];
    Set<Integer> on = new TreeSet<>();
    hangs = new Program.Hangs[setup.surfaces().size()];
    for (int i = 0; i < hangs.length; i++) {
      int carried = path.carriedBehind(i);
      hangs[i] = carried < 0 ? null : path.program().hangs(carried);
      on.addAll(path.program().hangs(i).axes());
    }
    on.stream().filter(axis -> axis >= Places.THROTTLE).forEach(slides::add);
    axisLines = search.states().linesOn(slides::contains);
    least = new double[setup.surfaces().size()];
    for (int i = 0; i < least.length; i++) {
      least[i] = LEEWAY * setup.house().surfaceJumpMm() / steepest(i);
    }
  }

  /** The most a surface moves for a percent of command, mm. */
  private double steepest(int surface) {
    double limit = setup.transmitter().commandLimitPercent();
    double most = 0;
    if (path.carriedBehind(surface) >= 0) {
      double before = Lost.realMm(path, surface, -limit);
      for (double at = FINE_PERCENT - limit; at <= limit; at += FINE_PERCENT) {
        double here = Lost.realMm(path, surface, at);
        most = Math.max(most, Math.abs(here - before) / FINE_PERCENT);
        before = here;
      }
    }
    return most;
  }

  long evaluated() {
    return evaluated;
  }

  /** At how many changes there were more places than are looked at. */
  long sampled() {
    return sampled;
  }

  void state(State state) {
    Program.Decision decision = state.decision();
    List<Object> kind = new ArrayList<>(List.of(state.phase(), decision.acting(), decision.held()));
    axisLines.forEach(line -> kind.add(state.at()[line]));
    int known = kinds.size();
    int number = state.number();
    kindOf[number] = kinds.computeIfAbsent(kind, key -> kinds.size());
    if (kinds.size() > known) {
      decided.add(decision);
    }
    Moment moment = state.moment();
    centred[number] = moment.roll() == 0 && moment.pitch() == 0 && moment.yaw() == 0;
  }

  /**
   * Everything one flick leads to.
   *
   * @return whether it looked at all of it
   */
  boolean changes(BooleanSupplier stop) {
    Set<Long> seen = new HashSet<>();
    List<Line> lines = search.states().lines();
    for (int number = 0; number < kindOf.length; number++) {
      if (number % HazardSearch.LOOK_UP == 0 && stop.getAsBoolean()) {
        return false;
      }
      int[] at = centred[number] ? search.states().at(number) : new int[0];
      for (int which = 0; which < at.length; which++) {
        if (lines.get(which).kind() == Line.Kind.SWITCH) {
          for (int cell : search.states().from(which, at[which])) {
            int to = (int) search.states().number(number, which, cell);
            long pair = (long) kindOf[number] * kinds.size() + kindOf[to];
            if (mayJump(number, to, lines.get(which)) && seen.add(pair * lines.size() + which)) {
              change(number, to, lines.get(which));
            }
          }
        }
      }
    }
    return true;
  }

  /**
   * Whether anything can move at once: other mixes, a phase without a fade, motors that are held
   * and what their power moves, or a switch that moves something itself.
   */
  private boolean mayJump(int number, int to, Line line) {
    Program.Decision was = decided.get(kindOf[number]);
    Program.Decision is = decided.get(kindOf[to]);
    boolean phase = was.phase() != is.phase();
    boolean fades = setup.phases().get(is.phase()).fadeSeconds() > 0;
    return was.acting() != is.acting()
        || phase && !fades
        || was.held() != is.held() && (is.held() || !fades)
        || slides.contains(States.axis(line));
  }

  private void change(int number, int to, Line line) {
    Stretch stretch = search.states().stretch(number);
    int moved = States.axis(line);
    Moment before = search.states().moment(number);
    boolean latched = latched(number, to);
    Moment after = held(search.states().moment(to), latched);
    int was = path.phase(before);
    int is = path.phase(after);
    boolean fades = was != is && setup.phases().get(is).fadeSeconds() > 0;
    stretch.to()[moved] = stretch.from()[moved];
    Moment seen = fades ? path.program().conditions().asIn(was, after) : after;
    Program.Decision then = path.program().decided(seen, fades ? was : is);
    Program.Decision now = path.program().decided(before, was);
    boolean all = now.phase() != then.phase() || now.held() != then.held();
    long other = now.acting() ^ then.acting();
    double[] weights = search.atOnce(before, was);
    if (latched) {
      int axis = search.throttleAxis();
      compare(Places.at(before, axis, 0), held(Places.at(after, axis, 0), false), true, line);
    }
    for (int i = 0; i < least.length; i++) {
      int carried = path.carriedBehind(i);
      if (carried >= 0
          && (all || (other & hangs[i].mixes()) != 0 || hangs[i].axes().contains(moved))) {
        StillCommand one = path.program().still(carried, before, was);
        StillCommand two = path.program().still(carried, seen, fades ? was : is, weights);
        Attained attained = new Attained(one, two, before, after, moved, Places.of(after, moved));
        for (double way : WAYS) {
          Region.Limit jumps = new Region.Limit(-way, way, least[i]);
          Region region = Region.of(jumps, Double.POSITIVE_INFINITY, jumps);
          attained.each(
              region,
              slides,
              stretch,
              at -> compare(at, held(attained.moved(at), false), latched, line));
        }
        sampled += attained.undecided() ? 1 : 0;
        evaluated += attained.parts();
      }
    }
  }

  /** Whether a cut lets go that does so only with the stick back. */
  private boolean latched(int number, int to) {
    boolean letsGo = decided.get(kindOf[number]).held() && !decided.get(kindOf[to]).held();
    return letsGo && setup.power().releaseWithStickBack();
  }

  private static Moment held(Moment moment, boolean held) {
    return moment.withThrottle(moment.throttle(), held);
  }

  private void compare(Moment before, Moment after, boolean latched, Line line) {
    double[] asked = path.program().commands(before, path.phase(before));
    boolean held = latched && Places.of(after, search.throttleAxis()) > 0;
    double[] then = atOnce(before, held(after, held));
    if (!differ(asked, then)) {
      return;
    }
    evaluated += 2;
    double[] was = path.positions(asked, before).travelMm();
    double[] is = path.positions(then, after).travelMm();
    for (int i = 0; i < was.length; i++) {
      double jump = Math.abs(is[i] - was[i]);
      if (jump > setup.house().surfaceJumpMm()) {
        Surface surface = setup.surfaces().get(i);
        Said words =
            Said.of(
                "hazard.jumps",
                "surface",
                surface.name(),
                "from",
                Quantity.mm(was[i]),
                "size",
                Quantity.mm(is[i]),
                "name",
                search.states().name(line));
        List<Said> way = new ArrayList<>(search.states().words(before));
        way.add(search.states().change(line, after, 0));
        search.keep(
            HazardKind.SURFACE_JUMPS,
            surface.id(),
            jump,
            words,
            way,
            List.of(before, after),
            mends(before, after, i));
      }
    }
  }

  private boolean differ(double[] one, double[] other) {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      if (Math.abs(one[i] - other[i]) > NOTHING_PERCENT) {
        return true;
      }
    }
    return false;
  }

  private List<Mend> mends(Moment before, Moment after, int surface) {
    int was = path.phase(before);
    int is = path.phase(after);
    long acted = path.program().decided(before, was).acting();
    long felt = hangs[surface] == null ? 0 : hangs[surface].mixes();
    long changed = (acted ^ path.program().decided(after, is).acting()) & felt;
    boolean phaseAlone = was != is && setup.phases().get(is).fadeSeconds() == 0;
    return phaseAlone || changed != 0 ? List.of(search.fading(is, phaseAlone, changed)) : List.of();
  }

  /** What is asked the moment after a flick: a phase or mix that fades has not begun to come in. */
  private double[] atOnce(Moment before, Moment after) {
    int was = path.phase(before);
    int is = path.phase(after);
    boolean fades = was != is && setup.phases().get(is).fadeSeconds() > 0;
    double[] weights = search.atOnce(before, was);
    Moment seen = fades ? path.program().conditions().asIn(was, after) : after;
    return path.program().commands(seen, fades ? was : is, weights);
  }
}
