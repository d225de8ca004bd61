package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.power.FailsafeSetting;
import hightally.core.power.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the motor may do without its stick. */
final class PowerHazards {
  private static final double[] THROTTLES = {0, 0.5, 1};
  private static final double RUNS = 0.005;
  private static final double SAME_PERCENT = 0.5;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final int throttleInput;

  PowerHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    throttleInput = setup.transmitter().inputIndex(setup.power().throttleInput());
  }

  /** Cut and failsafe as they are written down. */
  void settings() {
    Power power = setup.power();
    if (setup.airframe().motors().isEmpty()) {
      return;
    }
    double stop = power.stopPercent();
    if (Math.abs(power.cutPercent() - stop) > SAME_PERCENT) {
      disagrees("cut", "The throttle cut holds", power.cutPercent(), stop);
    }
    for (Motor motor : setup.airframe().motors()) {
      Optional<FailsafeSetting> setting =
          power.failsafe().stream().filter(one -> one.channel() == motor.channel()).findFirst();
      if (setting.isEmpty() || setting.get().holds()) {
        String words =
            "When the link is lost, channel "
                + motor.channel()
                + " holds the last power of "
                + motor.name()
                + ".";
        search.keep(HazardKind.CUT_DISAGREES, motor.id(), 1, words, List.of(), List.of());
      } else if (Math.abs(setting.get().percent() - stop) > SAME_PERCENT) {
        disagrees(
            motor.id(),
            "The failsafe of " + motor.name() + " holds",
            setting.get().percent(),
            stop);
      }
    }
  }

  private void disagrees(String subject, String what, double percent, double stop) {
    String words =
        String.format(
            Locale.ROOT,
            "%s %.0f %%, but its controller stops at %.0f %%: the motor would run at %.0f %%.",
            what,
            percent,
            stop,
            100 * setup.power().power(percent));
    search.keep(HazardKind.CUT_DISAGREES, subject, 1, words, List.of(), List.of());
  }

  /**
   * One state: is the motor stopped with the stick back, and what does each switch do from here?
   */
  void state(long number, Moment rest) {
    if (setup.airframe().motors().isEmpty()) {
      return;
    }
    Moment back = throttle(rest, 0);
    double idle = path.motorPower(back);
    if (idle > RUNS) {
      List<String> way = search.states().words(back);
      String words =
          String.format(
              Locale.ROOT,
              "In phase %s the motor runs at %.0f %% with the throttle all the way back.",
              phase(back),
              100 * idle);
      search.keep(HazardKind.CANNOT_STOP, phase(back), idle, words, way, List.of(back));
    }
    for (int which = 0; which < search.states().used().size(); which++) {
      int input = search.states().used().get(which);
      if (input != throttleInput) {
        for (double place : search.states().places(which)) {
          transition(rest, input, place);
        }
      }
    }
  }

  private void transition(Moment rest, int input, double place) {
    if (rest.input(input) == place) {
      return;
    }
    for (double throttle : THROTTLES) {
      Moment before = throttle(rest, throttle);
      Moment after = before.withInput(input, place);
      double from = path.motorPower(before);
      double to = path.motorPower(after);
      boolean wasHeld = path.program().held(before, path.phase(before));
      boolean latched = wasHeld && setup.power().releaseWithStickBack() && throttle > 0;
      boolean starts = from <= RUNS && to > RUNS && !latched;
      double fade = setup.phases().get(path.phase(after)).fadeSeconds();
      boolean jumps =
          from > RUNS
              && 100 * (to - from) > setup.house().powerJumpPercent()
              && fade < setup.house().softFadeSeconds();
      if (starts || jumps) {
        report(before, after, input, from, to);
      }
    }
  }

  private void report(Moment before, Moment after, int input, double from, double to) {
    String name = setup.transmitter().inputs().get(input).name();
    String words =
        String.format(
            Locale.ROOT,
            "The %s takes the motor from %.0f %% to %.0f %%, the stick unmoved (phase %s to %s).",
            name,
            100 * from,
            100 * to,
            phase(before),
            phase(after));
    List<String> way = new ArrayList<>(search.states().words(before));
    way.add("throttle at " + Math.round(100 * throttleOf(before)) + " %");
    way.add(
        "then "
            + search.states().words(after).stream()
                .filter(w -> w.startsWith(name))
                .findFirst()
                .orElse(name + " back to rest"));
    search.keep(
        HazardKind.MOTOR_STARTS,
        setup.transmitter().inputs().get(input).id(),
        to - from,
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
