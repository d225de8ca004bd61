package hightally.core.hazard;

import hightally.core.airframe.Contact;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Output;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** What surfaces do in the corners of the sticks, in every state that differs from the others. */
final class StateHazards {
  private static final int[] ENDS = {-1, 0, 1};
  private static final double[] THROTTLES = {0, 1};
  private static final double STILL_MM = 0.05;
  private static final double CUT_MICROSECONDS = 1;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Set<String> seen = new HashSet<>();
  private final double[] neutral;
  private final boolean[][] alive;
  private final Moment[] example;

  StateHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    int base = setup.phases().size() - 1;
    Moment rest = Moment.centred(Trims.ZERO);
    neutral = path.evaluate(rest, base).travelMm();
    alive = new boolean[setup.phases().size()][Control.values().length];
    example = new Moment[setup.phases().size()];
  }

  long evaluated() {
    return seen.size();
  }

  void state(Moment rest) {
    if (!seen.add(signature(rest))) {
      return;
    }
    int phase = path.phase(rest);
    example[phase] = rest;
    Positions centre = path.evaluate(rest);
    for (Control control : Control.values()) {
      alive[phase][control.ordinal()] |= moves(centre, rest, control);
    }
    for (double throttle : THROTTLES) {
      corners(rest.withThrottle(throttle, false));
    }
  }

  /** Phase, what is active in it, and where the levers stand that move something by how far. */
  private String signature(Moment moment) {
    StringBuilder text = new StringBuilder().append(path.phase(moment)).append('|');
    int phase = path.phase(moment);
    for (int i = 0; i < path.program().conditions().count(); i++) {
      text.append(path.program().conditions().isTrue(i, moment, phase) ? '1' : '0');
    }
    for (String input : Levers.moving(setup)) {
      text.append(',').append(moment.input(setup.transmitter().inputIndex(input)));
    }
    return text.toString();
  }

  private boolean moves(Positions centre, Moment rest, Control control) {
    for (int end : new int[] {-1, 1}) {
      double[] moved = path.evaluate(rest.with(control, end)).travelMm();
      for (int i = 0; i < moved.length; i++) {
        if (Math.abs(moved[i] - centre.travelMm()[i]) > STILL_MM) {
          return true;
        }
      }
    }
    return false;
  }

  private void corners(Moment state) {
    for (int roll : ENDS) {
      for (int pitch : ENDS) {
        for (int yaw : ENDS) {
          Moment corner =
              state.with(Control.ROLL, roll).with(Control.PITCH, pitch).with(Control.YAW, yaw);
          Positions positions = path.evaluate(corner);
          runsOut(corner, positions);
          touching(corner, positions);
          if (roll == 0 && yaw == 0) {
            pairs(corner, positions);
          }
        }
      }
    }
  }

  private void runsOut(Moment corner, Positions positions) {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      if (setup.surfaces().get(i).rod().driver() != DriverKind.SERVO) {
        continue;
      }
      int channel = path.channelBehind(i);
      Output output = path.output(channel);
      double command = positions.commandPercent()[channel];
      double free = output.freePulse(command);
      double lost = Math.abs(free - positions.pulseMicroseconds()[channel]);
      double arm = path.servoBehind(i).freeArmDegrees(positions.pulseMicroseconds()[channel]);
      double beyond = Math.abs(arm) - path.servoBehind(i).maxAngleDegrees();
      if (lost > CUT_MICROSECONDS || beyond > 0) {
        keepRunsOut(corner, i, command, lost, beyond);
      }
    }
  }

  private void keepRunsOut(Moment corner, int i, double command, double lost, double beyond) {
    Surface surface = setup.surfaces().get(i);
    double mm = Lost.mm(path, i, command);
    String words =
        String.format(
            Locale.ROOT,
            "%s is asked for %.0f %% and loses %.1f mm (%s).",
            surface.name(),
            command,
            mm,
            beyond > 0
                ? String.format(Locale.ROOT, "servo %.0f° past its stop", beyond)
                : String.format(Locale.ROOT, "%.0f µs cut off", lost));
    search.keep(HazardKind.RUNS_OUT, surface.id(), mm, words, way(corner), List.of(corner));
  }

  private void touching(Moment corner, Positions positions) {
    for (Contact contact : setup.contacts()) {
      double first = positions.travelMm()[path.indexOf(contact.first())];
      double second = positions.travelMm()[path.indexOf(contact.second())];
      if (contact.touches(first, second)) {
        String words =
            String.format(
                Locale.ROOT,
                "%s at %.1f mm and %s at %.1f mm touch.",
                setup.surface(contact.first()).orElseThrow().name(),
                first,
                setup.surface(contact.second()).orElseThrow().name().toLowerCase(Locale.ROOT),
                second);
        double size = Math.abs(first) + Math.abs(second);
        String subject = contact.first() + " " + contact.second();
        search.keep(HazardKind.SURFACES_TOUCH, subject, size, words, way(corner), List.of(corner));
      }
    }
  }

  /** With roll and yaw centred a pair moves equally, in every phase and at every pitch. */
  private void pairs(Moment corner, Positions positions) {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface left = setup.surfaces().get(i);
      String other = Side.mirrored(left.id());
      if (left.side() != Side.LEFT || setup.surface(other).isEmpty()) {
        continue;
      }
      int right = path.indexOf(other);
      double one = positions.travelMm()[i] - neutral[i];
      double two = positions.travelMm()[right] - neutral[right];
      double apart = Math.abs(one - two);
      double travel = Math.max(Math.abs(one), Math.abs(two));
      if (apart > Math.max(setup.house().pairMm(), 0.1 * travel)) {
        String words =
            String.format(
                Locale.ROOT,
                "%s moves by %.1f mm, %s by %.1f mm, roll and yaw centred.",
                left.name(),
                one,
                setup.surfaces().get(right).name().toLowerCase(Locale.ROOT),
                two);
        search.keep(HazardKind.PAIR_UNEQUAL, left.id(), apart, words, way(corner), List.of(corner));
      }
    }
  }

  /** A control that moves nothing in some phase though it has a share somewhere. */
  void dead() {
    for (int phase = 0; phase < alive.length; phase++) {
      for (Control control : Control.values()) {
        boolean meant = setup.surfaces().stream().anyMatch(one -> one.shares().of(control) != 0);
        if (meant && example[phase] != null && !alive[phase][control.ordinal()]) {
          String name = setup.phases().get(phase).name();
          String stick = control.word();
          String words = "In phase " + name + " the " + stick + " stick moves nothing.";
          Moment moved = example[phase].with(control, 1);
          search.keep(
              HazardKind.CONTROL_DEAD, stick + " " + name, 1, words, way(moved), List.of(moved));
        }
      }
    }
  }

  private List<String> way(Moment moment) {
    List<String> way = new ArrayList<>(search.states().words(moment));
    for (Control control : Control.values()) {
      double stick = moment.of(control);
      if (stick != 0) {
        way.add(control.word() + (stick > 0 ? " full plus" : " full minus"));
      }
    }
    if (moment.throttle() > 0) {
      way.add("throttle full");
    }
    return way;
  }
}
