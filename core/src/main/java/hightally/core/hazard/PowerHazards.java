package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.hazard.SwitchLogic.Watch;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.InputRange;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.Reversers;
import hightally.core.signal.SignalPath;
import hightally.core.signal.StillCommand;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What every motor does without its control being moved: whether it stands still with the control
 * at rest, and what it does when one other thing changes, each motor by itself and with all that is
 * mixed onto it.
 *
 * <p>What a motor does in a state hangs on little: the phase's throttle curve, the mixes and rates
 * it can feel, whether it is held, the cells of the axes it hangs on, and the phase where a
 * surface's command is mixed onto it. Only what decides these is told; states alike in them have
 * one effect, those of one phase besides, whose fade it is, are one kind, and every pair of kinds
 * with different effects that a single change leads between is looked at once.
 *
 * <p>Long because states, their kinds and what leads between two of them share one numbering of
 * switches, cells and motors.
 */
final class PowerHazards implements HazardFinder {
  private static final int SHARE_PERCENT = 10;
  private static final double NOTHING = 1e-6;
  private static final double PERCENT = 100;
  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Power power;
  private final int surfaces;
  private final int throttleAxis;
  private final PowerRegions regions;
  private final Reversers reversers;
  private long evaluated;
  private long sampled;

  PowerHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    power = setup.power();
    surfaces = setup.surfaces().size();
    throttleAxis = search.throttleAxis();
    reversers = new Reversers(path);
    regions = new PowerRegions(power, setup.house().powerJumpPercent() / PERCENT);
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(HazardKind.CANNOT_STOP, HazardKind.MOTOR_STARTS, HazardKind.MOTOR_RISES);
  }

  @Override
  public int sharePercent() {
    return SHARE_PERCENT;
  }

  @Override
  public long evaluated() {
    return evaluated;
  }

  /** How many kinds, and pairs of kinds, were too bent to be looked at whole. */
  @Override
  public long sampled() {
    return sampled;
  }

  /** Every motor in every state, and at everything one change leads to. */
  @Override
  public void look() {
    int motors = setup.airframe().motors().size();
    for (int motor = 0; motor < motors; motor++) {
      OneMotor one = new OneMotor(motor);
      search.regions().each(one.watch, (cells, known) -> one.state(cells));
      one.changes((double) motor / motors, 1.0 / motors);
    }
  }

  /** One motor: what it can feel, and what was looked at already. */
  private final class OneMotor {
    private final int motor;
    private final Set<Integer> axes;
    private final boolean chained;
    private final long mixes;
    private final int feel;
    private final Watch watch;

    /** What a change can change: phases with one curve and one fade are alike in it. */
    private final Watch changing;

    private final Map<List<Object>, Integer> kinds = new HashMap<>();
    private final Map<List<Object>, Integer> effects = new HashMap<>();
    private final Set<List<Integer>> seen = new HashSet<>();
    private final Set<Integer> still = new HashSet<>();

    OneMotor(int motor) {
      this.motor = motor;
      Program.Hangs hangs = path.program().hangs(surfaces + motor);
      axes = new TreeSet<>(hangs.axes());
      mixes = hangs.mixes();
      chained = hangs.chained();
      feel = axes.stream().filter(axis -> axis < AxisPlaces.THROTTLE).mapToInt(a -> 1 << a).sum();
      BitSet lines = search.states().linesOn(axes::contains);
      int turns = setup.airframe().motors().get(motor).reverserChannel();
      setup
          .channel(turns)
          .map(channel -> setup.transmitter().inputIndex(channel.carries()))
          .ifPresent(
              input ->
                  lines.or(search.states().linesOn(a -> a == AxisPlaces.THROTTLE + 1 + input)));
      watch = new Watch(search.logic().eachPhase(), mixes, feel, true, lines);
      List<List<Object>> kindsOfPhase = new ArrayList<>();
      int[] phases = new int[setup.phases().size()];
      for (int i = 0; i < phases.length; i++) {
        Phase one = setup.phases().get(i);
        List<Object> same =
            List.of(power.curve(one.id()), one.fadeSeconds(), chained ? one.id() : "");
        if (!kindsOfPhase.contains(same)) {
          kindsOfPhase.add(same);
        }
        phases[i] = kindsOfPhase.indexOf(same);
      }
      changing = new Watch(phases, mixes, feel, true, lines);
    }

    private int effect(SwitchState state) {
      Program.Decision decision = state.decision();
      List<Object> effect = new ArrayList<>();
      effect.add(power.curve(setup.phases().get(state.phase()).id()));
      effect.add(chained ? state.phase() : 0);
      effect.add(decision.held());
      effect.add(decision.acting() & mixes);
      effect.add(feel != 0 ? decision.feel() : List.of());
      watch.lines().stream().forEach(line -> effect.add(state.at()[line]));
      effect.add(reversers.back(motor, state.moment()));
      return effects.computeIfAbsent(effect, key -> effects.size());
    }

    private int kind(SwitchState state, int effect) {
      return kinds.computeIfAbsent(List.of(state.phase(), effect), key -> kinds.size());
    }

    /** One state: whether the motor stands still in it. */
    void state(long[] cells) {
      SwitchState state = SwitchState.of(path, search.states(), cells);
      int known = kinds.size();
      int effect = effect(state);
      kind(state, effect);
      // What stands still in one phase does so in all that are alike for the motor.
      boolean asked = kinds.size() > known && !state.decision().held() && !still.contains(effect);
      if (asked && !atRest(state, cells)) {
        still.add(effect);
      }
    }

    /** Whether it runs with its control at rest, wherever all else stands. */
    private boolean atRest(SwitchState state, long[] cells) {
      AxisBox stretch = search.states().stretch(cells);
      if (stretch.from()[throttleAxis] > 0) {
        return false;
      }
      stretch.to()[throttleAxis] = 0;
      int phase = state.phase();
      StillCommand told = path.program().still(surfaces + motor, state.moment(), phase);
      JointExtremes extremes =
          new JointExtremes(told, told, AxisPlaces.at(state.moment(), throttleAxis, 0));
      JointExtremes.Found found = furthest(extremes, regions.running(), stretch);
      if (found != null) {
        double idle = power.power(told.applyAsDouble(found.at()));
        Said words =
            Said.of(
                "hazard.motorRunsClosed",
                "motor",
                motor(motor),
                "phase",
                setup.phases().get(phase).name(),
                "idle",
                Quantity.percent(PERCENT * idle));
        search.keep(
            HazardKind.CANNOT_STOP,
            subject(setup.phases().get(phase).id(), motor),
            idle,
            words,
            search.way(found.at()),
            List.of(found.at()));
      }
      return found != null;
    }

    /** The furthest any of the regions goes; null where there is nothing in them. */
    private JointExtremes.Found furthest(
        JointExtremes extremes, List<CommandRegion> looked, AxisBox stretch) {
      JointExtremes.Found furthest = null;
      long before = extremes.parts();
      for (CommandRegion region : looked) {
        JointExtremes.Found found = extremes.most(region, axes, stretch);
        boolean further = found != null && (furthest == null || found.size() > furthest.size());
        furthest = further ? found : furthest;
      }
      evaluated += extremes.parts() - before;
      search.work().spend(extremes.parts() - before);
      sampled += extremes.undecided() ? 1 : 0;
      return furthest;
    }

    /** Everything one change leads to. */
    void changes(double from, double share) {
      List<InputRange> lines = search.states().lines();
      SwitchLogic logic = search.logic();
      for (int which = 0; which < lines.size(); which++) {
        search.work().told(from + share * which / lines.size());
        if (isThrottle(lines.get(which)) || !logic.hangs(changing, which)) {
          continue;
        }
        for (int cell : logic.cells(which)) {
          for (int to : logic.cells(which)) {
            if (search.states().leads(which, cell, to)) {
              search.regions().changes(changing, which, cell, to, this::change);
            }
          }
        }
      }
    }

    private void change(DecisionRegions.Change change) {
      SwitchState was = SwitchState.of(path, search.states(), change.before());
      SwitchState is = SwitchState.of(path, search.states(), change.after());
      int effect = effect(was);
      int then = effect(is);
      if (effect != then && seen.add(List.of(kind(was, effect), kind(is, then), change.line()))) {
        change(was, is, change);
      }
    }

    private void change(SwitchState was, SwitchState is, DecisionRegions.Change change) {
      InputRange line = search.states().lines().get(change.line());
      Moment before = was.moment();
      Moment after = is.moment();
      AxisBox stretch = search.states().stretch(change.before());
      AxisBox other = search.states().stretch(change.after());
      int moved = line.axis();
      if (moved >= 0) {
        boolean up = other.from()[moved] > stretch.from()[moved];
        double from = line.kind().slides() && up ? stretch.to()[moved] : stretch.from()[moved];
        double there = line.kind().slides() && !up ? other.to()[moved] : other.from()[moved];
        before = AxisPlaces.at(before, moved, from);
        after = AxisPlaces.at(after, moved, there);
        stretch.from()[moved] = from;
        stretch.to()[moved] = from;
      }
      new AtChange(this, line, before, after, moved, stretch).look();
    }
  }

  /** A motor on a switch: flicking it is moving its control. */
  private boolean isThrottle(InputRange line) {
    return line.kind() == InputRange.Kind.SWITCH && line.axis() == throttleAxis;
  }

  /** One motor at one change, the axes it hangs on anywhere both states have. */
  private final class AtChange {
    private final OneMotor one;
    private final InputRange line;
    private final Moment before;
    private final Moment after;
    private final int moved;
    private final AxisBox stretch;
    private final int motor;
    private final int phaseBefore;
    private final int phaseAfter;
    private final boolean heldBefore;
    private final boolean heldAfter;

    /** Whether its controller is told to turn round by the change. */
    private final boolean round;

    private final StillCommand toldBefore;
    private final StillCommand toldAfter;

    AtChange(
        OneMotor one, InputRange line, Moment before, Moment after, int moved, AxisBox stretch) {
      this.one = one;
      motor = one.motor;
      this.line = line;
      this.before = before;
      this.after = after;
      this.moved = moved;
      this.stretch = stretch;
      phaseBefore = path.phase(before);
      phaseAfter = path.phase(after);
      heldBefore = path.program().held(before, phaseBefore);
      heldAfter = path.program().held(after, phaseAfter);
      round = reversers.back(motor, before) != reversers.back(motor, after);
      toldBefore = path.program().still(surfaces + motor, before, phaseBefore);
      toldAfter = path.program().still(surfaces + motor, after, phaseAfter);
    }

    void look() {
      if (heldAfter) {
        return;
      }
      JointExtremes extremes =
          new JointExtremes(
              toldBefore,
              toldAfter,
              before,
              after,
              moved,
              moved < 0 ? 0 : AxisPlaces.of(after, moved));
      if (!heldBefore) {
        tell(extremes, regions.starting());
        tell(extremes, regions.rising());
        tell(extremes, round ? regions.turnedRound() : regions.turning());
      } else if (power.power(power.cutPercent()) <= PowerRegions.STILL && moved != throttleAxis) {
        // What the motor's own lever lets go is started by it.
        letGo(extremes);
      }
    }

    /**
     * After a cut that is released only with the throttle closed nothing starts with it anywhere
     * else.
     */
    private void letGo(JointExtremes extremes) {
      if (!power.releaseWithStickBack()) {
        tell(extremes, regions.startingHeld());
      } else if (stretch.from()[throttleAxis] <= NOTHING) {
        stretch.to()[throttleAxis] = stretch.from()[throttleAxis];
        tell(extremes, regions.startingHeld());
      }
    }

    private void tell(JointExtremes extremes, List<CommandRegion> looked) {
      JointExtremes.Found found = one.furthest(extremes, looked, stretch);
      if (found != null) {
        report(found.at(), extremes.moved(found.at()));
      }
    }

    private void report(Moment at, Moment there) {
      double was = toldBefore.applyAsDouble(at);
      double is = toldAfter.applyAsDouble(there);
      double size = power.power(is) - power.power(was);
      boolean ran = !heldBefore && power.power(was) > PowerRegions.STILL;
      boolean backwards = round ? ran && !power.reverses(was, is) : power.reverses(was, is);
      double fade = fade(at, there, was);
      boolean softened =
          !heldBefore && !(round && backwards) && fade >= setup.house().softFadeSeconds();
      long changed = changed(at, there);
      boolean mendable =
          !heldBefore
              && !softened
              && !(round && backwards)
              && (phaseBefore != phaseAfter || changed != 0);
      Said words =
          Said.of(
              "hazard.switchMovesMotor",
              "name",
              search.states().name(line),
              "motor",
              motor(motor),
              "from",
              Quantity.percent(100 * power.power(was)),
              "size",
              Quantity.percent(100 * power.power(is)),
              "backwards",
              backwards,
              "phase",
              setup.phases().get(phaseBefore).name(),
              "phase2",
              setup.phases().get(phaseAfter).name(),
              "sliding",
              moved == throttleAxis,
              "fade",
              fade == 0
                  ? Said.NOTHING
                  : Said.of("hazard.overSeconds", "fade", Quantity.seconds(fade, 1)));
      List<Said> way = new ArrayList<>(search.states().words(at));
      way.addAll(search.sticks(at));
      way.add(
          Said.of(
              "hazard.throttle", "at", Quantity.percent(100 * AxisPlaces.of(at, throttleAxis))));
      way.add(search.states().change(line, there, cellOf(there)));
      search.keep(
          softened ? HazardKind.MOTOR_RISES : HazardKind.MOTOR_STARTS,
          subject(line.subject(), motor),
          Math.abs(size) + (backwards ? 1 : 0),
          words,
          way,
          List.of(at, there),
          mendable
              ? List.of(search.fading(phaseAfter, phaseBefore != phaseAfter, changed))
              : List.of());
    }

    /** Which mixes that this motor can feel come in or go. */
    private long changed(Moment at, Moment there) {
      long acted = path.program().decided(at, phaseBefore).acting();
      long acts = path.program().decided(there, phaseAfter).acting();
      return (acted ^ acts) & path.program().hangs(surfaces + motor).mixes();
    }

    private int cellOf(Moment there) {
      return line.kind() == InputRange.Kind.WAITING && there.readings().truths().get(line.index())
          ? 0
          : 1;
    }

    /**
     * How long it takes to rise, seconds: over the fade of the phase that comes on where one does,
     * or where cut or arming let go; what mixes with a fade of their own bring, over theirs. The
     * shortest where several make it rise.
     */
    private double fade(Moment at, Moment there, double was) {
      if (heldBefore) {
        return setup.phases().get(phaseAfter).fadeSeconds();
      }
      double shortest = Double.POSITIVE_INFINITY;
      double[] parts = search.atOnce(at, phaseBefore);
      double atOnce = path.program().commands(there, phaseAfter, parts)[surfaces + motor];
      for (int i = 0; i < parts.length; i++) {
        parts[i] = path.program().wanted(i, there, phaseAfter) ? parts[i] : 0;
      }
      // What goes takes its power with it at once, and what held power back goes slowly.
      double gone = path.program().commands(there, phaseAfter, parts)[surfaces + motor];
      if (jumps(was, atOnce) && jumps(was, gone)) {
        shortest = phaseBefore == phaseAfter ? 0 : setup.phases().get(phaseAfter).fadeSeconds();
      }
      long changed = changed(at, there);
      for (int i = 0; i < setup.mixes().size(); i++) {
        double own = setup.mixes().get(i).fadeSeconds();
        if ((changed & 1L << i) != 0 && own > 0) {
          shortest = Math.min(shortest, own);
        }
      }
      return shortest == Double.POSITIVE_INFINITY ? 0 : shortest;
    }
  }

  private boolean jumps(double was, double is) {
    return power.power(is) - power.power(was) > NOTHING || power.reverses(was, is);
  }

  /** The motor's name where there are several. */
  private Said motor(int motor) {
    List<Motor> all = setup.airframe().motors();
    return all.size() > 1 ? Said.text(all.get(motor).name()) : Said.of("hazard.theMotor");
  }

  private String subject(String id, int motor) {
    List<Motor> all = setup.airframe().motors();
    return all.size() > 1 ? id + " " + all.get(motor).id() : id;
  }
}
