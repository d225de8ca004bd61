package hightally.core.simulator;

import hightally.core.channel.Channel;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FlightTimer;
import hightally.core.program.StartPosition;
import hightally.core.program.TelemetryAlarm;
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
 * count, conditions that must hold for a while do, the cut is released only with the throttle
 * closed, a lost link shows the failsafe. Slowed channels run to where they belong, and what was
 * demanded at switch-on is warned of until it has been so once. Deterministic: time is an argument.
 * One run belongs to one thread.
 *
 * <p>Long because a step of time is one thing: all that keeps time is moved on here, in one order.
 */
public final class BenchRun {
  private static final double STICK_BACK = 0.02;
  private static final long MINUTE = 60;
  private static final double END_TO_END = 200;
  private static final double PLACE = 0.1;
  private static final double FULL_LINK = 100;

  /** So little time makes no difference to anything that is shown. */
  private static final double INSTANT = 1e-9;

  /** While something moves by itself time passes in steps of at most this, seconds. */
  private static final double LONGEST_STEP = 0.01;

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

  /** What the channels were told before, percent. */
  private double[] told;

  private boolean ready;
  private BenchHands hands;
  private Moment moment;
  private List<Boolean> truths = List.of();
  private final boolean[] raw;
  private final boolean[] below;
  private final List<Said> spoken = new ArrayList<>();
  private boolean held;
  private boolean moving;
  private final boolean slows;

  public BenchRun(SignalPath path) {
    this.path = path;
    setup = path.setup();
    fade = new PhaseFade(path);
    mixFade = new MixFade(path.program(), setup);
    reversers = new Reversers(path);
    conditions = path.program().conditions();
    trueFor = new double[conditions.count()];
    belowFor = new double[setup.power().alarms().size()];
    below = new boolean[belowFor.length];
    raw = new boolean[trueFor.length];
    slows = setup.channels().stream().anyMatch(one -> one.slowedSeconds() > 0);
    timers =
        setup.power().timers().stream()
            .mapToDouble(one -> one.countsDown() ? one.startSeconds() : 0)
            .toArray();
  }

  /**
   * Lets time pass with the hands as they were, then moves them: what fades, is slowed or must be
   * held counts from the moment of the change, never from before it.
   *
   * @param now what the pilot does from here on
   * @param seconds since the step before, 0 or more; the first step begins the run
   */
  public BenchMoment step(BenchHands now, double seconds) {
    spoken.clear();
    double left = hands == null ? 0 : seconds;
    while (left > 0) {
      double part = Math.min(left, soonest());
      pass(part);
      if (slows) {
        move(part);
      }
      left -= part;
      look();
    }
    hands = now;
    look();
    return shown();
  }

  /** How long at the most until something begins or ends by itself, seconds. */
  private double soonest() {
    double soonest = Math.min(fade.soonest(), mixFade.soonest());
    for (int i = 0; i < trueFor.length; i++) {
      double held = conditions.at(i).heldSeconds();
      if (raw[i] && trueFor[i] < held) {
        soonest = Math.min(soonest, held - trueFor[i]);
      }
      soonest = Math.min(soonest, untilTimer(i));
    }
    boolean moves = moving || soonest < Double.POSITIVE_INFINITY;
    return Math.max(INSTANT, moves ? Math.min(soonest, LONGEST_STEP) : soonest);
  }

