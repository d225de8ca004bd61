package hightally.core.bench;

import hightally.core.channel.Channel;
import hightally.core.channel.TransmitterInput;
import hightally.core.power.FailsafeSetting;
import hightally.core.power.FlightTimer;
import hightally.core.power.StartPosition;
import hightally.core.power.TelemetryAlarm;
import hightally.core.quantity.Said;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import hightally.core.signal.Conditions;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.Readings;
import hightally.core.signal.Reversers;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * A simulated transmitter and receiver that keep time: phases fade ({@link PhaseFade}), timers
 * count, conditions that must hold for a while do, the cut lets go only with the stick back, a lost
 * link shows the failsafe. Slowed channels run to where they belong, and what was demanded at
 * switch-on is warned of until it has been so once. Deterministic: time is an argument. One run
 * belongs to one thread.
 */
public final class BenchRun {
  private static final double STICK_BACK = 0.02;
  private static final long MINUTE = 60;
  private static final double END_TO_END = 200;
  private static final double PLACE = 0.1;

  private final SignalPath path;
  private final Setup setup;
  private final Conditions conditions;
  private final double[] trueFor;
  private final double[] timers;
  private final double[] belowFor;
  private final PhaseFade fade;
  private final MixFade mixFade;
  private final Reversers reversers;
  private int phase;
  private boolean latched;
  private boolean started;
  private double[] lastPulses;
  private double[] slowed;
  private boolean ready;

  public BenchRun(SignalPath path) {
    this.path = path;
    setup = path.setup();
    fade = new PhaseFade(path);
    mixFade = new MixFade(path.program(), setup.mixes());
    reversers = new Reversers(path);
    conditions = path.program().conditions();
    trueFor = new double[conditions.count()];
    belowFor = new double[setup.power().alarms().size()];
    timers =
        setup.power().timers().stream()
            .mapToDouble(one -> one.countsDown() ? one.startSeconds() : 0)
            .toArray();
  }

  /**
   * Lets time pass.
   *
   * @param hands what the pilot does all that time
   * @param seconds since the step before, 0 or more
   */
  public BenchMoment step(BenchHands hands, double seconds) {
    setTimers(hands.moment());
    choosePhase(hands.moment(), seconds);
    List<Boolean> truths = truths(hands.moment(), seconds);
    for (int i = 0; i < trueFor.length; i++) {
      trueFor[i] = rawly(i, hands.moment(), truths) ? trueFor[i] + seconds : 0;
    }
    Moment moment = hands.moment().with(readings(hands.moment(), truths));
    mixFade.pass(seconds, moment, phase);
    latchAtStart(moment);
    boolean held = latched(moment);
    Moment safe = held ? moment.withThrottle(moment.throttle(), true) : moment;
    double[] commands =
        fade.commands(
            one -> one == phase ? safe : conditions.asIn(one, safe), mixFade.weights(), held);
    double[] full = path.positions(commands, safe).commandPercent();
    boolean arrived = slow(full, seconds);
    Positions positions = path.ofCommands(slowed);
    if (hands.linkLost() && lastPulses != null) {
      positions = failsafe(positions);
    } else {
      lastPulses = positions.pulseMicroseconds().clone();
    }
    List<Said> warnings = warnings(moment);
    List<Said> spoken = count(moment, seconds);
    List<String> alarms = alarms(hands, seconds);
    boolean busy =
        fade.underWay()
            || mixFade.underWay()
            || !arrived
            || timersRun(moment)
            || waits(hands.moment());
    return new BenchMoment(
        positions,
        phase,
        fade.part(),
        held,
        power(positions),
        reversers.anyBack(positions),
        shown(),
        spoken,
        alarms,
        warnings,
        truths,
        busy);
  }

