package hightally.core.signal;

import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntFunction;

/**
 * The transmitter's program made ready to run: a moment to the command of every surface and motor.
 *
 * <p>A command is a sum of {@link Term terms}: response and shares, differential, levers, the
 * phase's preset, mixes, trim. One that comes from another surface's command is added once that
 * command is finished, so the order in which mixes are listed never matters.
 */
public final class Program {
  private final Setup setup;
  private final Conditions conditions;
  private final Feels feels;
  private final MotorHold hold;
  private final Gate[] mixes;
  private final Target[] targets;
  private final int[] order;
  private final int[][] flowing;
  private final Signals signals;
  private final boolean motorsAlone;

  /** The mixes with a fade of their own, a bit each. */
  private final long fading;

  /** When a mix acts. */
  private record Gate(int when, boolean[] phases, boolean fades) {}

  Program(Setup setup) {
    this.setup = setup;
    conditions = new Conditions(setup);
    feels = new Feels(setup, conditions);
    hold = new MotorHold(setup, conditions);
    mixes =
        setup.mixes().stream()
            .map(
                one ->
                    new Gate(
                        conditions.index(one.when()),
                        Conditions.inPhases(setup, one.phases()),
                        one.fadeSeconds() > 0))
            .toArray(Gate[]::new);
    long own = 0;
    for (int i = 0; i < mixes.length; i++) {
      own |= mixes[i].fades() ? 1L << i : 0;
    }
    fading = own;
    TermMaker maker = new TermMaker(setup);
    targets = maker.targets().toArray(Target[]::new);
    signals = maker.signals();
    order = sourcesFirst();
    flowing = new int[targets.length][];
    Arrays.setAll(flowing, this::flowingInto);
    motorsAlone =
        setup.mixes().stream()
            .flatMap(mix -> mix.targets().stream())
            .allMatch(one -> setup.surface(one.target()).isPresent());
  }

  /** Every target after those whose commands flow into it; a checked setup has no loops. */
  private int[] sourcesFirst() {
    List<Integer> sorted = new ArrayList<>();
    while (sorted.size() < targets.length) {
      int before = sorted.size();
      for (int i = 0; i < targets.length; i++) {
        if (!sorted.contains(i) && sorted.containsAll(targets[i].needs())) {
          sorted.add(i);
        }
      }
      if (sorted.size() == before) {
        throw new IllegalStateException("A checked setup has no mix loops");
      }
    }
    return sorted.stream().mapToInt(Integer::intValue).toArray();
  }

  /** The conditions of the setup. */
  public Conditions conditions() {
    return conditions;
  }

  /** Surfaces and motors together. */
  int size() {
    return targets.length;
  }

  int surfaceCount() {
    return setup.surfaces().size();
  }

  Target target(int index) {
    return targets[index];
  }

  /** Every target after those whose commands flow into it. */
  int[] order() {
    return order;
  }

  /** What phases, switches and conditions decide at a moment. */
  Decisions standing(Moment moment, int phase) {
    return standing(moment, phase, null);
  }

  private Decisions standing(Moment moment, int phase, double[] weights) {
    long acting = 0;
    for (int i = 0; i < mixes.length; i++) {
      Gate gate = mixes[i];
      boolean acts =
          weights == null || !gate.fades()
              ? conditions.active(gate.when(), gate.phases(), moment, phase)
              : weights[i] > 0;
      acting |= acts ? 1L << i : 0;
    }
    Feels.Decided feel = feels.at(moment, phase);
    return new Decisions(phase, feel, acting, held(moment, phase), weights);
  }

  /**
   * What switches and conditions have decided at a moment: while it stays, commands depend on
   * sticks and levers only.
   *
   * @param feel the set that decides each control; -1 for none
   * @param acting the mixes that act, a bit each
   */
  public record Decision(int phase, List<Integer> feel, long acting, boolean held) {}

  /** What has been decided at a moment. */
  public Decision decided(Moment moment, int phase) {
    Decisions standing = standing(moment, phase);
    List<Integer> feel = Arrays.stream(standing.feel().sets()).boxed().toList();
    return new Decision(phase, feel, standing.acting(), standing.held());
  }

  /**
   * What a command can hang on, in whatever phase.
   *
   * @param axes roll, pitch, yaw, throttle, then the levers and switches, by number
   * @param mixes a bit each
   * @param chained whether another surface's command flows into it, with the phase's presets, trims
   *     and differential
   */
  public record Hangs(Set<Integer> axes, long mixes, boolean chained) {}

