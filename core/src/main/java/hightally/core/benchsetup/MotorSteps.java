package hightally.core.benchsetup;

import hightally.core.airframe.Motor;
import hightally.core.benchsetup.BenchStep.Choice;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.program.Curve;
import hightally.core.program.Power;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.MotorStops;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The motors on the bench, last of all: what their controllers take for the stop, a touch of
 * throttle, which way they turn, and what they do when the link is lost. None of it before the
 * propeller is off.
 */
final class MotorSteps {
  static final String SAFE = "propeller-off";
  static final String LATER = "later";
  static final String TAUGHT = "taught";
  static final String FIXED = "fixed";
  static final String STARTS = "starts-and-stops";
  static final String RUNS = "runs-at-rest";
  static final String SILENT = "does-not-start";
  static final String STOPS = "motor-stops";
  static final String RUNS_ON = "motor-runs-on";
  private static final double SAME_MICROSECONDS = 1;
  private static final double MIDDLE = 0.5;
  private static final double WHOLE = 100;

  private final Setup setup;
  private final Power power;
  private final SignalPath path;

  MotorSteps(Setup setup, SignalPath path) {
    this.setup = setup;
    this.path = path;
    power = setup.power();
  }

  /** All steps of all motors. */
  List<BenchStep> steps() {
    List<BenchStep> steps = new ArrayList<>();
    List<Motor> motors = setup.airframe().motors();
    if (motors.isEmpty()) {
      return steps;
    }
    motors.forEach(motor -> steps.add(stop(motor)));
    steps.add(
        BenchStep.choose(
            StepKind.MOTOR_SAFE,
            "",
            "",
            Said.of("guide.motorSafe"),
            Said.of("guide.motorSafeHow"),
            Said.of("guide.motorStartsCaution"),
            new Choice(SAFE, Said.of("guide.propellerOffModelHeld")),
            new Choice(LATER, Said.of("guide.motorsLater"))));
    for (Motor motor : motors) {
      steps.add(touch(motor));
      steps.add(way(motor));
      if (power.twoWay()) {
        steps.add(reverse(motor));
      }
    }
    motors.forEach(motor -> steps.add(failsafe(motor)));
    return steps;
  }

  private BenchStep stop(Motor motor) {
    Quantity back = Quantity.microseconds(pulseAtRest(motor));
    return asked(
        StepKind.MOTOR_STOP,
        motor,
        Said.of("guide.motorStop", "motor", motor.name()),
        Said.of("guide.motorStopHow", "back", back, "place", place(), "at", at()),
        new Choice(TAUGHT, Said.of("guide.stopTaught")),
        new Choice(FIXED, Said.of("guide.stopFixed")));
  }

  private BenchStep touch(Motor motor) {
    return asked(
        StepKind.MOTOR_TOUCH,
        motor,
        Said.of("guide.motorTouch", "motor", motor.name()),
        Said.of("guide.motorTouchHow", "place", place(), "at", at()),
        new Choice(STARTS, Said.of("guide.startsAndStops")),
        new Choice(RUNS, Said.of("guide.runsAtRest")),
        new Choice(SILENT, Said.of("guide.doesNotStart")));
  }

  private BenchStep way(Motor motor) {
    return asked(
        StepKind.MOTOR_WAY,
        motor,
        Said.of("guide.motorWay", "motor", motor.name()),
        Said.of("guide.motorWayHow"),
        new Choice(BenchSetUp.RIGHT, Said.of("guide.asPropellerNeeds")),
        new Choice(BenchSetUp.WRONG, Said.of("guide.otherWayRound")));
  }

  private BenchStep reverse(Motor motor) {
    return asked(
        StepKind.MOTOR_REVERSE,
        motor,
        Said.of("guide.motorReverse", "motor", motor.name()),
        Said.of("guide.motorReverseHow"),
        new Choice(BenchSetUp.RIGHT, Said.of("guide.turnsBackwards")),
        new Choice(BenchSetUp.WRONG, Said.of("guide.turnsForwards")));
  }

  private BenchStep failsafe(Motor motor) {
    return asked(
        StepKind.FAILSAFE,
        motor,
        Said.of("guide.motorFailsafe", "motor", motor.name()),
        Said.of("guide.motorFailsafeHow"),
        new Choice(STOPS, Said.of("guide.motorStops")),
        new Choice(RUNS_ON, Said.of("guide.motorRunsOn")));
  }

  private static BenchStep asked(
      StepKind kind, Motor motor, Said title, Said words, Choice... choices) {
    return BenchStep.choose(
        kind, "", motor.id(), title, words, Said.of("guide.motorCaution"), choices);
  }

