package hightally.core.signal;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.mix.Curve;
import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixFunction;
import hightally.core.mix.MixSource;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.response.FeelSet;
import hightally.core.response.ResponseCurve;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The transmitter's program made ready to run: a moment to the command of every surface and motor.
 *
 * <p>Response and shares, differential, levers, the phase's preset, mixes, trim. Mixes from sticks,
 * levers and the throttle come first; one from a surface's command after everything that flows into
 * that surface, so the order in which mixes are listed never matters.
 */
public final class Program {
  // What is not private here is read by CommandSpans, which bounds what is evaluated here.
  private static final Control[] CONTROLS = Control.values();
  private static final double PERCENT = 100;

  final Setup setup;
  private final Conditions conditions;
  private final ResponseCurve[] plainFeel = new ResponseCurve[CONTROLS.length];
  final FeelSet[] sets;
  private final ResponseCurve[][] setFeel;
  private final boolean[][] setPhases;
  private final double[][] shares;
  private final int[][] leverInputs;
  private final double[][] leverShares;
  private final double[][] presets;
  private final double[][] differential;
  private final Trims[] ownTrims;
  final Mix[] mixes;
  final MixFunction[] functions;
  private final boolean[][] mixPhases;
  private final int[] mixWhen;
  private final int[] setWhen;
  private final Control[] sourceControl;
  private final boolean motorsMixed;
  final int[][] targets;
  final double[][] factors;
  final int[] sourceSurface;
  final int[] sourceInput;
  final Curve[] throttleCurves;
  final int surfaceCount;
  private final int motorCount;
  final int throttleInput;
  private final int cutWhen;
  private final int armWhen;

  Program(Setup setup) {
    this.setup = setup;
    conditions = new Conditions(setup);
    surfaceCount = setup.surfaces().size();
    motorCount = setup.airframe().motors().size();
    for (Control control : CONTROLS) {
      plainFeel[control.ordinal()] = ResponseCurve.of(setup.feel().of(control));
    }
    sets = setup.feelSets().toArray(FeelSet[]::new);
    setFeel =
        Arrays.stream(sets)
            .map(
                set ->
                    Arrays.stream(CONTROLS)
                        .map(control -> ResponseCurve.of(set.feel().of(control)))
                        .toArray(ResponseCurve[]::new))
            .toArray(ResponseCurve[][]::new);
    setPhases =
        Arrays.stream(sets)
            .map(set -> Conditions.inPhases(setup, set.phases()))
            .toArray(boolean[][]::new);
    List<Surface> surfaces = setup.surfaces();
    shares =
        surfaces.stream()
            .map(one -> Arrays.stream(CONTROLS).mapToDouble(one.shares()::of).toArray())
            .toArray(double[][]::new);
    leverInputs =
        surfaces.stream()
            .map(
                one ->
                    one.shares().levers().stream()
                        .mapToInt(lever -> setup.transmitter().inputIndex(lever.input()))
                        .toArray())
            .toArray(int[][]::new);
    leverShares =
        surfaces.stream()
            .map(one -> one.shares().levers().stream().mapToDouble(LeverShare::share).toArray())
            .toArray(double[][]::new);
    presets = perPhase((phase, surface) -> setup.phases().get(phase).presetPercent(surface));
    differential = perPhase((phase, surface) -> setup.phases().get(phase).differential(surface));
    ownTrims = setup.phases().stream().map(phase -> phase.trims()).toArray(Trims[]::new);
    mixes = MixOrder.of(setup).toArray(Mix[]::new);
    functions = Arrays.stream(mixes).map(MixFunction::of).toArray(MixFunction[]::new);
    mixPhases =
        Arrays.stream(mixes)
            .map(mix -> Conditions.inPhases(setup, mix.phases()))
            .toArray(boolean[][]::new);
    targets =
        Arrays.stream(mixes)
            .map(mix -> mix.targets().stream().mapToInt(one -> targetIndex(one.target())).toArray())
            .toArray(int[][]::new);
    mixWhen = Arrays.stream(mixes).mapToInt(mix -> conditions.index(mix.when())).toArray();
    setWhen = Arrays.stream(sets).mapToInt(set -> conditions.index(set.when())).toArray();
    sourceControl =
        Arrays.stream(mixes)
            .map(
                mix ->
                    mix.source() == MixSource.STICK || mix.source() == MixSource.RESPONSE
                        ? Control.named(mix.subject())
                        : null)
            .toArray(Control[]::new);
    motorsMixed =
        Arrays.stream(targets).flatMapToInt(Arrays::stream).anyMatch(to -> to >= surfaceCount);
    factors =
        Arrays.stream(mixes)
            .map(mix -> mix.targets().stream().mapToDouble(MixTarget::factor).toArray())
            .toArray(double[][]::new);
    sourceSurface =
        Arrays.stream(mixes)
            .mapToInt(mix -> mix.source() == MixSource.SURFACE ? targetIndex(mix.subject()) : -1)
            .toArray();
    sourceInput =
        Arrays.stream(mixes)
            .mapToInt(mix -> setup.transmitter().inputIndex(mix.subject()))
            .toArray();
    throttleCurves = throttleCurves();
    throttleInput = setup.transmitter().inputIndex(setup.power().throttleInput());
    cutWhen = conditions.index(setup.power().cutWhen());
    armWhen = conditions.index(setup.power().armWhen());
  }