  /**
   * A slowed channel follows at most as fast as it is slowed to; a motor's power falls at once,
   * however slow its channel is.
   *
   * @return whether all are where they were told to be
   */
  private boolean slow(double[] wanted, double seconds) {
    boolean arrived = true;
    if (slowed == null) {
      slowed = wanted.clone();
    }
    for (int i = 0; i < wanted.length; i++) {
      Channel channel = setup.channels().get(i);
      if (channel.carriesThrottle() && setup.power().reverses(slowed[i], wanted[i])) {
        slowed[i] = setup.power().stopPercent();
      }
      double way = wanted[i] - slowed[i];
      boolean free =
          channel.slowedSeconds() == 0 || channel.carriesThrottle() && less(wanted[i], i);
      double most = free ? Math.abs(way) : END_TO_END * seconds / channel.slowedSeconds();
      slowed[i] = Math.abs(way) <= most ? wanted[i] : slowed[i] + Math.signum(way) * most;
      arrived &= slowed[i] == wanted[i];
    }
    return arrived;
  }

  private boolean less(double wanted, int channel) {
    return setup.power().power(wanted) <= setup.power().power(slowed[channel]);
  }

  /** What the transmitter warns of since it was switched on, until it is seen to. */
  private List<Said> warnings(Moment moment) {
    List<Said> found = new ArrayList<>();
    if (ready) {
      return found;
    }
    boolean motors = !setup.airframe().motors().isEmpty();
    if (motors && setup.power().throttleWarning() && throttle(moment) > STICK_BACK) {
      found.add(Said.of("bench.throttleNotBack"));
    }
    for (StartPosition one : setup.power().startPositions()) {
      int input = setup.transmitter().inputIndex(one.input());
      TransmitterInput part = setup.transmitter().inputs().get(input);
      double wanted = (one.position() - 1.0) / Math.max(1, part.positions() - 1);
      if (Math.abs(moment.input(input) - wanted) > PLACE) {
        found.add(
            Said.of("bench.belongsPosition", "part", part.name(), "position", one.position()));
      }
    }
    ready = found.isEmpty();
    return found;
  }

  private Readings readings(Moment moment, List<Boolean> truths) {
    Readings given = moment.readings();
    return new Readings(given.linkPercent(), given.voltage(), shown(), truths);
  }

  private List<Double> shown() {
    List<Double> shown = new ArrayList<>();
    for (double timer : timers) {
      shown.add(Math.max(0, timer));
    }
    return shown;
  }

  /**
   * Whether a moment says itself which conditions are true: then it is shown as it is told, with
   * its timers, whatever has held how long on the bench.
   */
  private boolean told(Moment moment) {
    return conditions.count() > 0 && moment.readings().truths().size() == conditions.count();
  }

  private void setTimers(Moment moment) {
    List<Double> given = moment.readings().timerSeconds();
    for (int i = 0; i < timers.length && told(moment) && i < given.size(); i++) {
      timers[i] = given.get(i);
    }
  }

  /** A condition that must be held counts once it has been true for as long. */
  private List<Boolean> truths(Moment moment, double seconds) {
    if (told(moment)) {
      return moment.readings().truths();
    }
    Boolean[] truths = new Boolean[trueFor.length];
    for (int i = 0; i < truths.length; i++) {
      decide(i, moment, seconds, truths);
    }
    return List.of(truths);
  }

  /** What it is made of is decided first, so a part that still waits is not true yet. */
  private void decide(int condition, Moment moment, double seconds, Boolean[] truths) {
    if (truths[condition] == null) {
      for (int member : conditions.members(condition)) {
        decide(member, moment, seconds, truths);
      }
      double held = conditions.at(condition).heldSeconds();
      boolean enough = held == 0 || trueFor[condition] + seconds >= held;
      truths[condition] = enough && conditions.of(condition, bare(moment), phase, truths);
    }
  }

  private boolean rawly(int condition, Moment moment, List<Boolean> truths) {
    return conditions.of(condition, bare(moment), phase, truths.toArray(Boolean[]::new));
  }

  private Moment bare(Moment moment) {
    return moment.with(readings(moment, List.of()));
  }

  private boolean waits(Moment moment) {
    for (int i = 0; i < trueFor.length; i++) {
      double held = conditions.at(i).heldSeconds();
      if (held > 0 && trueFor[i] > 0 && trueFor[i] < held) {
        return true;
      }
    }
    return !setup.power().alarms().isEmpty() && moment.readings().linkPercent() < 100;
  }