  /** Where the throttle stands at rest: where the motor stands still, wherever that is. */
  private double resting() {
    return BenchSetUp.rest(path).throttle();
  }

  private String place() {
    double at = resting();
    return at == 0 ? "closed" : at == MIDDLE ? "middle" : "other";
  }

  private Quantity at() {
    return Quantity.percent(WHOLE * resting());
  }

  /** What its socket gives with the throttle at rest and no cut, µs. */
  private double pulseAtRest(Motor motor) {
    Curve curve = Curve.of(power.curve(setup.basePhase().id()).points());
    return stops(motor).pulse(curve.value(2 * WHOLE * resting() - WHOLE));
  }

  private MotorStops stops(Motor motor) {
    return new MotorStops(path, motor);
  }

  /** What an answer at one of the steps means; {@code answers} by step. */
  StepResult verdict(BenchStep step, StepAnswer answer, Map<String, StepAnswer> answers) {
    Motor motor =
        setup.airframe().motors().stream()
            .filter(one -> one.id().equals(step.command()))
            .findFirst()
            .orElseThrow();
    String choice = answer.choice();
    return switch (step.kind()) {
      case MOTOR_STOP -> stopped(step, motor, choice.equals(TAUGHT));
      case MOTOR_TOUCH ->
          switch (choice) {
            case RUNS -> StepResult.differs(step.id(), Said.of("guide.mustNotRun"));
            case SILENT -> StepResult.differs(step.id(), Said.of("guide.whyNoStart"));
            default -> StepResult.agrees(step.id(), Said.of("guide.startsRight"));
          };
      case MOTOR_WAY ->
          choice.equals(BenchSetUp.RIGHT)
              ? StepResult.agrees(step.id(), Said.of("guide.rightWay"))
              : StepResult.differs(step.id(), Said.of("guide.swapTwoLeads"));
      case MOTOR_REVERSE -> reversed(step, motor, choice, answers);
      case FAILSAFE -> lost(step, motor, choice.equals(STOPS));
      default -> throw new IllegalStateException("not a step of a motor: " + step.id());
    };
  }

  private StepResult stopped(BenchStep step, Motor motor, boolean taught) {
    double back = Math.rint(pulseAtRest(motor));
    double stop = taught ? back : power.stoppingAt(0).stopPulse(setup.transmitter());
    boolean noted = Math.abs(stops(motor).stop() - stop) <= SAME_MICROSECONDS;
    boolean same = Math.abs(back - stop) <= MotorStops.SAME_MICROSECONDS;
    Said words =
        Said.of(
            same ? "guide.stickBackStops" : "guide.closedDoesNotStop",
            "back",
            Quantity.microseconds(back),
            "stop",
            Quantity.microseconds(stop));
    if (noted) {
      return new StepResult(step.id(), same, false, words, List.of());
    }
    Edit edit = Edit.of(Figure.STOP_PULSE, "", taught ? stop : 0);
    Said note = Said.of("guide.noteTheStop", "stop", Quantity.microseconds(stop));
    return StepResult.differs(step.id(), words, new Mend(note, List.of(edit)));
  }

  private StepResult reversed(
      BenchStep step, Motor motor, String choice, Map<String, StepAnswer> answers) {
    if (choice.equals(BenchSetUp.RIGHT)) {
      return StepResult.agrees(step.id(), Said.of("guide.rightWay"));
    }
    StepAnswer way = answers.get(StepKind.MOTOR_WAY.step("", motor.id()));
    boolean turned = way != null && way.choice().equals(BenchSetUp.WRONG);
    return StepResult.differs(
        step.id(), Said.of(turned ? "guide.bothWaysTurned" : "guide.notTwoWay"));
  }

  private StepResult lost(BenchStep step, Motor motor, boolean stopped) {
    MotorStops stops = stops(motor);
    boolean described =
        stops.failsafeReaches() && stops.failsafe().map(stops::stopsAt).orElse(false);
    Quantity stop = Quantity.percent(power.stopPercent());
    if (!stopped) {
      return StepResult.differs(
          step.id(),
          Said.of("guide.failsafeMustStop", "stop", stop, "channel", motor.channel()),
          described ? new Mend[0] : new Mend[] {noting(motor, stop)});
    }
    return described
        ? StepResult.agrees(step.id(), Said.of("guide.failsafeStops"))
        : StepResult.differs(step.id(), Said.of("guide.failsafeNotDescribed"), noting(motor, stop));
  }

  private Mend noting(Motor motor, Quantity stop) {
    Edit edit = Edit.of(Figure.FAILSAFE, motor.channel(), power.stopPercent());
    return new Mend(Said.of("hazard.setTheStop", "stop", stop), List.of(edit));
  }
}
