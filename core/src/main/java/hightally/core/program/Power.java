package hightally.core.program;

import hightally.core.channel.Transmitter;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * From the throttle to the motor, what stops it, and what watches over it.
 *
 * @param throttleInput id of the lever that is the throttle; empty for the stick
 * @param twoWay whether the controllers run both ways and stop in the middle of the range
 * @param curves per phase; the first that has the phase, else the first without phases
 * @param cutWhen id of the condition under which the cut holds; empty for a cut of its own
 * @param cutPercent what the cut holds the motor at
 * @param armWhen id of the condition without which the motor stays cut; empty for none
 * @param releaseWithStickBack whether a cut is released only with the throttle closed
 * @param failsafe per channel
 * @param throttleWarning whether switching on with the stick forward warns
 * @param startPositions of switches, demanded at switch-on
 * @param stopMicroseconds the pulse at which the controllers were taught to stop; 0 where they were
 *     not taught: then it is that of -100 % with endpoint 100, for a two-way one the centre
 */
@Copyable
public record Power(
    @Text(min = 0, max = 40) String throttleInput,
    boolean twoWay,
    List<ThrottleCurve> curves,
    @Text(min = 0, max = 40) String cutWhen,
    @Within(min = -100, max = 100, unit = Unit.PERCENT) double cutPercent,
    @Text(min = 0, max = 40) String armWhen,
    boolean releaseWithStickBack,
    List<FailsafeSetting> failsafe,
    boolean throttleWarning,
    List<StartPosition> startPositions,
    List<FlightTimer> timers,
    List<TelemetryAlarm> alarms,
    @Within(min = 0, max = 2500, unit = Unit.MICROSECONDS) double stopMicroseconds) {
  /** One motor on the stick, running one way, with a cut of its own. */
  public static final Power PLAIN =
      new Power(
          "",
          false,
          List.of(ThrottleCurve.PLAIN),
          "",
          -100,
          "",
          true,
          List.of(),
          true,
          List.of(),
          List.of(),
          List.of(),
          0);

  public Power {
    curves = curves == null ? null : List.copyOf(curves);
    failsafe = failsafe == null ? null : List.copyOf(failsafe);
    startPositions = startPositions == null ? null : List.copyOf(startPositions);
    timers = timers == null ? null : List.copyOf(timers);
    alarms = alarms == null ? null : List.copyOf(alarms);
  }

  /** A copy to change, part by part. */
  public PowerCopy change() {
    return PowerCopy.from(this);
  }

  /** The throttle curve of a phase: the first that names it, else the first that names none. */
  public ThrottleCurve curve(String phase) {
    return curves.stream()
        .filter(one -> one.phases().contains(phase))
        .findFirst()
        .or(() -> curves.stream().filter(one -> one.phases().isEmpty()).findFirst())
        .orElse(ThrottleCurve.PLAIN);
  }

  /** Where the motor stands still, percent. */
  public double stopPercent() {
    return twoWay ? 0 : -100;
  }

  /** The pulse at which the controllers stop, µs at the socket. */
  public double stopPulse(Transmitter transmitter) {
    if (stopMicroseconds > 0) {
      return stopMicroseconds;
    }
    double centre = transmitter.centreMicroseconds();
    return twoWay ? centre : centre - transmitter.microsecondsPer100();
  }

  /** How fast it is told to turn for a command, 0 to 1, whichever way. */
  public double power(double commandPercent) {
    return twoWay
        ? Math.min(1, Math.abs(commandPercent) / 100)
        : Math.max(0, Math.min(1, (commandPercent + 100) / 200));
  }

  /** Whether two commands turn the motor opposite ways. */
  public boolean reverses(double oneCommandPercent, double otherCommandPercent) {
    return twoWay && oneCommandPercent * otherCommandPercent < 0;
  }

  /** The same power with failsafe settings of other channels. */
  public Power withFailsafe(List<FailsafeSetting> changed) {
    return with(throttleInput, changed, startPositions);
  }

  /** The same power with other throttle curves. */
  public Power withCurves(List<ThrottleCurve> changed) {
    return with(changed, cutWhen, armWhen, timers);
  }

  /** The same power with another command while it is cut. */
  public Power withCut(double changedPercent) {
    return with(changedPercent, alarms, stopMicroseconds);
  }

  /** The same power with controllers taught to stop at another pulse, µs; 0 for the usual one. */
  public Power stoppingAt(double microseconds) {
    return with(cutPercent, alarms, microseconds);
  }

  /** The same power with other timers. */
  public Power withTimers(List<FlightTimer> changed) {
    return with(curves, cutWhen, armWhen, changed);
  }

  /** The same power with other alarms. */
  public Power withAlarms(List<TelemetryAlarm> changed) {
    return with(cutPercent, changed, stopMicroseconds);
  }

  private Power with(double cut, List<TelemetryAlarm> changedAlarms, double stop) {
    return change().cutPercent(cut).alarms(changedAlarms).stopMicroseconds(stop).done();
  }

  /** The same power without a condition, and with other timers. */
  public Power without(String condition, List<FlightTimer> changed) {
    return with(
        curves,
        cutWhen.equals(condition) ? "" : cutWhen,
        armWhen.equals(condition) ? "" : armWhen,
        changed);
  }

  private Power with(
      List<ThrottleCurve> changedCurves, String cut, String arm, List<FlightTimer> changedTimers) {
    return new Power(
        throttleInput,
        twoWay,
        changedCurves,
        cut,
        cutPercent,
        arm,
        releaseWithStickBack,
        failsafe,
        throttleWarning,
        startPositions,
        changedTimers,
        alarms,
        stopMicroseconds);
  }

  /** The same power with the throttle on a lever. */
  public Power throttleOn(String lever) {
    return with(lever, failsafe, startPositions);
  }

  /** The same power on other levers and switches. */
  public Power onInputs(UnaryOperator<String> input) {
    String throttle = throttleInput.isEmpty() ? "" : input.apply(throttleInput);
    List<StartPosition> positions =
        startPositions.stream()
            .map(one -> new StartPosition(input.apply(one.input()), one.position()))
            .toList();
    return with(throttle, failsafe, positions);
  }

  private Power with(String throttle, List<FailsafeSetting> held, List<StartPosition> positions) {
    return change().throttleInput(throttle).failsafe(held).startPositions(positions).done();
  }
}