  /** How long until a running timer comes to what a condition holds it against. */
  private double untilTimer(int condition) {
    Condition one = conditions.at(condition);
    for (int i = 0; i < timers.length && one.kind() == ConditionKind.TIMER_ABOVE; i++) {
      FlightTimer timer = setup.power().timers().get(i);
      if (timer.id().equals(one.subject()) && runs(timer, moment)) {
        double way = timer.countsDown() ? timers[i] - one.limit() : one.limit() - timers[i];
        // A timer must be above its limit: one that counts up is not until just behind it.
        double until = timer.countsDown() ? way : way + INSTANT;
        return until > 0 ? until : Double.POSITIVE_INFINITY;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** Time passes; nothing else changes. */
  private void pass(double seconds) {
    fade.pass(seconds);
    mixFade.pass(seconds);
    for (int i = 0; i < trueFor.length; i++) {
      trueFor[i] = raw[i] ? trueFor[i] + seconds : 0;
    }
    count(seconds);
    for (int i = 0; i < belowFor.length; i++) {
      belowFor[i] = below[i] ? belowFor[i] + seconds : 0;
    }
  }

  /** What follows from hands, timers and fades as they stand now. */
  private void look() {
    setTimers(hands.moment());
    phase = conditions.phase(hands.moment().with(readings(hands.moment(), truths(hands.moment()))));
    fade.on(phase);
    truths = truths(hands.moment());
    for (int i = 0; i < raw.length; i++) {
      raw[i] = conditions.of(i, bare(hands.moment()), phase, truths.toArray(Boolean[]::new));
      trueFor[i] = raw[i] ? trueFor[i] : 0;
    }
    moment = hands.moment().with(readings(hands.moment(), truths));
    mixFade.aim(moment, phase);
    latchAtStart();
    held = latched();
    move(0);
    resetTimers();
    alarms();
  }

  /** Where all that is told goes in a time in which nothing is decided anew. */
  private void move(double seconds) {
    Moment safe = held ? moment.withThrottle(moment.throttle(), true) : moment;
    double[] commands =
        fade.commands(one -> one == phase ? safe : conditions.asIn(one, safe), mixFade, held);
    moving = !slow(path.positions(commands, safe).commandPercent(), seconds);
  }

  private BenchMoment shown() {
    Positions positions = path.ofCommands(slowed);
    if (hands.linkLost() && lastPulses != null) {
      positions = failsafe(positions);
    } else {
      lastPulses = positions.pulseMicroseconds().clone();
    }
    boolean busy = fade.underWay() || mixFade.underWay() || moving || timersRun() || waits();
    return new BenchMoment(
        positions,
        phase,
        fade.part(),
        held,
        power(positions),
        reversers.anyBack(positions),
        timersShown(),
        List.copyOf(spoken),
        sounding(),
        warnings(moment),
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
      told = wanted.clone();
    }
    for (int i = 0; i < wanted.length; i++) {
      Channel channel = setup.channels().get(i);
      if (channel.carriesThrottle() && setup.power().reverses(slowed[i], wanted[i])) {
        slowed[i] = setup.power().stopPercent();
      }
      boolean free =
          channel.slowedSeconds() == 0 || channel.carriesThrottle() && less(wanted[i], i);
      slowed[i] =
          free
              ? wanted[i]
              : behind(
                  slowed[i], told[i], wanted[i], END_TO_END * seconds / channel.slowedSeconds());
      told[i] = wanted[i];
      arrived &= slowed[i] == wanted[i];
    }
    return arrived;
  }

  /**
   * Where something is that follows what goes straight from one place to another meanwhile.
   *
   * @param most how far it can go itself in that time
   */
  private static double behind(double at, double from, double to, double most) {
    if (most == 0) {
      return at;
    }
    double way = Math.signum(from - at);
    double met = way == 0 ? 0 : (from - at) / (way * most - (to - from));
    if (met < 0 || met > 1) {
      return at + way * most;
    }
    double there = from + met * (to - from);
    double left = (1 - met) * most;
    return Math.abs(to - there) <= left + INSTANT ? to : there + Math.signum(to - there) * left;
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
    return given.change().timerSeconds(timersShown()).truths(truths).done();
  }

  private List<Double> timersShown() {
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
  private List<Boolean> truths(Moment moment) {
    if (told(moment)) {
      return moment.readings().truths();
    }
    Boolean[] found = new Boolean[trueFor.length];
    for (int i = 0; i < found.length; i++) {
      decide(i, moment, found);
    }
    return List.of(found);
  }

  /** What it is made of is decided first, so a part that still waits is not true yet. */
  private void decide(int condition, Moment moment, Boolean[] found) {
    if (found[condition] == null) {
      for (int member : conditions.members(condition)) {
        decide(member, moment, found);
      }
      double held = conditions.at(condition).heldSeconds();
      boolean enough = held == 0 || trueFor[condition] >= held - INSTANT;
      found[condition] = enough && conditions.of(condition, bare(moment), phase, found);
    }
  }

  private Moment bare(Moment moment) {
    return moment.with(readings(moment, List.of()));
  }

  private boolean waits() {
    for (int i = 0; i < trueFor.length; i++) {
      if (raw[i] && trueFor[i] < conditions.at(i).heldSeconds()) {
        return true;
      }
    }
    return !setup.power().alarms().isEmpty() && hands.moment().readings().linkPercent() < FULL_LINK;
  }

  private void latchAtStart() {
    if (!started) {
      started = true;
      latched = path.program().held(moment, phase);
    }
  }

  /** Whether the motors are held: while cut or unarmed, and after that until the stick was back. */
  private boolean latched() {
    boolean holds = path.program().held(moment, phase);
    boolean back = throttle(moment) <= STICK_BACK;
    latched = holds || latched && setup.power().releaseWithStickBack() && !back;
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

  private boolean timersRun() {
    return setup.power().timers().stream().anyMatch(one -> runs(one, moment));
  }

  private boolean runs(FlightTimer timer, Moment moment) {
    return conditions.isTrue(conditions.index(timer.when()), moment, phase);
  }

  private boolean setBack(FlightTimer timer, Moment moment) {
    return !timer.resetWhen().isEmpty()
        && conditions.isTrue(conditions.index(timer.resetWhen()), moment, phase);
  }

  private void resetTimers() {
    for (int i = 0; i < timers.length; i++) {
      FlightTimer timer = setup.power().timers().get(i);
      if (setBack(timer, moment)) {
        timers[i] = timer.countsDown() ? timer.startSeconds() : 0;
      }
    }
  }

  private void count(double seconds) {
    for (int i = 0; i < timers.length; i++) {
      FlightTimer timer = setup.power().timers().get(i);
      if (!setBack(timer, moment) && runs(timer, moment)) {
        double before = timers[i];
        timers[i] += timer.countsDown() ? -seconds : seconds;
        for (double at : timer.spokenAtSeconds()) {
          if (before != timers[i] && (before - at) * (timers[i] - at) <= 0 && before != at) {
            spoken.add(Said.of("bench.spoken", "timer", timer.name(), "time", time(at)));
          }
        }
      }
    }
  }

  private static Said time(double seconds) {
    long whole = Math.round(seconds);
    return Said.of("bench.time", "minutes", whole / MINUTE, "seconds", whole % MINUTE);
  }

  /** Whether each alarm's value is below its limit as things stand. */
  private void alarms() {
    for (int i = 0; i < below.length; i++) {
      TelemetryAlarm alarm = setup.power().alarms().get(i);
      double link = hands.linkLost() ? 0 : hands.moment().readings().linkPercent();
      double value = alarm.value().equals("link") ? link : hands.moment().readings().voltage();
      below[i] = value < alarm.limit();
      belowFor[i] = below[i] ? belowFor[i] : 0;
    }
  }

  private List<String> sounding() {
    List<String> sounding = new ArrayList<>();
    for (int i = 0; i < belowFor.length; i++) {
      TelemetryAlarm alarm = setup.power().alarms().get(i);
      if (belowFor[i] > alarm.delaySeconds()) {
        sounding.add(alarm.name());
      }
    }
    return sounding;
  }
}
