package hightally.core.hazard;

import hightally.core.airframe.Surface;
import hightally.core.edit.Mend;
import hightally.core.hazard.SwitchLogic.Watch;
import hightally.core.program.Phase;
import hightally.core.program.SourceRoot;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.CommandSpans;
import hightally.core.signal.InputRange;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Spans;
import hightally.core.signal.StillCommand;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Surfaces that jump at a flick, sticks centred: what no fade takes in hand. A phase that fades in
 * moves nothing at once, nor does a mix with a fade of its own, nor a channel that is slowed.
 *
 * <p>Of every flick only that is told which the flick itself changes. What stays alike on both
 * sides is told only where the surface stands so differently by it that it may jump further than
 * was seen.
 */
final class JumpHazards implements HazardFinder {
  private static final int SHARE_PERCENT = 30;

  /** A servo takes a fifth of a second for its way by itself: below this a channel is not slow. */
  private static final double SLOWED_SECONDS = 0.5;

  private static final double NOTHING_PERCENT = 0.1;
  private static final double[] WAYS = {1, -1};
  private static final double LEEWAY = 0.9;

  /**
   * So much further a jump may be somewhere without being looked for, as part of the worst seen.
   */
  private static final double FURTHER = 1.02;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final CommandSpans commands;
  private final List<Integer> slides = new ArrayList<>();
  private final BitSet slideLines;
  private final boolean powerMoves;
  private final long mixes;

  /** What is alike in the phases: where all fade in none changes anything at once. */
  private final int[] phases;

  /** What each surface's command can hang on; null where no channel carries it, or it is slowed. */
  private final Program.Hangs[] hangs;

  private final TravelTable[] travels;

  /** By how much a command must change at least for its surface to jump, percent. */
  private final double[] least;

  /** The furthest each surface was seen to jump, mm. */
  private final double[] worst;

  private long evaluated;
  private long sampled;

  JumpHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    commands = new CommandSpans(path);
    Set<Integer> on = new TreeSet<>();
    int surfaces = setup.surfaces().size();
    hangs = new Program.Hangs[surfaces];
    travels = new TravelTable[surfaces];
    least = new double[surfaces];
    worst = new double[surfaces];
    long felt = 0;
    for (int i = 0; i < surfaces; i++) {
      int carried = path.carriedBehind(i);
      boolean slowed =
          setup.channels().get(path.channelBehind(i)).slowedSeconds() >= SLOWED_SECONDS;
      travels[i] = new TravelTable(path, i, 0);
      least[i] = LEEWAY * setup.house().surfaceJumpMm() / travels[i].steepest();
      if (carried >= 0 && !slowed) {
        hangs[i] = path.program().hangs(carried);
        on.addAll(hangs[i].axes());
        felt |= hangs[i].mixes();
      }
    }
    mixes = felt;
    phases = phases();
    on.stream().filter(axis -> axis >= AxisPlaces.THROTTLE).forEach(slides::add);
    slideLines = search.states().linesOn(slides::contains);
    powerMoves = setup.mixes().stream().anyMatch(one -> one.source().root() == SourceRoot.POWER);
  }

  private int[] phases() {
    boolean apart =
        Arrays.stream(hangs).anyMatch(one -> one != null && one.chained())
            || setup.phases().stream().anyMatch(one -> one.fadeSeconds() == 0);
    List<Object> kinds = new ArrayList<>();
    int[] found = new int[setup.phases().size()];
    for (int i = 0; i < found.length; i++) {
      Phase one = setup.phases().get(i);
      Object kind = List.of(apart ? one.id() : "", powerMoves ? setup.power().curve(one.id()) : "");
      if (!kinds.contains(kind)) {
        kinds.add(kind);
      }
      found[i] = kinds.indexOf(kind);
    }
    return found;
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(HazardKind.SURFACE_JUMPS);
  }

  @Override
  public int sharePercent() {
    return SHARE_PERCENT;
  }

  @Override
  public long evaluated() {
    return evaluated;
  }

  /** At how many changes there were more places than are looked at. */
  @Override
  public long sampled() {
    return sampled;
  }

  /** Everything one flick leads to. */
  @Override
  public void look() {
    List<InputRange> lines = search.states().lines();
    SwitchLogic logic = search.logic();
    for (int which = 0; which < lines.size(); which++) {
      search.work().told((double) which / lines.size());
      Watch watch = watch(which);
      boolean moves = slides.contains(lines.get(which).axis());
      if (lines.get(which).kind() != InputRange.Kind.SWITCH
          || !moves && !logic.hangs(watch, which)) {
        continue;
      }
      for (int cell : logic.cells(which)) {
        for (int to : logic.cells(which)) {
          if (search.states().leads(which, cell, to)) {
            InputRange line = lines.get(which);
            search.regions().changes(watch, which, cell, to, change -> change(change, line));
          }
        }
      }
    }
  }

  /** What a flick of one switch can change. */
  private Watch watch(int which) {
    SwitchLogic logic = search.logic();
    int[] phase = logic.phaseHangs(which) ? phases : logic.oneKind();
    long changed = logic.hanging(mixes, which);
    // Where a command flows on into another, what makes it up is part of the change.
    for (Program.Hangs one : hangs) {
      changed |= one != null && one.chained() && (one.mixes() & changed) != 0 ? one.mixes() : 0;
    }
    BitSet lines = (BitSet) slideLines.clone();
    lines.clear(which);
    return new Watch(phase, changed, 0, powerMoves && logic.holdHangs(which), lines);
  }

  /**
   * Whether anything can move at once: other mixes, a phase without a fade, motors that are held
   * and what their power moves, or a switch that moves something itself.
   */
  private boolean mayJump(SwitchState before, SwitchState after, InputRange line) {
    Program.Decision was = before.decision();
    Program.Decision is = after.decision();
    boolean phase = was.phase() != is.phase();
    boolean fades = setup.phases().get(is.phase()).fadeSeconds() > 0;
    return was.acting() != is.acting()
        || phase && !fades
        || was.held() != is.held() && (is.held() || !fades)
        || slides.contains(line.axis());
  }

  /** A flick with what is not told at rest, as it is the moment after. */
  private final class Flick {
    private final InputRange line;
    private final AxisBox stretch;
    private final int moved;
    private final boolean latched;
    private final Moment before;
    private final Moment after;
    private final Moment seen;
    private final int was;
    private final int is;
    private final double[] weights;
    private final boolean all;
    private final long other;
    private final boolean mayJump;

    Flick(DecisionRegions.Change told, InputRange line) {
      this.line = line;
      SwitchState from = SwitchState.of(path, search.states(), told.before());
      SwitchState to = SwitchState.of(path, search.states(), told.after());
      mayJump = mayJump(from, to, line);
      stretch = search.states().stretch(told.before());
      moved = line.axis();
      stretch.to()[moved] = stretch.from()[moved];
      before = from.moment();
      latched =
          from.decision().held() && !to.decision().held() && setup.power().releaseWithStickBack();
      after = held(to.moment(), latched);
      was = from.phase();
      boolean fades = was != to.phase() && setup.phases().get(to.phase()).fadeSeconds() > 0;
      is = fades ? was : to.phase();
      seen = fades ? path.program().conditions().asIn(was, after) : after;
      Program.Decision then = path.program().decided(seen, is);
      Program.Decision now = from.decision();
      all = now.phase() != then.phase() || now.held() != then.held();
      other = now.acting() ^ then.acting();
      weights = search.atOnce(before, was);
    }

    boolean changes(int i) {
      return hangs[i] != null
          && (all || (other & hangs[i].mixes()) != 0 || hangs[i].axes().contains(moved));
    }

    /** Throttle closed, where a cut lets go only so. */
    void closed() {
      if (latched) {
        int axis = search.throttleAxis();
        compare(
            AxisPlaces.at(before, axis, 0), held(AxisPlaces.at(after, axis, 0), false), true, line);
      }
    }

    /**
     * Compares a surface wherever its command changes enough.
     *
     * @return the furthest its command changes down and up, 0 where not enough, percent
     */
    double[] look(int i) {
      int carried = path.carriedBehind(i);
      StillCommand one = path.program().still(carried, before, was);
      StillCommand two = path.program().still(carried, seen, is, weights);
      JointExtremes extremes =
          new JointExtremes(one, two, before, after, moved, AxisPlaces.of(after, moved));
      double[] changes = new double[2];
      for (double way : WAYS) {
        CommandRegion.Limit jumps = new CommandRegion.Limit(-way, way, least[i]);
        CommandRegion region = CommandRegion.of(jumps, Double.POSITIVE_INFINITY, jumps);
        JointExtremes.Found most = extremes.most(region, slides, stretch);
        if (most != null) {
          changes[way > 0 ? 1 : 0] = way * most.size();
          extremes.each(
              region,
              slides,
              stretch,
              at -> compare(at, held(extremes.moved(at), false), latched, line));
        }
      }
      sampled += extremes.undecided() ? 1 : 0;
      evaluated += extremes.parts();
      search.work().spend(extremes.parts());
      return changes;
    }
  }

  private void change(DecisionRegions.Change told, InputRange line) {
    Flick flick = new Flick(told, line);
    if (!flick.mayJump) {
      return;
    }
    flick.closed();
    for (int i = 0; i < least.length; i++) {
      if (flick.changes(i)) {
        double[] changes = flick.look(i);
        if (changes[0] != 0 || changes[1] != 0) {
          elsewhere(i, told, line, changes);
        }
      }
    }
  }

  /**
   * The same flick where all stands differently that it does not change: told apart as long as the
   * surface may jump further from there than it was seen to.
   */
  private void elsewhere(int i, DecisionRegions.Change told, InputRange line, double[] changes) {
    search.work().spend(1);
    SwitchLogic logic = search.logic();
    long[] cells = told.before();
    SwitchLogic.Known known = told.was();
    Watch whole = new Watch(logic.eachPhase(), 0, 0, powerMoves, new BitSet());
    long open = logic.mixes(known, SwitchLogic.MAYBE) & hangs[i].mixes();
    SwitchLogic.Split next = logic.open(whole, cells, known);
    if (next == null) {
      if (furthest(i, told, open, changes)
          <= Math.max(setup.house().surfaceJumpMm(), FURTHER * worst[i])) {
        return;
      }
      next = open == 0 ? null : logic.ofMix(Long.numberOfTrailingZeros(open), cells, known);
    }
    if (next != null) {
      for (long part : next.parts()) {
        DecisionRegions.Change one = told.told(logic, next.line(), part);
        new Flick(one, line).look(i);
        elsewhere(i, one, line, changes);
      }
    }
  }

  /** The furthest a surface may jump at a flick from wherever it stands before, mm. */
  private double furthest(int i, DecisionRegions.Change told, long open, double[] changes) {
    SwitchState state = SwitchState.of(path, search.states(), told.before());
    AxisBox stretch = search.states().stretch(told.before());
    for (Control control : Control.values()) {
      stretch.from()[control.ordinal()] = 0;
      stretch.to()[control.ordinal()] = 0;
    }
    long acting = search.logic().mixes(told.was(), SwitchLogic.YES);
    Spans spans = commands.of(state.moment(), stretch, acting, open);
    int carried = path.carriedBehind(i);
    return travels[i].furthest(spans.low(carried), spans.high(carried), changes[0], changes[1]);
  }

  private static Moment held(Moment moment, boolean held) {
    return moment.withThrottle(moment.throttle(), held);
  }

  private void compare(Moment before, Moment after, boolean latched, InputRange line) {
    double[] asked = path.program().commands(before, path.phase(before));
    boolean held = latched && AxisPlaces.of(after, search.throttleAxis()) > 0;
    double[] then = atOnce(before, held(after, held));
    if (!differ(asked, then)) {
      return;
    }
    evaluated += 2;
    search.work().spend(2);
    double[] was = path.positions(asked, before).travelMm();
    double[] is = path.positions(then, after).travelMm();
    for (int i = 0; i < was.length; i++) {
      double jump = hangs[i] == null ? 0 : Math.abs(is[i] - was[i]);
      if (jump > setup.house().surfaceJumpMm()) {
        worst[i] = Math.max(worst[i], jump);
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