  private interface PerSurface {
    double of(int phase, String surface);
  }

  private double[][] perPhase(PerSurface value) {
    double[][] table = new double[setup.phases().size()][surfaceCount];
    for (int phase = 0; phase < table.length; phase++) {
      for (int i = 0; i < surfaceCount; i++) {
        table[phase][i] = value.of(phase, setup.surfaces().get(i).id());
      }
    }
    return table;
  }

  /** Surfaces come first, motors behind them. */
  private int targetIndex(String id) {
    for (int i = 0; i < surfaceCount; i++) {
      if (setup.surfaces().get(i).id().equals(id)) {
        return i;
      }
    }
    List<String> motors = setup.airframe().motors().stream().map(Motor::id).toList();
    return surfaceCount + motors.indexOf(id);
  }

  private Curve[] throttleCurves() {
    Curve[] curves = new Curve[setup.phases().size()];
    for (int i = 0; i < curves.length; i++) {
      curves[i] = Curve.of(throttlePoints(i));
    }
    return curves;
  }

  /** The throttle curve of a phase. */
  List<CurvePoint> throttlePoints(int phase) {
    return setup.power().curve(setup.phases().get(phase).id()).points();
  }

  /** The conditions of the setup. */
  public Conditions conditions() {
    return conditions;
  }

  /** Surfaces and motors together. */
  int size() {
    return surfaceCount + motorCount;
  }

  /** The commands of all surfaces, then of all motors, percent. */
  public double[] commands(Moment moment, int phase) {
    return commands(moment, phase, trims(moment, phase));
  }

  /** The same with given trims in effect, whether the phase has its own or not. */
  double[] commands(Moment moment, int phase, Trims trims) {
    double[] commands = new double[size()];
    double roll = response(Control.ROLL, moment, phase);
    double pitch = response(Control.PITCH, moment, phase);
    double yaw = response(Control.YAW, moment, phase);
    double click = setup.transmitter().clickStepPercent();
    for (int i = 0; i < surfaceCount; i++) {
      double[] share = shares[i];
      double command =
          rollPart(i, phase, roll)
              + PERCENT * (share[1] * pitch + share[2] * yaw)
              + presets[phase][i]
              + click
                  * (share[0] * trims.roll() + share[1] * trims.pitch() + share[2] * trims.yaw());
      for (int lever = 0; lever < leverInputs[i].length; lever++) {
        command += leverPart(i, lever, moment);
      }
      commands[i] = command;
    }
    boolean held = held(moment, phase);
    double throttle = throttleCurves[phase].value(throttlePercent(moment));
    for (int i = 0; i < motorCount; i++) {
      commands[surfaceCount + i] = throttle;
    }
    for (int i = 0; i < mixes.length; i++) {
      mix(i, moment, phase, commands, throttle, held);
    }
    for (int i = 0; i < motorCount; i++) {
      double command = commands[surfaceCount + i];
      commands[surfaceCount + i] =
          held ? setup.power().cutPercent() : Math.max(-PERCENT, Math.min(PERCENT, command));
    }
    return commands;
  }

  private void mix(
      int i, Moment moment, int phase, double[] commands, double throttle, boolean held) {
    if (!acts(i, moment, phase)) {
      return;
    }
    double value = functions[i].value(source(i, moment, phase, commands, throttle, held));
    for (int t = 0; t < targets[i].length; t++) {
      commands[targets[i][t]] += factors[i][t] * value;
    }
  }

  boolean acts(int mix, Moment moment, int phase) {
    return conditions.active(mixWhen[mix], mixPhases[mix], moment, phase);
  }

  private double source(
      int i, Moment moment, int phase, double[] commands, double throttle, boolean held) {
    return switch (mixes[i].source()) {
      case STICK -> PERCENT * moment.of(sourceControl[i]);
      case RESPONSE -> PERCENT * response(sourceControl[i], moment, phase);
      case INPUT -> PERCENT * moment.input(sourceInput[i]);
      case THROTTLE -> 2 * PERCENT * moment.throttle() - PERCENT;
      case POWER -> held ? 0 : PERCENT * setup.power().power(throttle);
      case SURFACE -> commands[sourceSurface[i]];
      case CONSTANT -> PERCENT;
    };
  }

