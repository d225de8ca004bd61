package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.power.Power;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.Reversers;
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
 * What every motor does without its control being moved: whether it stands still with the control
 * at rest, and what it does when one other thing changes, each motor by itself and with all that is
 * mixed onto it.
 *
 * <p>What a motor does in a state hangs on little: the phase's throttle curve, the mixes and rates
 * it can feel, whether it is held, the cells of the axes it hangs on, and the phase where a
 * surface's command is mixed onto it. States alike in that have one effect; those of one phase
 * besides, whose fade it is, are one kind, and every pair of kinds with different effects that a
 * single change leads between is looked at once.
 */
final class PowerHazards {
  private static final double NOTHING = 1e-6;
  private static final double PERCENT = 100;
  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Power power;
  private final int surfaces;
  private final int throttleAxis;
  private final List<Integer> axes;
  private final List<Integer> cellLines;
  private final long mixes;
  private final boolean chained;
  private final PowerRegions regions;
  private final Reversers reversers;
  private final Map<List<Object>, Integer> kinds = new HashMap<>();
  private final Map<List<Object>, Integer> effects = new HashMap<>();

  private final int[] kindOf;
  private final int[] effectOf;
  private long evaluated;
  private long sampled;

  PowerHazards(HazardSearch search, int count) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    power = setup.power();
    surfaces = setup.surfaces().size();
    throttleAxis = search.throttleAxis();
    Set<Integer> on = new TreeSet<>();
    long felt = 0;
    boolean flows = false;
    for (int motor = 0; motor < setup.airframe().motors().size(); motor++) {
      Program.Hangs hangs = path.program().hangs(surfaces + motor);
      on.addAll(hangs.axes());
      felt |= hangs.mixes();
      flows |= hangs.chained();
    }
    mixes = felt;
    chained = flows;
    axes = List.copyOf(on);
    cellLines = search.states().linesOn(axes::contains);
    reversers = new Reversers(path);
    regions = new PowerRegions(power, setup.house().powerJumpPercent() / PERCENT);
    kindOf = new int[setup.airframe().motors().isEmpty() ? 0 : count];
    effectOf = new int[kindOf.length];
  }

  long evaluated() {
    return evaluated;
  }

  /** How many kinds, and pairs of kinds, were too bent to be looked at whole. */
  long sampled() {
    return sampled;
  }

  /** One state: which kind it is, and whether the motors stand still in it. */
  void state(State state) {
    if (kindOf.length == 0) {
      return;
    }
    Program.Decision decision = state.decision();
    List<Object> effect = new ArrayList<>();
    effect.add(power.curve(setup.phases().get(state.phase()).id()));
    effect.add(chained ? state.phase() : 0);
    effect.add(decision.held());
    effect.add(decision.acting() & mixes);
    effect.add(feelsSticks() ? decision.feel() : List.of());
    cellLines.forEach(line -> effect.add(state.at()[line]));
    for (int motor = 0; motor < setup.airframe().motors().size(); motor++) {
      effect.add(reversers.back(motor, state.moment()));
    }
    effectOf[state.number()] = effects.computeIfAbsent(effect, key -> effects.size());
    List<Object> kind = List.of(state.phase(), effectOf[state.number()]);
    int known = kinds.size();
    kindOf[state.number()] = kinds.computeIfAbsent(kind, key -> kinds.size());
    if (kinds.size() > known && !decision.held()) {
      atRest(state);
    }
  }

  private boolean feelsSticks() {
    return axes.get(0) < Places.THROTTLE;
  }

  /** With its control at rest, whatever else stands where. */
  private void atRest(State state) {
    Moment moment = state.moment();
    Stretch stretch = search.states().stretch(state.number());
    if (stretch.from()[throttleAxis] > 0) {
      return;
    }
    stretch.to()[throttleAxis] = 0;
    int phase = state.phase();
    for (int motor = 0; motor < setup.airframe().motors().size(); motor++) {
      int one = motor;
      StillCommand told = path.program().still(surfaces + one, moment, phase);
      Attained attained = new Attained(told, told, Places.at(moment, throttleAxis, 0));
      Attained.Found found = furthest(attained, regions.running(), stretch);
      if (found != null) {
        double idle = power.power(told.applyAsDouble(found.at()));
        Said words =
            Said.of(
                "hazard.phaseMotorRunsThrottleAll",
                "motor",
                motor(one),
                "phase",
                setup.phases().get(phase).name(),
                "idle",
                Quantity.percent(PERCENT * idle));
        search.keep(
            HazardKind.CANNOT_STOP,
            subject(setup.phases().get(phase).id(), one),
            idle,
            words,
            search.way(found.at()),
            List.of(found.at()));
      }
    }
  }

  /** The furthest any of the regions goes; null where there is nothing in them. */
  private Attained.Found furthest(Attained attained, List<Region> looked, Stretch stretch) {
    Attained.Found furthest = null;
    for (Region region : looked) {
      Attained.Found found = attained.most(region, axes, stretch);
      boolean further = found != null && (furthest == null || found.size() > furthest.size());
      furthest = further ? found : furthest;
    }
    evaluated += attained.parts();
    sampled += attained.undecided() ? 1 : 0;
    return furthest;
  }

  /**
   * Everything one change leads to.
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
      int[] at = search.states().at(number);
      for (int which = 0; which < lines.size(); which++) {
        if (isThrottle(lines.get(which))) {
          continue;
        }
        for (int cell : search.states().from(which, at[which])) {
          int to = (int) search.states().number(number, which, cell);
          boolean alike = effectOf[number] == effectOf[to];
          long pair = ((long) kindOf[number] * kinds.size() + kindOf[to]) * lines.size() + which;
          if (!alike && seen.add(pair)) {
            change(number, to, which);
          }
        }
      }
    }
    return true;
  }

  /** A motor on a switch: flicking it is moving its control. */
  private boolean isThrottle(Line line) {
    return line.kind() == Line.Kind.SWITCH && States.axis(line) == throttleAxis;
  }

  private void change(int number, int to, int which) {
    Line line = search.states().lines().get(which);
    Moment before = search.states().moment(number);
    Moment after = search.states().moment(to);
    Stretch stretch = search.states().stretch(number);
    Stretch other = search.states().stretch(to);
    int moved = States.axis(line);
    if (moved >= 0) {
      boolean up = other.from()[moved] > stretch.from()[moved];
      double from = line.kind().slides() && up ? stretch.to()[moved] : stretch.from()[moved];
      double there = line.kind().slides() && !up ? other.to()[moved] : other.from()[moved];
      before = Places.at(before, moved, from);
      after = Places.at(after, moved, there);
      stretch.from()[moved] = from;
      stretch.to()[moved] = from;
    }
    for (int motor = 0; motor < setup.airframe().motors().size(); motor++) {
      new Change(line, before, after, moved, stretch, motor).look();
    }
  }

  /** One motor at one change, the axes it hangs on anywhere both states have. */
  private final class Change {
    private final Line line;
    private final Moment before;
    private final Moment after;
    private final int moved;
    private final Stretch stretch;
    private final int motor;
    private final int phaseBefore;
    private final int phaseAfter;
    private final boolean heldBefore;
    private final boolean heldAfter;

    /** Whether its controller is told to turn round by the change. */
    private final boolean round;

    private final StillCommand toldBefore;
    private final StillCommand toldAfter;

    Change(Line line, Moment before, Moment after, int moved, Stretch stretch, int motor) {
      this.line = line;
      this.before = before;
      this.after = after;
      this.moved = moved;
      this.stretch = stretch;
      this.motor = motor;
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
      Attained attained =
          new Attained(
              toldBefore, toldAfter, before, after, moved, moved < 0 ? 0 : Places.of(after, moved));
      if (!heldBefore) {
        tell(attained, regions.starting());
        tell(attained, regions.rising());
        tell(attained, round ? regions.turnedRound() : regions.turning());
      } else if (power.power(power.cutPercent()) <= PowerRegions.STILL) {
        letGo(attained);
      }
    }

    /** After a cut that lets go only with the stick back nothing starts with it anywhere else. */
    private void letGo(Attained attained) {
      if (!power.releaseWithStickBack()) {
        tell(attained, regions.startingHeld());
      } else if (stretch.from()[throttleAxis] <= NOTHING) {
        stretch.to()[throttleAxis] = stretch.from()[throttleAxis];
        tell(attained, regions.startingHeld());
      }
    }

    private void tell(Attained attained, List<Region> looked) {
      Attained.Found found = furthest(attained, looked, stretch);
      if (found != null) {
        report(found.at(), attained.moved(found.at()));
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
              "hazard.takesMotorFromStickUnmoved",
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
          Said.of("hazard.throttle", "at", Quantity.percent(100 * Places.of(at, throttleAxis))));
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
      return line.kind() == Line.Kind.WAITING && there.readings().truths().get(line.index())
          ? 0
          : 1;
    }

    /**
     * How long it takes to rise, seconds: over the fade of the phase that comes on where one does,
     * or where cut or arming let go; else, if all of it comes from mixes that fade, over theirs.
     */
    private double fade(Moment at, Moment there, double was) {
      if (phaseBefore != phaseAfter || heldBefore) {
        return setup.phases().get(phaseAfter).fadeSeconds();
      }
      long changed = changed(at, there);
      double longest = 0;
      for (int i = 0; i < setup.mixes().size(); i++) {
        boolean goes = (changed & 1L << i) != 0;
        longest = goes ? Math.max(longest, setup.mixes().get(i).fadeSeconds()) : longest;
      }
      if (longest == 0) {
        return 0;
      }
      double atOnce =
          path.program()
              .commands(there, phaseAfter, search.atOnce(at, phaseBefore))[surfaces + motor];
      boolean jumps =
          power.power(atOnce) - power.power(was) > NOTHING || power.reverses(was, atOnce);
      return jumps ? 0 : longest;
    }
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