  /** What the command of a surface, or behind them of a motor, can hang on. */
  public Hangs hangs(int target) {
    Set<Integer> axes = new TreeSet<>();
    long mixesOn = 0;
    for (int one : flowing[target]) {
      for (int phase = 0; phase < setup.phases().size(); phase++) {
        for (Term term : targets[one].terms(phase)) {
          if (term.signal().axis() != Axis.NONE) {
            axes.add(term.signal().axis());
          }
          mixesOn |= term.mix() < 0 ? 0 : 1L << term.mix();
        }
      }
    }
    return new Hangs(axes, mixesOn, flowing[target].length > 1);
  }

  /** The axes that what a mix is made from can hang on. */
  public int[] axesOf(int mix) {
    Set<Integer> axes = new TreeSet<>();
    for (Target target : targets) {
      for (Term term : target.terms(0)) {
        if (term.mix() == mix) {
          if (term.signal().axis() != Axis.NONE) {
            axes.add(term.signal().axis());
          }
          if (term.signal().command() >= 0) {
            axes.addAll(hangs(term.signal().command()).axes());
          }
        }
      }
    }
    return axes.stream().mapToInt(Integer::intValue).toArray();
  }

  /** A target behind all whose commands flow into it. */
  private int[] flowingInto(int target) {
    Set<Integer> found = new TreeSet<>();
    Deque<Integer> left = new ArrayDeque<>(List.of(target));
    while (!left.isEmpty()) {
      int one = left.pop();
      if (found.add(one)) {
        left.addAll(targets[one].needs());
      }
    }
    return Arrays.stream(order).filter(found::contains).toArray();
  }

  /**
   * The command of one surface or motor while nothing switches: what has been decided at a moment
   * stays decided, wherever sticks and levers go from there.
   */
  public StillCommand still(int target, Moment state, int phase, Trims trims) {
    return new StillCommand(this, target, flowing[target], standing(state, phase), trims);
  }

  /**
   * The same while mixes with a fade of their own come in or go.
   *
   * @param weights how far each mix has come in, 0 to 1
   */
  public StillCommand still(int target, Moment state, int phase, double[] weights) {
    Decisions standing = standing(state, phase, weights);
    return new StillCommand(this, target, flowing[target], standing, trims(state, phase));
  }

  /** The same with the trims that are in effect there. */
  public StillCommand still(int target, Moment state, int phase) {
    return still(target, state, phase, trims(state, phase));
  }

  /** The commands of all surfaces, then of all motors, percent. */
  public double[] commands(Moment moment, int phase) {
    return commands(moment, phase, trims(moment, phase));
  }

  /** The same with given trims in effect, whether the phase has its own or not. */
  double[] commands(Moment moment, int phase, Trims trims) {
    return run(moment, phase, trims).commands();
  }

  /**
   * The same while mixes with a fade of their own come in or go.
   *
   * @param weights how far each mix has come in, 0 to 1; those without a fade at 1
   */
  public double[] commands(Moment moment, int phase, double[] weights) {
    return run(moment, standing(moment, phase, weights), trims(moment, phase)).commands();
  }

  /** Whether a mix is on: its condition is true and its phase is. */
  public boolean wanted(int mix, Moment moment, int phase) {
    return conditions.active(mixes[mix].when(), mixes[mix].phases(), moment, phase);
  }

  /**
   * How far mixes with a fade of their own have come in: a part each, 0 to 1. What a motor has of
   * them is asked for apart, since power falls at once.
   */
  public interface Parts {
    /** How far a mix has come in for the surfaces. */
    double ofSurfaces(int mix);

    /**
     * How far a mix has come in for one motor.
     *
     * @param adds what it adds to the motor once it is all in, percent
     * @param rest what the motor is told without any such mix, percent
     */
    double ofMotor(int mix, int motor, double adds, double rest);
  }