  /** No phase's condition asks for a phase, so it can be chosen before those that do are known. */
  private void choosePhase(Moment hands, double seconds) {
    Moment moment = hands.with(readings(hands, truths(hands, seconds)));
    phase = conditions.phase(moment);
    fade.pass(seconds, phase);
  }

  private void latchAtStart(Moment moment) {
    if (!started) {
      started = true;
      latched = path.program().held(moment, phase);
    }
  }

  /** Whether the motors are held: while cut or unarmed, and after that until the stick was back. */
  private boolean latched(Moment moment) {
    boolean held = path.program().held(moment, phase);
    boolean back = throttle(moment) <= STICK_BACK;
    latched = held || latched && setup.power().releaseWithStickBack() && !back;
    return latched;
  }

  private double throttle(Moment moment) {
    int input = setup.transmitter().inputIndex(setup.power().throttleInput());
    return input >= 0 ? moment.input(input) : moment.throttle();
  }

  private Positions failsafe(Positions heard) {
    double[] commands = heard.commandPercent().clone();
    double[] pulses = lastPulses.clone();
    for (int i = 0; i < pulses.length; i++) {
      Channel channel = setup.channels().get(i);
      for (FailsafeSetting one : setup.power().failsafe()) {
        if (one.channel() == channel.number() && !one.holds() && reached(channel)) {
          commands[i] = one.percent();
          pulses[i] = path.output(i).pulse(one.percent());
        }
      }
    }
    return path.ofPulses(commands, pulses);
  }

  /** Whether the receiver's failsafe reaches everything on a channel. */
  private boolean reached(Channel channel) {
    return Device.of(setup).stream()
        .filter(one -> one.channel() == channel.number())
        .allMatch(one -> setup.wiring().failsafeReaches(one.id(), channel.number()));
  }

  private double power(Positions positions) {
    double power = 0;
    for (int i = 0; i < setup.channels().size(); i++) {
      if (setup.channels().get(i).carriesThrottle()) {
        power = Math.max(power, setup.power().power(positions.commandPercent()[i]));
      }
    }
    return setup.airframe().motors().isEmpty() ? 0 : power;
  }

  private boolean timersRun(Moment moment) {
    return setup.power().timers().stream().anyMatch(one -> runs(one, moment));
  }

  private boolean runs(FlightTimer timer, Moment moment) {
    return conditions.isTrue(conditions.index(timer.when()), moment, phase);
  }

  private boolean setBack(FlightTimer timer, Moment moment) {
    return !timer.resetWhen().isEmpty()
        && conditions.isTrue(conditions.index(timer.resetWhen()), moment, phase);
  }

  private List<Said> count(Moment moment, double seconds) {
    List<Said> spoken = new ArrayList<>();
    for (int i = 0; i < timers.length; i++) {
      FlightTimer timer = setup.power().timers().get(i);
      if (setBack(timer, moment)) {
        timers[i] = timer.countsDown() ? timer.startSeconds() : 0;
      } else if (runs(timer, moment)) {
        double before = timers[i];
        timers[i] += timer.countsDown() ? -seconds : seconds;
        for (double at : timer.spokenAtSeconds()) {
          if (before != timers[i] && (before - at) * (timers[i] - at) <= 0 && before != at) {
            spoken.add(Said.of("bench.spoken", "timer", timer.name(), "time", time(at)));
          }
        }
      }
    }
    return spoken;
  }

  private static Said time(double seconds) {
    long whole = Math.round(seconds);
    return Said.of("bench.time", "minutes", whole / MINUTE, "seconds", whole % MINUTE);
  }

  private List<String> alarms(BenchHands hands, double seconds) {
    List<String> sounding = new ArrayList<>();
    for (int i = 0; i < belowFor.length; i++) {
      TelemetryAlarm alarm = setup.power().alarms().get(i);
      double link = hands.linkLost() ? 0 : hands.moment().readings().linkPercent();
      double value = alarm.value().equals("link") ? link : hands.moment().readings().voltage();
      belowFor[i] = value < alarm.limit() ? belowFor[i] + seconds : 0;
      if (belowFor[i] > alarm.delaySeconds()) {
        sounding.add(alarm.name());
      }
    }
    return sounding;
  }
}