  /** What the motor follows, the throttle stick or a lever: -100 back to 100 full. */
  double throttlePercent(Moment moment) {
    double place = throttleInput >= 0 ? moment.input(throttleInput) : moment.throttle();
    return 2 * PERCENT * place - PERCENT;
  }

  /** How hard the motors are told to turn in a phase, 0 to 1: the hardest of them. */
  double motorPower(Moment moment, int phase) {
    return motorCount == 0 ? 0 : setup.power().power(motorCommand(moment, phase));
  }

  /** The command of the motor that is told to turn hardest, percent; 0 where there is none. */
  double motorCommand(Moment moment, int phase) {
    if (motorCount == 0) {
      return 0;
    }
    if (!motorsMixed) {
      double throttle = throttleCurves[phase].value(throttlePercent(moment));
      double command = Math.max(-PERCENT, Math.min(PERCENT, throttle));
      return held(moment, phase) ? setup.power().cutPercent() : command;
    }
    double[] commands = commands(moment, phase);
    double hardest = commands[surfaceCount];
    for (int i = surfaceCount; i < commands.length; i++) {
      boolean harder = setup.power().power(commands[i]) > setup.power().power(hardest);
      hardest = harder ? commands[i] : hardest;
    }
    return hardest;
  }

  /** Whether cut or arming hold the motors. */
  public boolean held(Moment moment, int phase) {
    return moment.throttleCut()
        || cutWhen >= 0 && conditions.isTrue(cutWhen, moment, phase)
        || armWhen >= 0 && !conditions.isTrue(armWhen, moment, phase);
  }

  Trims trims(Moment moment, int phase) {
    hightally.core.phase.Phase now = setup.phases().get(phase);
    Trims common = moment.trims();
    Trims own = ownTrims[phase];
    return now.ownRoll() || now.ownPitch() || now.ownYaw()
        ? now.withTrims(own).effective(common)
        : common;
  }

  /** What a control's stick comes to behind rate and expo, -1.5 to 1.5. */
  double response(Control control, Moment moment, int phase) {
    return feel(control, moment, phase).value(moment.of(control));
  }

  private ResponseCurve feel(Control control, Moment moment, int phase) {
    return feel(control, feelSet(control, moment, phase));
  }

  /** Index of the set that decides a control; -1 where none does. */
  int feelSet(Control control, Moment moment, int phase) {
    for (int i = 0; i < sets.length; i++) {
      if (sets[i].has(control) && conditions.active(setWhen[i], setPhases[i], moment, phase)) {
        return i;
      }
    }
    return -1;
  }

  ResponseCurve feel(Control control, int set) {
    return set < 0 ? plainFeel[control.ordinal()] : setFeel[set][control.ordinal()];
  }

  /** The roll share's part with differential, percent. */
  double rollPart(int surface, int phase, double response) {
    double part = PERCENT * shares[surface][0] * response;
    double d = differential[phase][surface];
    if (d > 0 && part < 0) {
      return part * (1 - d);
    }
    return d < 0 && part > 0 ? part * (1 + d) : part;
  }

  double share(int surface, Control control) {
    return shares[surface][control.ordinal()];
  }

  int leverCount(int surface) {
    return leverInputs[surface].length;
  }

  int leverInput(int surface, int lever) {
    return leverInputs[surface][lever];
  }

  double leverShare(int surface, int lever) {
    return leverShares[surface][lever];
  }

  double leverPart(int surface, int lever, Moment moment) {
    return PERCENT * leverShares[surface][lever] * moment.input(leverInputs[surface][lever]);
  }

  double preset(int surface, int phase) {
    return presets[phase][surface];
  }

  /** What every mix adds to a surface at a moment, in the order in which they are evaluated. */
  List<MixPart> mixParts(int surface, Moment moment, int phase) {
    List<MixPart> parts = new ArrayList<>();
    double[] commands = commands(moment, phase);
    double throttle = throttleCurves[phase].value(throttlePercent(moment));
    boolean held = held(moment, phase);
    for (int i = 0; i < mixes.length; i++) {
      double factor = 0;
      for (int t = 0; t < targets[i].length; t++) {
        factor += targets[i][t] == surface ? factors[i][t] : 0;
      }
      if (factor != 0 && acts(i, moment, phase)) {
        double source = source(i, moment, phase, commands, throttle, held);
        parts.add(new MixPart(mixes[i].name(), factor * functions[i].value(source)));
      }
    }
    return parts;
  }

  /** A mix and what it adds, percent. */
  record MixPart(String name, double percent) {}
}
