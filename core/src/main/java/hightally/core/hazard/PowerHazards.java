package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.power.FailsafeSetting;
import hightally.core.power.Power;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** What the motor may do without its stick. */
final class PowerHazards {
  private static final double RUNS = 0.005;
  private static final double SAME_PERCENT = 0.5;
  private static final double JUST = 1e-6;

  /** What is told of so many states is kept; of the others it is worked out each time. */
  private static final int KEPT = 50_000;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final int throttleInput;
  private final double[] throttles;
  private final Told[] told;

  /** What the motor does in one state, at each of the throttle's places. */
  private record Told(int[] phase, double[] command, double[] power, boolean[] held) {}

  PowerHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    throttleInput = setup.transmitter().inputIndex(setup.power().throttleInput());
    throttles = throttles();
    told = new Told[(int) Math.min(KEPT, search.states().count())];
  }

  /**
   * Ends and middle, and both sides of every point of a throttle curve and of every limit a
   * condition holds the throttle against: between these the power is a straight line, so nothing
   * larger can lie between.
   */
  private double[] throttles() {
    TreeSet<Double> found = new TreeSet<>(List.of(0.0, 0.5, 1.0));
    setup.power().curves().stream()
        .flatMap(curve -> curve.points().stream())
        .forEach(point -> around(found, (point.x() + 100) / 200));
    String lever = setup.power().throttleInput();
    String subject = lever.isEmpty() ? "throttle" : lever;
    setup.conditions().stream()
        .filter(one -> one.subject().equals(subject))
        .forEach(one -> around(found, one.place()));
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private static void around(TreeSet<Double> found, double place) {
    for (double side : new double[] {place - JUST, place + JUST}) {
      found.add(Math.max(0, Math.min(1, side)));
    }
  }

  /** Cut and failsafe as they are written down. */
  void settings() {
    Power power = setup.power();
    if (setup.airframe().motors().isEmpty()) {
      return;
    }
    double stop = power.stopPercent();
    if (Math.abs(power.cutPercent() - stop) > SAME_PERCENT) {
      disagrees("cut", Said.of("hazard.throttleCutHolds"), power.cutPercent(), stop);
    }
    for (Motor motor : setup.airframe().motors()) {
      Optional<FailsafeSetting> setting =
          power.failsafe().stream().filter(one -> one.channel() == motor.channel()).findFirst();
      if (!setup.wiring().failsafeReaches(motor.id(), motor.channel())) {
        Said words = Said.of("hazard.outReachReceiversFailsafeSerial", "motor", motor.name());
        search.keep(HazardKind.CUT_DISAGREES, motor.id(), 1, words, List.of(), List.of());
      } else if (setting.isEmpty() || setting.get().holds()) {
        Said words =
            Said.of(
                "hazard.whenLinkLostChannelHolds",
                "channel",
                motor.channel(),
                "motor",
                motor.name());
        search.keep(HazardKind.CUT_DISAGREES, motor.id(), 1, words, List.of(), List.of());
      } else if (Math.abs(setting.get().percent() - stop) > SAME_PERCENT) {
        disagrees(
            motor.id(),
            Said.of("hazard.failsafeHolds", "motor", motor.name()),
            setting.get().percent(),
            stop);
      }
    }
  }

  private void disagrees(String subject, Said what, double percent, double stop) {
    Said words =
        Said.of(
            "hazard.butControllerStopsMotorRun",
            "what",
            what,
            "percent",
            Quantity.percent(percent),
            "stop",
            Quantity.percent(stop),
            "power",
            Quantity.percent(100 * setup.power().power(percent)));
    search.keep(HazardKind.CUT_DISAGREES, subject, 1, words, List.of(), List.of());
  }

  /**
   * One state: is the motor stopped with the stick back, and what does each switch do from here?
   */
  void state(long number, Moment rest) {
    if (setup.airframe().motors().isEmpty()) {
      return;
    }
    Told here = told(number);
    double idle = here.power()[0];
    if (idle > RUNS) {
      Moment back = throttle(rest, 0);
      List<Said> way = search.states().words(back);
      Said words =
          Said.of(
              "hazard.phaseMotorRunsThrottleAll",
              "phase",
              phase(back),
              "idle",
              Quantity.percent(100 * idle));
      search.keep(HazardKind.CANNOT_STOP, phase(back), idle, words, way, List.of(back));
    }
    for (int which = 0; which < search.states().used().size(); which++) {
      if (search.states().used().get(which) != throttleInput) {
        for (int cell = 0; cell < search.states().cells(which).length; cell++) {
          transition(number, search.states().number(number, which, cell), which);
        }
      }
    }
  }

  private Told told(long number) {
    if (number >= told.length) {
      return tell(number);
    }
    if (told[(int) number] == null) {
      told[(int) number] = tell(number);
    }
    return told[(int) number];
  }

  private Told tell(long number) {
    Moment rest = search.states().moment(number);
    int[] phases = new int[throttles.length];
    double[] power = new double[throttles.length];
    double[] command = new double[throttles.length];
    boolean[] held = new boolean[throttles.length];
    for (int i = 0; i < throttles.length; i++) {
      Moment at = throttle(rest, throttles[i]);
      phases[i] = path.phase(at);
      command[i] = path.motorCommand(at, phases[i]);
      power[i] = setup.power().power(command[i]);
      held[i] = path.program().held(at, phases[i]);
    }
    return new Told(phases, command, power, held);
  }

  private void transition(long number, long to, int which) {
    if (number == to) {
      return;
    }
    Told before = told(number);
    Told after = told(to);
    for (int i = 0; i < throttles.length; i++) {
      double from = before.power()[i];
      double now = after.power()[i];
      boolean latched =
          before.held()[i] && setup.power().releaseWithStickBack() && throttles[i] > 0;
      boolean starts = from <= RUNS && now > RUNS && !latched;
      double fade = setup.phases().get(after.phase()[i]).fadeSeconds();
      boolean jumps =
          from > RUNS
              && 100 * (now - from) > setup.house().powerJumpPercent()
              && fade < setup.house().softFadeSeconds();
      boolean reverses =
          from > RUNS
              && now > RUNS
              && setup.power().reverses(before.command()[i], after.command()[i])
              && fade < setup.house().softFadeSeconds();
      if (starts || jumps || reverses) {
        int input = search.states().used().get(which);
        Moment moved = throttle(search.states().moment(to), throttles[i]);
        double turned = reverses ? -now : now;
        report(throttle(search.states().moment(number), throttles[i]), moved, input, from, turned);
      }
    }
  }

  private void report(Moment before, Moment after, int input, double from, double to) {
    String name = setup.transmitter().inputs().get(input).name();
    Said words =
        Said.of(
            "hazard.takesMotorFromStickUnmoved",
            "name",
            name,
            "from",
            Quantity.percent(100 * from),
            "size",
            Quantity.percent(100 * Math.abs(to)),
            "backwards",
            to < 0,
            "phase",
            phase(before),
            "phase2",
            phase(after));
    List<Said> way = new ArrayList<>(search.states().words(before));
    way.add(Said.of("hazard.throttle", "at", Quantity.percent(100 * throttleOf(before))));
    Said there = search.states().word(after, input);
    way.add(
        there.isEmpty()
            ? Said.of("hazard.backRest", "name", name)
            : Said.of("hazard.then", "there", there));
    search.keep(
        HazardKind.MOTOR_STARTS,
        setup.transmitter().inputs().get(input).id(),
        Math.abs(to - from),
        words,
        way,
        List.of(before, after));
  }

  private double throttleOf(Moment moment) {
    return throttleInput >= 0 ? moment.input(throttleInput) : moment.throttle();
  }

  private Moment throttle(Moment moment, double value) {
    Moment moved = moment.withThrottle(value, false);
    return throttleInput >= 0 ? moved.withInput(throttleInput, value) : moved;
  }

  private String phase(Moment moment) {
    return setup.phases().get(path.phase(moment)).name();
  }
}
