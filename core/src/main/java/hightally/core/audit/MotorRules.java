package hightally.core.audit;

import hightally.core.airframe.Motor;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.signal.MotorStops;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether every motor is stopped by what should stop it, and gets all its throttle asks. */
final class MotorRules {
  private MotorRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "failsafe-runs-motor",
            Said.of("audit.failsafeStops"),
            Said.of("audit.failsafeWhy"),
            Severity.GROUNDS,
            MotorRules::failsafe),
        new Rule(
            "throttle-sub-trim",
            Said.of("audit.throttleStops"),
            Said.of("audit.throttleWhy"),
            Severity.GROUNDS,
            MotorRules::shifted),
        new Rule(
            "throttle-clipped",
            Said.of("audit.wholeThrottleReaches"),
            Said.of("audit.throttleClippedWhy"),
            Severity.WARNS,
            MotorRules::clipped));
  }

  private static List<Finding> failsafe(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    double stop = rig.setup().power().stopPercent();
    for (Motor motor : rig.setup().airframe().motors()) {
      MotorStops stops = new MotorStops(rig.path(), motor);
      Optional<Double> set = stops.failsafe();
      if (stops.failsafeReaches() && !set.map(stops::stopsAt).orElse(false)) {
        Said title =
            set.isEmpty()
                ? Said.of("audit.failsafeNotSet", "motor", motor.name())
                : Said.of(
                    "audit.failsafeRuns",
                    "motor",
                    motor.name(),
                    "pulse",
                    Quantity.microseconds(stops.pulse(set.get())),
                    "stop",
                    Quantity.microseconds(stops.stop()));
        Edit edit = Edit.of(Figure.FAILSAFE, motor.channel(), stop);
        List<Mend> mends =
            stops.stopsAt(stop)
                ? List.of(
                    new Mend(
                        Said.of("hazard.setTheStop", "stop", Quantity.percent(stop)),
                        List.of(edit)))
                : List.of();
        findings.add(found(rule, motor, title, 1, mends));
      }
    }
    return findings;
  }

  /** The stick all the way back gives another pulse than the stop. */
  private static List<Finding> shifted(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    double stop = rig.setup().power().stopPercent();
    for (Motor motor : rig.setup().airframe().motors()) {
      MotorStops stops = new MotorStops(rig.path(), motor);
      if (!stops.stopsAt(stop)) {
        Said title =
            Said.of(
                "audit.throttleRuns",
                "motor",
                motor.name(),
                "pulse",
                Quantity.microseconds(stops.pulse(stop)),
                "stop",
                Quantity.microseconds(stops.stop()));
        findings.add(
            found(rule, motor, title, Math.abs(stops.pulse(stop) - stops.stop()), List.of()));
      }
    }
    return findings;
  }

  private static List<Finding> clipped(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Motor motor : rig.setup().airframe().motors()) {
      List<Integer> numbers = rig.setup().channels().stream().map(Channel::number).toList();
      Output output = rig.path().output(numbers.indexOf(motor.channel()));
      double cut = 0;
      for (int side : new int[] {-100, 100}) {
        cut = Math.max(cut, Math.abs(output.freePulse(side) - output.pulse(side)));
      }
      if (cut > rig.house().clippedMicroseconds()) {
        Said title =
            Said.of(
                "audit.throttleCutOff", "motor", motor.name(), "cut", Quantity.microseconds(cut));
        findings.add(found(rule, motor, title, cut, List.of()));
      }
    }
    return findings;
  }

  private static Finding found(
      Rule rule, Motor motor, Said title, double measured, List<Mend> mends) {
    return new Finding(
        rule.id(),
        rule.severity(),
        motor.id(),
        title,
        rule.reason(),
        measured,
        0,
        Unit.MICROSECONDS,
        mends,
        "");
  }
}