  /**
   * The commands of all surfaces, then of all motors, while phases fade into one another: every
   * surface has the weighted sum of what each phase asks for, and with it what mixes with a fade of
   * their own add, which is no phase's: their source is the weighted one. Motors have what the
   * phase that is on asks for.
   *
   * @param seen the moment as a phase sees it
   * @param weights of the phases, together 1
   * @param on the phase that is on
   */
  public double[] faded(IntFunction<Moment> seen, double[] weights, int on, Parts parts) {
    Evaluation[] runs = new Evaluation[weights.length];
    for (int i = 0; i < runs.length; i++) {
      if (i == on || weights[i] > 0) {
        Moment moment = seen.apply(i);
        Decisions standing = standing(moment, i);
        long acting = standing.acting() & ~fading;
        runs[i] =
            begun(
                moment,
                new Decisions(i, standing.feel(), acting, standing.held(), null),
                trims(moment, i));
      }
    }
    double[] commands = new double[targets.length];
    for (int target : order) {
      boolean motor = targets[target].isMotor();
      double rest = targets[target].sum(runs[on]);
      double own = 0;
      for (Term term : targets[target].terms(on)) {
        if (term.mix() >= 0 && (fading & 1L << term.mix()) != 0) {
          double adds = term.of(weighted(term.signal(), runs, weights));
          own +=
              adds
                  * (motor
                      ? parts.ofMotor(term.mix(), target - surfaceCount(), adds, rest)
                      : parts.ofSurfaces(term.mix()));
        }
      }
      for (int i = 0; i < runs.length; i++) {
        if (runs[i] != null) {
          double sum = (i == on ? rest : targets[target].sum(runs[i])) + own;
          sum = motor ? hold.command(sum, runs[i].standing().held()) : sum;
          runs[i].put(target, sum);
          commands[target] += motor ? 0 : weights[i] * sum;
        }
      }
      commands[target] = motor ? runs[on].command(target) : commands[target];
    }
    return commands;
  }

  private static double weighted(Signal signal, Evaluation[] runs, double[] weights) {
    double sum = 0;
    for (int i = 0; i < runs.length; i++) {
      sum += runs[i] == null || weights[i] == 0 ? 0 : weights[i] * runs[i].value(signal);
    }
    return sum;
  }

  /** A run whose signals are known and whose commands are not worked out yet. */
  Evaluation begun(Moment moment, Decisions standing, Trims trims) {
    return new Evaluation(moment, standing, trims, signals, targets.length);
  }

  /** All commands worked out, with what they were worked out from. */
  Evaluation run(Moment moment, int phase, Trims trims) {
    return run(moment, standing(moment, phase), trims);
  }

  private Evaluation run(Moment moment, Decisions standing, Trims trims) {
    Evaluation run = begun(moment, standing, trims);
    for (int i : order) {
      run.put(i, finished(i, run));
    }
    return run;
  }

  /** A command once all that flows into it is worked out. */
  double finished(int target, Evaluation run) {
    double sum = targets[target].sum(run);
    return targets[target].isMotor() ? hold.command(sum, run.standing().held()) : sum;
  }

  /** How hard the motors are told to turn in a phase, 0 to 1: the hardest of them. */
  double motorPower(Moment moment, int phase) {
    return surfaceCount() == size() ? 0 : setup.power().power(motorCommand(moment, phase));
  }

  /** The command of the motor that is told to turn hardest, percent; 0 where there is none. */
  double motorCommand(Moment moment, int phase) {
    if (surfaceCount() == size()) {
      return 0;
    }
    if (motorsAlone) {
      Signal motor = signals.motor();
      Decisions standing = new Decisions(phase, null, 0, held(moment, phase), null);
      double asked = motor.along(Axis.place(moment, motor.axis()), standing);
      return hold.command(asked, standing.held());
    }
    double[] commands = commands(moment, phase);
    double hardest = commands[surfaceCount()];
    for (int i = surfaceCount(); i < commands.length; i++) {
      boolean harder = setup.power().power(commands[i]) > setup.power().power(hardest);
      hardest = harder ? commands[i] : hardest;
    }
    return hardest;
  }

  /** Whether cut or arming hold the motors. */
  public boolean held(Moment moment, int phase) {
    return hold.holds(moment, phase);
  }

  /** The trims in effect at a moment in a phase. */
  public Trims trims(Moment moment, int phase) {
    Phase now = setup.phases().get(phase);
    return now.ownRoll() || now.ownPitch() || now.ownYaw()
        ? now.effective(moment.trims())
        : moment.trims();
  }

  double share(int surface, Control control) {
    return setup.surfaces().get(surface).shares().of(control);
  }
}
