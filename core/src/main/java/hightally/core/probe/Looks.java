package hightally.core.probe;

import hightally.core.airframe.Servo;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Every look there is at a rig, one of those that show the same: sticks, levers and switches in
 * every phase, the phases themselves, one channel by itself, one lead unplugged, each motor.
 */
final class Looks {
  /** How far an edge is nudged, mm, where the sub-trim goes so far. */
  static final double NUDGE_MM = 3;

  private final RigModel model;
  private final Setup setup;
  private final SignalPath path;
  private final List<RigModel.Effect> found = new ArrayList<>();
  private final Set<List<Integer>> shown = new HashSet<>();

  private Looks(RigModel model) {
    this.model = model;
    setup = model.setup();
    path = model.path();
  }

  /** All of them, what is looked at first in front. */
  static List<RigModel.Effect> of(RigModel model) {
    Looks looks = new Looks(model);
    looks.hands(model.path().basePhase());
    for (int phase = 0; phase < model.setup().phases().size(); phase++) {
      looks.phase(phase);
    }
    for (int phase = model.path().basePhase() - 1; phase >= 0; phase--) {
      looks.hands(phase);
    }
    looks.apart();
    looks.motors();
    return looks.found;
  }

  private Moment rest(int phase) {
    return path.rest(phase);
  }

  private void hands(int phase) {
    Moment rest = rest(phase);
    if (path.phase(rest) != phase) {
      return;
    }
    for (Control control : Control.values()) {
      Moment there = rest.with(control, 1);
      add(LookKind.STICK, control.word(), 0, phase, rest, there, rest.with(control, -1));
    }
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      input(phase, rest, i);
    }
    double other = rest.throttle() == 1 ? 0 : 1;
    add(LookKind.THROTTLE, "", 0, phase, rest, rest.withThrottle(other, rest.throttleCut()), null);
  }

  private void input(int phase, Moment rest, int index) {
    TransmitterInput input = setup.transmitter().inputs().get(index);
    int steps = input.kind() == InputKind.LEVER ? 2 : Math.max(2, input.positions());
    for (int step = steps - 1; step >= 0; step--) {
      double place = step / (steps - 1.0);
      if (Math.abs(place - rest.input(index)) > 1e-9) {
        Moment there = rest.withInput(index, place);
        add(LookKind.INPUT, input.id(), step, phase, rest, there, null);
      }
    }
  }

  private void phase(int phase) {
    int base = path.basePhase();
    if (phase != base && path.phase(rest(phase)) == phase) {
      add(LookKind.PHASE, setup.phases().get(phase).id(), 0, base, rest(base), rest(phase), null);
    }
  }

  private void add(
      LookKind kind,
      String subject,
      int position,
      int phase,
      Moment rest,
      Moment there,
      Moment back) {
    String of = kind == LookKind.INPUT ? subject + "/" + position : subject;
    String in = setup.phases().get(phase).id();
    String id = kind.id(of) + (phase == path.basePhase() ? "" : "@" + in);
    keep(look(id, kind, subject, position, "", in, rest, there, back, 0));
  }

  private RigModel.Effect look(
      String id,
      LookKind kind,
      String subject,
      int position,
      String unplugged,
      String phase,
      Moment rest,
      Moment there,
      Moment back,
      double microseconds) {
    List<Look.Drawn> none = List.of();
    return model
    .new Effect(
        new Look(
            id, kind, subject, position, unplugged, phase, rest, there, back, microseconds, none));
  }

  /** Only what shows something that no look before it shows. */
  private void keep(RigModel.Effect effect) {
    RigState state = model.described();
    List<Integer> ways = new ArrayList<>(effect.shows(state));
    for (int i = 0; i < model.differences().size(); i++) {
      state.turn(i, model.turn(i));
      ways.addAll(effect.shows(state));
      state.turn(i, model.turn(i));
    }
    if (ways.stream().anyMatch(way -> way != 0 && way != RigModel.UNTOLD) && shown.add(ways)) {
      found.add(effect);
    }
  }

  /** One channel by its sub-trim; where that does not go far enough, one socket unplugged. */
  private void apart() {
    List<RigModel.Effect> hands = List.copyOf(found);
    for (Servo servo : Differences.servos(setup)) {
      int index = model.servo(servo.id());
      double gain = 0;
      for (int i = 0; i < setup.surfaces().size(); i++) {
        gain = model.servoOf(i) == index ? Math.max(gain, Math.abs(model.gain(i))) : gain;
      }
      double most = setup.transmitter().subTrimLimitMicroseconds();
      double needed = gain == 0 ? Double.POSITIVE_INFINITY : NUDGE_MM / gain;
      if (Math.min(most, needed) * gain >= RigModel.SEEN_MM) {
        nudge(servo.channel(), Math.rint(Math.min(most, needed)));
      } else {
        unplug(servo.channel(), index, hands);
      }
    }
  }

  private void nudge(int channel, double microseconds) {
    String number = Integer.toString(channel);
    String id = LookKind.NUDGE.id(number);
    if (found.stream().noneMatch(one -> one.look().id().equals(id))) {
      Moment rest = rest(path.basePhase());
      String phase = setup.basePhase().id();
      found.add(look(id, LookKind.NUDGE, number, 0, "", phase, rest, rest, null, microseconds));
    }
  }

  private void unplug(int channel, int index, List<RigModel.Effect> hands) {
    RigState state = model.described();
    String number = Integer.toString(channel);
    if (found.stream().anyMatch(one -> one.look().unplugged().equals(number))) {
      return;
    }
    for (RigModel.Effect one : hands) {
      LookKind kind = one.look().kind();
      if (kind != LookKind.STICK && kind != LookKind.INPUT) {
        continue;
      }
      boolean moves = false;
      for (int i = 0; i < setup.surfaces().size(); i++) {
        moves |= model.servoOf(i) == index && Math.abs(RigModel.way(one.seen(state, i))) == 1;
      }
      if (moves) {
        Look like = one.look();
        found.add(
            look(
                LookKind.UNPLUG.id(number + "/" + like.id()),
                LookKind.UNPLUG,
                like.subject(),
                like.position(),
                number,
                like.phase(),
                like.rest(),
                like.there(),
                like.back(),
                0));
        return;
      }
    }
  }

  private void motors() {
    Moment rest = rest(path.basePhase());
    String phase = setup.basePhase().id();
    for (var motor : setup.airframe().motors()) {
      String id = LookKind.MOTOR.id(motor.id());
      found.add(look(id, LookKind.MOTOR, motor.id(), 0, "", phase, rest, rest, null, 0));
    }
  }

  /** Of so many, nothing that must be seen. */
  static int[] untold(int size) {
    int[] ways = new int[size];
    Arrays.fill(ways, RigModel.UNTOLD);
    return ways;
  }
}
