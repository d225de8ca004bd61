package hightally.core.signal;

import hightally.core.channel.TransmitterInput;
import hightally.core.program.Curve;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.Power;
import hightally.core.program.SourceRoot;
import hightally.core.program.StartPosition;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;

/**
 * Where everything stands at rest in a phase: sticks centred, levers at rest, switches as they
 * stand at switch-on as far as the phase allows, the throttle where the motor stands still, and
 * where its stick works something else, where that is nothing. Asked by findings, mends, the search
 * for holes, the bench set-up and what a typed movement has become alike: {@link SignalPath#rest}.
 */
final class Rest {
  private static final int PLACES = 100;
  private static final double PERCENT = 100;
  private static final double NOTHING = 1e-9;

  private final SignalPath path;
  private final int phase;
  private final Moment there;

  /** The motor's curve over the throttle stick, where the stick can drive one in this phase. */
  private final Curve motor;

  private Rest(SignalPath path, int phase) {
    this.path = path;
    this.phase = phase;
    Moment switchedOn = switchedOn(path.setup());
    there =
        NearestMoment.where(path, switchedOn, moment -> path.phase(moment) == phase)
            .orElse(switchedOn);
    motor = drives() ? Curve.of(curve().points()) : null;
  }

  private ThrottleCurve curve() {
    return path.setup().power().curve(path.setup().phases().get(phase).id());
  }

  /** Whether the throttle stick drives a motor here, if need be with a switch to arm it. */
  private boolean drives() {
    Power power = path.setup().power();
    boolean on = path.phase(there) == phase;
    return power.throttleInput().isEmpty()
        && !path.setup().airframe().motors().isEmpty()
        && curve().points().stream().anyMatch(one -> power.power(one.y()) > NOTHING)
        && NearestMoment.where(path, there, moment -> turns(moment, on)).isPresent();
  }

  private boolean turns(Moment moment, boolean on) {
    return (!on || path.phase(moment) == phase)
        && curve().points().stream()
            .map(one -> moment.withThrottle((one.x() + PERCENT) / (2 * PERCENT), false))
            .anyMatch(one -> path.motorPower(one, phase) > NOTHING);
  }

  static Moment of(SignalPath path, int phase) {
    return new Rest(path, phase).found();
  }

  static boolean throttleDrives(SignalPath path, int phase) {
    return new Rest(path, phase).motor != null;
  }

  /** Everything as it must stand when the transmitter is switched on. */
  private static Moment switchedOn(Setup setup) {
    Moment moment = Moment.centred(Trims.ZERO);
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      moment = moment.withInput(i, 0);
    }
    for (StartPosition one : setup.power().startPositions()) {
      int index = setup.transmitter().inputIndex(one.input());
      TransmitterInput input = index < 0 ? null : setup.transmitter().inputs().get(index);
      if (input != null && input.positions() > 1) {
        int last = input.positions() - 1;
        moment = moment.withInput(index, Math.min(1, (one.position() - 1.0) / last));
      }
    }
    return moment;
  }

  private Moment found() {
    boolean on = path.phase(there) == phase;
    Moment best = there;
    double least = asks(there);
    for (int i = 0; i <= PLACES && least > NOTHING; i++) {
      Moment moved = there.withThrottle((double) i / PLACES, true);
      if (!on || path.phase(moved) == phase) {
        double here = asks(moved);
        best = here < least - NOTHING ? moved : best;
        least = Math.min(least, here);
      }
    }
    return best;
  }

  /** How far the throttle stick's place is from asking nothing: a motor counts before all else. */
  private double asks(Moment moment) {
    double stick = 2 * PERCENT * moment.throttle() - PERCENT;
    double power =
        motor != null
            ? path.setup().power().power(motor.value(stick))
            : path.motorPower(moment.withThrottle(moment.throttle(), false), phase);
    long acting = path.program().decided(moment, phase).acting();
    double moved = 0;
    for (int i = 0; i < path.setup().mixes().size(); i++) {
      Mix mix = path.setup().mixes().get(i);
      if ((acting >> i & 1) != 0 && mix.source().root() == SourceRoot.THROTTLE) {
        moved += Math.abs(MixFunction.of(mix).value(stick));
      }
    }
    return PERCENT * PERCENT * power + moved;
  }
}
