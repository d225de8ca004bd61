package hightally.core.plain;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A second bench that keeps time, from {@code docs/computation.md} alone: it ticks a hundredth of a
 * second at a time, and everything that fades, is slowed, counts or must be held is one number that
 * is moved by a tick.
 */
public final class PlainBench {
  /** A tick, seconds. */
  public static final double TICK = 0.01;

  private static final double SAME = 1e-7;

  private final Setup setup;
  private final double[] phases;
  private final Map<String, Double> parts = new HashMap<>();
  private final Map<String, Double> trueFor = new HashMap<>();
  private final double[] motors;
  private final double[] slowed;
  private final double[] mayMove;
  private final double[] wanted;
  private final Set<String> so = new HashSet<>();
  private double rising;
  private double[] asked;
  private double clock;
  private boolean held;
  private boolean latched;
  private boolean begun;
  private int on = -1;
  private Moment now;

  /** One that is switched on with the hands as they are. */
  public PlainBench(Setup setup, Moment hands) {
    this.setup = setup;
    phases = new double[setup.phases().size()];
    motors = new double[setup.airframe().motors().size()];
    slowed = new double[setup.channels().size()];
    mayMove = new double[slowed.length];
    wanted = new double[slowed.length];
    set(hands);
  }

  /** Ticks with the hands where they are. */
  public void pass(int ticks) {
    for (int i = 0; i < ticks; i++) {
      tick();
      set(now);
    }
  }

  private void tick() {
    double fade = setup.phases().get(on).fadeSeconds();
    double grown = fade == 0 ? 1 : Math.min(1, phases[on] + TICK / fade);
    double others = 1 - phases[on];
    for (int i = 0; i < phases.length && others > 0; i++) {
      phases[i] *= i == on ? 1 : (1 - grown) / others;
    }
    phases[on] = grown;
    if (rising > 0) {
      double part = Math.min(1, TICK / rising);
      for (int i = 0; i < motors.length; i++) {
        motors[i] += part * (asked[i] - motors[i]);
      }
      rising = rising - TICK < SAME ? 0 : rising - TICK;
    }
    for (Mix mix : setup.mixes()) {
      double aim = aim(mix);
      double most = mix.fadeSeconds() == 0 ? 1 : TICK / mix.fadeSeconds();
      for (Map.Entry<String, Double> one : parts.entrySet()) {
        if (one.getKey().startsWith(mix.id() + "/")) {
          double way = aim - one.getValue();
          double next = one.getValue() + Math.max(-most, Math.min(most, way));
          one.setValue(Math.abs(next - aim) < SAME ? aim : next);
        }
      }
    }
    for (int i = 0; i < slowed.length; i++) {
      Channel channel = setup.channels().get(i);
      double most = channel.slowedSeconds() == 0 ? 1e9 : 200 * TICK / channel.slowedSeconds();
      mayMove[i] = most;
    }
    // Till here nothing is decided anew.
    motors();
    slow();
    so.forEach(one -> trueFor.merge(one, TICK, Double::sum));
    clock += TICK;
  }

  /** Moves the hands: from here on, in no time. */
  public void set(Moment hands) {
    now = hands;
    Moment seen = seen();
    PlainModel plain = new PlainModel(setup, waiting());
    int before = on;
    on = plain.phase(seen);
    if (before >= 0 && on != before) {
      rising = setup.phases().get(on).fadeSeconds();
    }
    if (before < 0 || on != before && setup.phases().get(on).fadeSeconds() == 0) {
      Arrays.fill(phases, 0);
      phases[on] = 1;
    }
    count(seen);
    plain = new PlainModel(setup, waiting());
    boolean holds = plain.held(seen, on);
    double stick = throttle();
    latched = holds || latched && setup.power().releaseWithStickBack() && stick > 0.02;
    boolean letGo = held && !latched;
    held = latched;
    for (Mix mix : setup.mixes()) {
      if (mix.fadeSeconds() > 0) {
        double aim = aim(mix);
        parts.putIfAbsent(mix.id() + "/", aim);
        setup.airframe().motors().forEach(m -> parts.putIfAbsent(mix.id() + "/" + m.id(), aim));
      }
    }
    if (letGo) {
      rising = setup.phases().get(on).fadeSeconds();
    }
    motors();
    slow();
  }

  private double throttle() {
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    return lever < 0 ? now.throttle() : now.input(lever);
  }

  private Moment seen() {
    return now.with(new Readings(100, 12.6, List.of(clock + SAME), List.of()));
  }

  /** The conditions that have not held long enough yet. */
  private Set<String> waiting() {
    Set<String> waiting = new HashSet<>();
    for (Condition one : setup.conditions()) {
      if (one.heldSeconds() > 0 && trueFor.getOrDefault(one.id(), 0.0) < one.heldSeconds() - SAME) {
        waiting.add(one.id());
      }
    }
    return waiting;
  }

  /** What is not so, not asking how long, begins to count anew. */
  private void count(Moment seen) {
    for (Condition one : setup.conditions()) {
      if (one.kind() == ConditionKind.PHASE || one.heldSeconds() == 0) {
        continue;
      }
      Set<String> others = waiting();
      others.remove(one.id());
      if (new PlainModel(setup, others).isTrue(one.id(), seen, on)) {
        so.add(one.id());
      } else {
        trueFor.put(one.id(), 0.0);
        so.remove(one.id());
      }
    }
  }

