package hightally.core.hazard;

import hightally.core.airframe.Contact;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.hazard.SwitchLogic.Known;
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
import hightally.core.signal.Contribution;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import hightally.core.signal.Spans;
import hightally.core.signal.StillCommand;
import hightally.core.signal.TallyLine;
import hightally.core.signal.TallyMaker;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;

/**
 * What surfaces do in every state, wherever sticks and levers are.
 *
 * <p>Phases, rates and cells of levers are told one by one; mixes are not: states that differ in
 * mixes alone are bounded together, and told apart only where the bound passes what was found.
 *
 * <p>How far each command can go is bounded, not sampled; a surface whose bound stays within its
 * limits is done with. Only where a bound is passed is a moment evaluated: the one in which the
 * command is furthest. Where a bound may be too wide, behind a mix from another surface, or where
 * two surfaces could touch, it is looked into piece by piece; what stays open is tried, and
 * counted.
 *
 * <p>Long because bounding, telling apart and looking closer walk the same cells and share what was
 * found so far; taken apart each would carry all of it.
 */
final class StateHazards implements HazardFinder {
  private static final int SHARE_PERCENT = 50;
  private static final double STILL_PERCENT = 0.1;
  private static final double WORSE_PERCENT = 0.01;
  private static final double NAMED_PERCENT = 0.5;
  private static final double SEEN_MM = 0.05;
  private static final int SIDES = 2;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final CommandSpans commands;
  private final PairHazards pairs;
  private final double[][] free;
  private final double[] lowest;
  private final double[] highest;
  private final double[][] worst;
  private final double[][] touches;
  private final double[][] locks;
  private final double[][] worstLock;
  private final boolean[] touching;
  private final long[] mixesOn;
  private final long allMixes;
  private final Set<List<Object>> cornersSeen = new HashSet<>();
  private final boolean[][] alive;
  private final Moment[] example;
  private long evaluated;
  private long sampled;

  StateHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    commands = new CommandSpans(path);
    pairs = new PairHazards(search, commands);
    int surfaces = setup.surfaces().size();
    free = new double[surfaces][SIDES];
    lowest = new double[surfaces];
    highest = new double[surfaces];
    worst = new double[surfaces][SIDES];
    for (int i = 0; i < surfaces; i++) {
      free[i][0] = LostTravel.lastFree(path, i, -1);
      free[i][1] = LostTravel.lastFree(path, i, 1);
    }
    touches = new double[setup.contacts().size()][];
    for (int i = 0; i < touches.length; i++) {
      Contact contact = setup.contacts().get(i);
      touches[i] =
          new double[] {
            LostTravel.reachedAt(path, path.indexOf(contact.first()), contact.firstMm()),
            LostTravel.reachedAt(path, path.indexOf(contact.second()), contact.secondMm())
          };
    }
    touching = new boolean[touches.length];
    locks = new double[surfaces][];
    worstLock = new double[surfaces][SIDES];
    mixesOn = new long[surfaces];
    for (int i = 0; i < surfaces; i++) {
      locks[i] = new double[] {LostTravel.lockedAt(path, i, -1), LostTravel.lockedAt(path, i, 1)};
      int carried = path.carriedBehind(i);
      mixesOn[i] = carried < 0 ? 0 : path.program().hangs(carried).mixes();
    }
    allMixes = LongStream.of(mixesOn).reduce(0, (one, other) -> one | other);
    alive = new boolean[setup.phases().size()][Control.values().length];
    example = new Moment[setup.phases().size()];
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(
        HazardKind.LINKAGE_LOCKS,
        HazardKind.RUNS_OUT,
        HazardKind.SURFACES_TOUCH,
        HazardKind.CONTROL_DEAD,
        HazardKind.PAIR_UNEQUAL);
  }

  @Override
  public int sharePercent() {
    return SHARE_PERCENT;
  }

  /** How many moments had to be evaluated. */
  @Override
  public long evaluated() {
    return evaluated + pairs.evaluated();
  }

  /** The lowest command of a surface in any state, or the highest, percent. */
  double furthest(int surface, boolean high) {
    return high ? highest[surface] : lowest[surface];
  }

  /** How many states were tried in their corners because a bound could not decide. */
  @Override
  public long sampled() {
    return sampled + pairs.sampled();
  }

  /** Every state, as far as that is needed to know the worst of each kind. */
  @Override
  public void look() {
    Set<Integer> axes = new TreeSet<>();
    boolean power = setup.mixes().stream().anyMatch(one -> one.source().root() == SourceRoot.POWER);
    for (int i = 0; i < setup.surfaces().size(); i++) {
      axes.addAll(path.program().hangs(i).axes());
    }
    int feel = axes.stream().filter(axis -> axis < AxisPlaces.THROTTLE).mapToInt(a -> 1 << a).sum();
    BitSet lines = search.states().linesOn(axes::contains);
    List<long[]> begins = new ArrayList<>();
    search
        .regions()
        .each(
            new Watch(search.logic().eachPhase(), 0, feel, power, lines),
            (cells, known) -> begins.add(cells));
    for (int i = 0; i < begins.size(); i++) {
      search.work().told((double) i / begins.size());
      states(new Group(begins.get(i)));
    }
  }

  /** Some states that differ in mixes alone, and how far anything goes in them. */
  private final class Group {
    private final long[] cells;
    private final Known known;
    private final Moment at;
    private final AxisBox stretch;
    private final long open;
    private final Spans spans;

    Group(long[] cells) {
      search.work().spend(1);
      this.cells = cells;
      SwitchLogic logic = search.logic();
      known = logic.known(cells);
      open = logic.mixes(known, SwitchLogic.MAYBE) & allMixes;
      at = search.states().moment(search.states().filled(cells));
      stretch = search.states().stretch(cells);
      spans =
          open == 0
              ? commands.of(at, stretch)
              : commands.of(at, stretch, logic.mixes(known, SwitchLogic.YES), open);
    }

    boolean centred() {
      return at.roll() == 0 && at.yaw() == 0;
    }
  }

  /** What may be worse in a group than it was anywhere: by how much, and by which open mixes. */
  private record Worse(long mixes, ToDoubleFunction<Group> how) {}

  /** The states of a group, told further apart as long as something in them may be worse. */
  private void states(Group group) {
    if (group.open == 0) {
      look(group.at, group.stretch, group.centred(), group.spans);
      return;
    }
    Worse worse = worse(group);
    if (worse != null) {
      SwitchLogic logic = search.logic();
      int mix = Long.numberOfTrailingZeros(worse.mixes);
      SwitchLogic.Split split = logic.ofMix(mix, group.cells, group.known);
      List<Group> parts = new ArrayList<>();
      for (long part : split.parts()) {
        parts.add(new Group(DecisionRegions.with(group.cells, split.line(), part)));
      }
      // The worst first: then the others need no look.
      parts.sort(Comparator.comparingDouble((Group part) -> -worse.how.applyAsDouble(part)));
      parts.forEach(this::states);
    }
  }

  /** What may be worse in a group than it was seen to be; null where nothing is. */
  private Worse worse(Group group) {
    Spans spans = group.spans;
    for (int i = 0; i < setup.surfaces().size(); i++) {
      int carried = path.carriedBehind(i);
      long on = group.open & mixesOn[i];
      if (on != 0 && carried >= 0) {
        int surface = i;
        if (beyond(i, 0, spans)) {
          return new Worse(on, part -> -part.spans.low(path.carriedBehind(surface)));
        }
        if (beyond(i, 1, spans)) {
          return new Worse(on, part -> part.spans.high(path.carriedBehind(surface)));
        }
      }
    }
    for (int i = 0; i < touches.length; i++) {
      Contact one = setup.contacts().get(i);
      long on =
          group.open & (mixesOn[path.indexOf(one.first())] | mixesOn[path.indexOf(one.second())]);
      if (on != 0 && !touching[i] && mayTouch(i, spans)) {
        return new Worse(on, part -> 0);
      }
    }
    for (Control control : Control.values()) {
      if (meant(control) && !alive[spans.phase()][control.ordinal()]) {
        return new Worse(group.open, part -> part.spans.moves(control));
      }
    }
    long pair = group.centred() ? pairs.worse(group.at, group.stretch, group.known, group.open) : 0;
    return pair == 0 ? null : new Worse(pair, part -> 0);
  }

  /** Whether a surface may be told further on one side than it was anywhere. */
  private boolean beyond(int i, int side, Spans spans) {
    int carried = path.carriedBehind(i);
    double low = spans.low(carried);
    double high = spans.high(carried);
    return side == 0
        ? low < lowest[carried] - WORSE_PERCENT
            || locks[i][0] - low > worstLock[i][0] + WORSE_PERCENT
        : high > highest[carried] + WORSE_PERCENT
            || high - locks[i][1] > worstLock[i][1] + WORSE_PERCENT;
  }

  private boolean meant(Control control) {
    return setup.surfaces().stream().anyMatch(one -> one.shares().of(control) != 0);
  }

  private void look(Moment at, AxisBox stretch, boolean centred, Spans spans) {
    int phase = spans.phase();
    if (example[phase] == null) {
      example[phase] = at;
    }
    for (Control control : Control.values()) {
      alive[phase][control.ordinal()] |= spans.moves(control) > STILL_PERCENT;
    }
    for (int i = 0; i < lowest.length; i++) {
      lowest[i] = Math.min(lowest[i], spans.low(i));
      highest[i] = Math.max(highest[i], spans.high(i));
    }
    boolean corners = false;
    for (int i = 0; i < setup.surfaces().size(); i++) {
      if (setup.surfaces().get(i).rod().driver() == DriverKind.SERVO
          && path.carriedBehind(i) >= 0) {
        corners |= runsOut(i, spans);
      }
      corners |= path.carriedBehind(i) >= 0 && locks(i, spans);
    }
    for (int i = 0; i < touches.length; i++) {
      corners |= mayTouch(i, spans);
    }
    if (corners && cornersSeen.add(spans.parts())) {
      corners(at, spans.moving(stretch), spans);
    }
    if (centred) {
      pairs.look(at, stretch, spans);
    }
  }

  /** Whether the bound passes a limit without being known to be reached. */
  private boolean runsOut(int i, Spans spans) {
    int carried = path.carriedBehind(i);
    boolean undecided = false;
    for (int side = 0; side < SIDES; side++) {
      double end = side == 0 ? spans.low(carried) : spans.high(carried);
      double beyond = side == 0 ? free[i][0] - end : end - free[i][1];
      if (beyond > 0 && !spans.reached(carried)) {
        undecided |= beyond > worst[i][side];
      } else if (beyond > worst[i][side] + WORSE_PERCENT) {
        worst[i][side] = beyond;
        Moment corner = spans.end(carried, side == 1);
        keepRunsOut(corner, i, evaluate(corner).commandPercent()[path.channelBehind(i)]);
      }
    }
    return undecided;
  }

  /** Whether the bound passes where a linkage locks without being known to get there. */
  private boolean locks(int i, Spans spans) {
    int carried = path.carriedBehind(i);
    boolean undecided = false;
    for (int side = 0; side < SIDES; side++) {
      double end = side == 0 ? spans.low(carried) : spans.high(carried);
      double beyond = side == 0 ? locks[i][0] - end : end - locks[i][1];
      if (beyond > worstLock[i][side] + WORSE_PERCENT) {
        if (spans.reached(carried)) {
          worstLock[i][side] = beyond;
          keepLock(spans.end(carried, side == 1), i);
        } else {
          undecided = true;
        }
      }
    }
    return undecided;
  }

  private void keepLock(Moment corner, int i) {
    Positions there = evaluate(corner);
    double command = there.commandPercent()[path.channelBehind(i)];
    int locked = LostTravel.lockedBehind(path, i, command);
    Surface surface = setup.surfaces().get(i);
    Quantity percent = Quantity.percent(command);
    Quantity mm = Quantity.mm(there.travelMm()[i]);
    Said sum = together(corner, i, command);
    Said words =
        locked == i
            ? Said.of(
                "hazard.locks",
                "surface",
                surface.name(),
                "command",
                percent,
                "together",
                sum,
                "mm",
                mm)
            : Said.of(
                "hazard.locksThrough",
                "surface",
                surface.name(),
                "command",
                percent,
                "together",
                sum,
                "through",
                setup.surfaces().get(locked).name(),
                "mm",
                mm);
    search.keep(
        HazardKind.LINKAGE_LOCKS,
        surface.id(),
        Math.abs(command),
        words,
        search.way(corner),
        List.of(corner));
  }

  private Positions evaluate(Moment moment) {
    evaluated++;
    return path.evaluate(moment);
  }

  private void keepRunsOut(Moment corner, int i, double command) {
    Surface surface = setup.surfaces().get(i);
    double mm = LostTravel.mm(path, i, command);
    Said words =
        Said.of(
            "hazard.askedLoses",
            "surface",
            surface.name(),
            "command",
            Quantity.percent(command),
            "together",
            together(corner, i, command),
            "mm",
            Quantity.mm(mm),
            "linkage",
            mm < SEEN_MM,
            "rollLost",
            rollLost(corner, i));
    search.keep(HazardKind.RUNS_OUT, surface.id(), mm, words, search.way(corner), List.of(corner));
  }

  /** What adds up to a command, the most first. */
  private Said together(Moment corner, int i, double command) {
    List<Said> parts =
        TallyMaker.of(path, corner, i).lines().stream()
            .filter(line -> line.contribution().ordinal() <= Contribution.TRIM.ordinal())
            .filter(line -> line.percent() * command > 0)
            .filter(line -> Math.abs(line.percent()) >= NAMED_PERCENT)
            .sorted(Comparator.comparingDouble((TallyLine line) -> -Math.abs(line.percent())))
            .map(
                line ->
                    Said.of(
                        "hazard.text",
                        "label",
                        line.label(),
                        "percent",
                        Quantity.percent(line.percent())))
            .toList();
    return parts.isEmpty() ? Said.NOTHING : Said.of("hazard.together", "parts", parts);
  }

  /** How much of the roll is lost while pitch is held where the command is furthest. */
  private Said rollLost(Moment corner, int i) {
    int carried = path.carriedBehind(i);
    double share = setup.surfaces().get(carried).shares().roll();
    if (share == 0 || corner.roll() == 0 || corner.pitch() == 0) {
      return Said.NOTHING;
    }
    int channel = path.channelBehind(i);
    double level = evaluate(corner.with(Control.ROLL, 0)).commandPercent()[channel];
    double rolled = evaluate(corner).commandPercent()[channel];
    double wanted =
        Math.abs(LostTravel.freeMm(path, i, rolled) - LostTravel.freeMm(path, i, level));
    double given = Math.abs(LostTravel.realMm(path, i, rolled) - LostTravel.realMm(path, i, level));
    return Said.of(
        "hazard.rollLost", "given", Quantity.mm(wanted - given), "wanted", Quantity.mm(wanted));
  }

  /** Whether both surfaces of a contact can get that far in a state, sticks and levers anywhere. */
  private boolean mayTouch(int contact, Spans spans) {
    Contact one = setup.contacts().get(contact);
    return reaches(touches[contact][0], path.carriedBehind(path.indexOf(one.first())), spans)
        && reaches(touches[contact][1], path.carriedBehind(path.indexOf(one.second())), spans);
  }

  private static boolean reaches(double at, int carried, Spans spans) {
    return Double.isNaN(at)
        || carried < 0
        || (at >= 0 ? spans.high(carried) >= at : spans.low(carried) <= at);
  }

  /** Where a bound may be too wide: looked into, for the furthest there is. */
  private void corners(Moment state, AxisBox stretch, Spans spans) {
    for (int i = 0; i < touches.length; i++) {
      if (mayTouch(i, spans)) {
        touching(state, stretch, spans.phase(), i);
      }
    }
    for (int i = 0; i < setup.surfaces().size(); i++) {
      int carried = path.carriedBehind(i);
      boolean driven = setup.surfaces().get(i).rod().driver() == DriverKind.SERVO;
      for (int side = 0; side < SIDES && driven && carried >= 0; side++) {
        double end = side == 0 ? spans.low(carried) : spans.high(carried);
        double beyond = side == 0 ? free[i][0] - end : end - free[i][1];
        if (!spans.reached(carried) && beyond > worst[i][side] + WORSE_PERCENT) {
          furthest(state, stretch, spans.phase(), i, side);
        }
      }
      for (int side = 0; side < SIDES && carried >= 0; side++) {
        double end = side == 0 ? spans.low(carried) : spans.high(carried);
        double beyond = side == 0 ? locks[i][0] - end : end - locks[i][1];
        if (!spans.reached(carried) && beyond > worstLock[i][side] + WORSE_PERCENT) {
          furthestLock(state, stretch, spans.phase(), i, side);
        }
      }
    }
  }

  private void furthest(Moment state, AxisBox stretch, int phase, int i, int side) {
    int carried = path.carriedBehind(i);
    double sign = side == 0 ? -1 : 1;
    StillCommand asked = path.program().still(carried, state, phase);
    CommandRegion.Limit beyond =
        new CommandRegion.Limit(sign, 0, sign * free[i][side] + worst[i][side] + WORSE_PERCENT);
    CommandRegion region = CommandRegion.of(beyond, Double.POSITIVE_INFINITY, beyond);
    JointExtremes.Found found =
        most(new JointExtremes(asked, asked, state), region, search.axesOf(i), stretch);
    if (found != null) {
      worst[i][side] = found.size() - sign * free[i][side];
      keepRunsOut(found.at(), i, sign * found.size());
    }
  }

  private void furthestLock(Moment state, AxisBox stretch, int phase, int i, int side) {
    double sign = side == 0 ? -1 : 1;
    StillCommand asked = path.program().still(path.carriedBehind(i), state, phase);
    CommandRegion.Limit beyond =
        new CommandRegion.Limit(
            sign, 0, sign * locks[i][side] + worstLock[i][side] + WORSE_PERCENT);
    CommandRegion region = CommandRegion.of(beyond, Double.POSITIVE_INFINITY, beyond);
    JointExtremes.Found found =
        most(new JointExtremes(asked, asked, state), region, search.axesOf(i), stretch);
    if (found != null) {
      worstLock[i][side] = found.size() - sign * locks[i][side];
      keepLock(found.at(), i);
    }
  }

  private JointExtremes.Found most(
      JointExtremes extremes, CommandRegion region, Set<Integer> axes, AxisBox stretch) {
    JointExtremes.Found found = extremes.most(region, axes, stretch);
    evaluated += extremes.parts();
    search.work().spend(extremes.parts());
    sampled += extremes.undecided() ? 1 : 0;
    return found;
  }

  /** Whether the bounds let two surfaces touch: proven where neither turns back on its way. */
  private void touching(Moment state, AxisBox stretch, int phase, int contact) {
    Contact one = setup.contacts().get(contact);
    int first = path.carriedBehind(path.indexOf(one.first()));
    int second = path.carriedBehind(path.indexOf(one.second()));
    double from = touches[contact][0];
    double and = touches[contact][1];
    if (first < 0 || second < 0 || Double.isNaN(from) || Double.isNaN(and)) {
      sampled++;
      tried(state, stretch, phase, one);
      return;
    }
    CommandRegion.Limit beyond = new CommandRegion.Limit(Math.signum(from), 0, Math.abs(from));
    CommandRegion.Limit too = new CommandRegion.Limit(0, Math.signum(and), Math.abs(and));
    JointExtremes extremes =
        new JointExtremes(
            path.program().still(first, state, phase),
            path.program().still(second, state, phase),
            state);
    Set<Integer> axes = search.axesOf(path.indexOf(one.first()), path.indexOf(one.second()));
    CommandRegion region = CommandRegion.of(beyond, Math.abs(from), beyond, too);
    JointExtremes.Found found = most(extremes, region, axes, stretch);
    if (found != null) {
      keepTouch(one, found.at(), phase, found.size());
    }
  }

  private void tried(Moment state, AxisBox stretch, int phase, Contact contact) {
    int first = path.indexOf(contact.first());
    int second = path.indexOf(contact.second());
    ToDoubleFunction<Moment> one = travel(first, state, phase);
    ToDoubleFunction<Moment> other = travel(second, state, phase);
    MaximumSearch furthest =
        search.furthest(search.axesOf(first, second), stretch, state, phase, first, second);
    MaximumSearch.Found found =
        furthest.of(
            state,
            at ->
                Math.min(
                    beyond(one.applyAsDouble(at), contact.firstMm()),
                    beyond(other.applyAsDouble(at), contact.secondMm())),
            0);
    evaluated += furthest.tried();
    search.work().spend(furthest.tried());
    if (found.size() >= 0) {
      keepTouch(contact, found.at(), phase, found.size());
    }
  }

  private void keepTouch(Contact contact, Moment at, int phase, double size) {
    touching[setup.contacts().indexOf(contact)] = true;
    double[] mm = path.evaluate(at, phase).travelMm();
    Said words =
        Said.of(
            "hazard.touch",
            "item",
            setup.surface(contact.first()).orElseThrow().name(),
            "first",
            Quantity.mm(mm[path.indexOf(contact.first())]),
            "item2",
            setup.surface(contact.second()).orElseThrow().name(),
            "second",
            Quantity.mm(mm[path.indexOf(contact.second())]));
    search.keep(
        HazardKind.SURFACES_TOUCH,
        contact.first() + " " + contact.second(),
        size,
        words,
        search.way(at),
        List.of(at));
  }

  private ToDoubleFunction<Moment> travel(int surface, Moment state, int phase) {
    return LostTravel.travel(path, surface, state, phase, path.program().trims(state, phase));
  }

  /** How far beyond a limit, the limit's own way, mm. */
  private static double beyond(double travel, double limit) {
    return limit >= 0 ? travel - limit : limit - travel;
  }

  /** A control that moves nothing in some phase though it has a share somewhere. */
  @Override
  public void afterwards() {
    for (int phase = 0; phase < alive.length; phase++) {
      for (Control control : Control.values()) {
        if (meant(control) && example[phase] != null && !alive[phase][control.ordinal()]) {
          Phase dead = setup.phases().get(phase);
          Said words = Said.of("hazard.controlDead", "phase", dead.name(), "control", control);
          Moment moved = example[phase].with(control, 1);
          search.keep(
              HazardKind.CONTROL_DEAD,
              control.word() + " " + dead.id(),
              1,
              words,
              search.way(moved),
              List.of(moved));
        }
      }
    }
  }
}