  private double aim(Mix mix) {
    return new PlainModel(setup, waiting()).on(mix, seen(), on) ? 1 : 0;
  }

  private Moment safe() {
    return held ? seen().withThrottle(now.throttle(), true) : seen();
  }

  /** What mixes with a fade of their own add to a surface. */
  private double own(String target) {
    double sum = 0;
    for (Mix mix : setup.mixes()) {
      boolean moves = mix.targets().stream().anyMatch(one -> one.target().equals(target));
      if (mix.fadeSeconds() > 0 && moves) {
        sum += parts.get(mix.id() + "/") * PlainModel.value(mix, target, source(mix));
      }
    }
    return sum;
  }

  /** The source as the phases weigh it. */
  private double source(Mix mix) {
    double sum = 0;
    for (int i = 0; i < phases.length; i++) {
      sum += phases[i] == 0 ? 0 : phases[i] * whole().source(mix, safe(), i);
    }
    return sum;
  }

  private Set<String> fading() {
    Set<String> fading = new HashSet<>();
    for (Mix mix : setup.mixes()) {
      if (mix.fadeSeconds() > 0) {
        fading.add(mix.id());
      }
    }
    return fading;
  }

  private PlainModel whole() {
    return new PlainModel(setup, waiting(), fading(), this::own);
  }

  private double surface(Surface surface) {
    double sum = 0;
    for (int i = 0; i < phases.length; i++) {
      sum += phases[i] == 0 ? 0 : phases[i] * whole().command(surface, safe(), i);
    }
    return sum;
  }

  private void motors() {
    boolean first = asked == null;
    asked = new double[motors.length];
    for (int i = 0; i < motors.length; i++) {
      asked[i] = asked(i);
      if (first || held || rising == 0) {
        motors[i] = asked[i];
      } else {
        double from = setup.power().twoWay() && motors[i] * asked[i] < 0 ? 0 : motors[i];
        motors[i] = power(asked[i]) <= power(from) ? asked[i] : from;
      }
    }
  }

  private double power(double command) {
    return whole().power(command);
  }

  private double asked(int motor) {
    if (held) {
      return setup.power().cutPercent();
    }
    String id = setup.airframe().motors().get(motor).id();
    double rest =
        new PlainModel(setup, waiting(), fading(), target -> target.equals(id) ? 0 : own(target))
            .unlimited(setup.airframe().motors().get(motor), safe(), on);
    double sum = rest;
    for (Mix mix : setup.mixes()) {
      if (mix.fadeSeconds() > 0) {
        double adds = PlainModel.value(mix, id, source(mix));
        String key = mix.id() + "/" + id;
        double part = parts.get(key);
        double aim = aim(mix);
        if (part != aim && setup.power().twoWay() && rest * (rest + adds) < 0) {
          part = aim > part ? Math.max(part, -rest / adds) : Math.min(part, -rest / adds);
        } else if (part != aim) {
          boolean more = power(rest + adds) > power(rest);
          part = more == aim < part ? aim : part;
        }
        boolean moves = mix.targets().stream().anyMatch(one -> one.target().equals(id));
        if (moves) {
          parts.put(key, part);
          sum += part * adds;
        }
      }
    }
    return Math.max(-100, Math.min(100, sum));
  }

  private void slow() {
    for (int i = 0; i < slowed.length; i++) {
      Channel channel = setup.channels().get(i);
      int motor = motor(channel);
      if (motor < 0 && setup.surface(channel.carries()).isEmpty()) {
        continue;
      }
      double is =
          motor >= 0 ? motors[motor] : surface(setup.surface(channel.carries()).orElseThrow());
      if (!begun) {
        slowed[i] = is;
        wanted[i] = is;
      }
      boolean free = channel.slowedSeconds() == 0 || motor >= 0;
      slowed[i] = free ? is : followed(slowed[i], wanted[i], is, mayMove[i]);
      wanted[i] = is;
      mayMove[i] = 0;
    }
    begun = true;
  }

  /** Behind something that goes straight from one place to another, by no more than so much. */
  private static double followed(double at, double from, double to, double most) {
    if (most == 0) {
      return at;
    }
    double met = from == at ? 0 : (from - at) / (Math.signum(from - at) * most - (to - from));
    if (met < 0 || met > 1) {
      return at + Math.signum(from - at) * most;
    }
    double there = from + met * (to - from);
    double left = (1 - met) * most;
    return there + Math.max(-left, Math.min(left, to - there));
  }

  private int motor(Channel channel) {
    for (int i = 0; i < motors.length; i++) {
      if (setup.airframe().motors().get(i).channel() == channel.number()) {
        return i;
      }
    }
    return -1;
  }

  /** The command of every channel, percent. */
  public double[] commands() {
    return slowed.clone();
  }

  /** The phase that is on. */
  public int phase() {
    return on;
  }

  /** Whether the motors are held. */
  public boolean held() {
    return held;
  }
}
