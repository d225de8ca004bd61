package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.Contact;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.plain.PlainModel;
import hightally.core.plain.PlainStates;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Condition;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;

/**
 * The search against brute force: random programs, tried at random over and over with a plain
 * second way of working things out. Whatever it stumbles upon the search must have found; whatever
 * the search shows must happen there. The seed is fixed, so that every run tries the same; more
 * tries with other seeds are for a run by hand (see {@code docs/measurements.md}).
 */
class BruteForceTest {
  private static final int MOMENTS = 250;
  private static final double RUNS = 0.005;
  private static final double CLEARLY = 0.002;
  private static final double CLEARLY_MM = 0.3;

  private final Map<String, Set<String>> found = new HashMap<>();
  private Setup setup;
  private PlainModel plain;
  private HazardSearch.Outcome outcome;
  private Random random;
  private List<String> held;

  private void begin(long seed) {
    found.clear();
    setup = RandomPrograms.waiting(seed);
    random = new Random(seed);
    held =
        setup.conditions().stream()
            .filter(one -> one.heldSeconds() > 0)
            .map(Condition::id)
            .toList();
    plain = new PlainModel(setup);
    outcome = HazardSearch.of(SignalPath.of(setup));
    assertThat(outcome.complete()).isTrue();
    for (Hazard one : outcome.hazards()) {
      found.computeIfAbsent(one.kind().name(), key -> new HashSet<>()).add(one.subject());
    }
  }

  /** Some conditions have not held long enough, others have. */
  private Set<String> someWait() {
    return held.stream().filter(one -> random.nextBoolean()).collect(Collectors.toSet());
  }

  /** What one change makes of a moment, and by which plain way each side is told. */
  private record Seen(
      String subject, Moment before, PlainModel was, Moment after, PlainModel is, boolean flick) {
    int phaseBefore() {
      return was.phase(before);
    }

    int phaseAfter() {
      return is.phase(after);
    }
  }

  /** Everything one change makes of a moment, a condition that begins to count among it. */
  private List<Seen> seen(PlainStates states, Moment moment) {
    Set<String> waiting = someWait();
    PlainModel now = new PlainModel(setup, waiting);
    List<Seen> all = new ArrayList<>();
    for (PlainStates.Change one : states.changes(moment)) {
      int input = setup.transmitter().inputIndex(one.subject());
      boolean flick =
          input >= 0 && setup.transmitter().inputs().get(input).kind() == InputKind.SWITCH;
      all.add(new Seen(one.subject(), one.before(), now, one.after(), now, flick));
    }
    for (String one : held) {
      Set<String> then = new HashSet<>(waiting);
      if (!then.remove(one)) {
        then.add(one);
      }
      all.add(new Seen(one, moment, now, moment, new PlainModel(setup, then), false));
    }
    return all;
  }

  private boolean has(String kind, String subject) {
    return found.getOrDefault(kind, Set.of()).contains(subject);
  }

  private String subject(String id, Motor motor) {
    return setup.airframe().motors().size() > 1 ? id + " " + motor.id() : id;
  }

  private static double power(PlainModel plain, Motor motor, Moment moment) {
    return plain.power(plain.motor(motor, moment, plain.phase(moment)));
  }

  private double throttle(Moment moment) {
    String lever = setup.power().throttleInput();
    return lever.isEmpty()
        ? moment.throttle()
        : moment.input(setup.transmitter().inputIndex(lever));
  }

  private Moment closed(Moment moment) {
    String lever = setup.power().throttleInput();
    return lever.isEmpty()
        ? moment.withThrottle(0, false)
        : moment.withInput(setup.transmitter().inputIndex(lever), 0);
  }

  @Property(tries = 30, seed = "20261126")
  void noMotorThatRunsAtRestIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = closed(states.anywhere());
      plain = new PlainModel(setup, someWait());
      int phase = plain.phase(moment);
      for (Motor motor : setup.airframe().motors()) {
        boolean runs = !plain.held(moment, phase) && power(plain, motor, moment) > RUNS + CLEARLY;
        if (runs) {
          assertThat(has("CANNOT_STOP", subject(setup.phases().get(phase).id(), motor)))
              .as(() -> motor.id() + " at " + moment)
              .isTrue();
        }
      }
    }
  }

  @Property(tries = 30, seed = "20261126")
  void noStartAndNoJumpIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    Power power = setup.power();
    PlainStates states = new PlainStates(setup, seed);
    double jump = setup.house().powerJumpPercent() / 100;
    for (int i = 0; i < MOMENTS; i++) {
      for (Seen change : seen(states, states.anywhere())) {
        Moment before = change.before();
        Moment after = change.after();
        boolean wasHeld = change.was().held(before, change.phaseBefore());
        boolean isHeld = change.is().held(after, change.phaseAfter());
        boolean latched = wasHeld && power.releaseWithStickBack() && throttle(before) > 0;
        for (Motor motor : setup.airframe().motors()) {
          double wasCommand = change.was().motor(motor, before, change.phaseBefore());
          double isCommand = change.is().motor(motor, after, change.phaseAfter());
          double was = plain.power(wasCommand);
          double is = plain.power(isCommand);
          boolean round = plain.turnedRound(motor, before) != plain.turnedRound(motor, after);
          boolean opposite = power.twoWay() && wasCommand * isCommand < 0;
          boolean turns = !wasHeld && opposite != round && Math.min(was, is) > RUNS + CLEARLY;
          boolean starts = was < 1e-6 && is > RUNS + CLEARLY && !latched;
          boolean jumps = !wasHeld && is - was > jump + CLEARLY;
          if (!isHeld && (starts || jumps || turns)) {
            String subject = subject(change.subject(), motor);
            assertThat(has("MOTOR_STARTS", subject) || has("MOTOR_RISES", subject))
                .as(() -> change + " " + motor.id() + " " + was + " to " + is)
                .isTrue();
          }
        }
      }
    }
  }

  /** What is shown happens there, by the plain way. */
  @Property(tries = 30, seed = "20261126")
  void whatIsToldOfMotorsHappens(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    for (Hazard one : outcome.hazards()) {
      List<Moment> at = one.moments();
      switch (one.kind()) {
        case CANNOT_STOP -> {
          assertThat(throttle(at.get(0))).isZero();
          assertThat(waitings())
              .anyMatch(
                  now ->
                      setup.airframe().motors().stream()
                          .anyMatch(motor -> power(now, motor, at.get(0)) > RUNS - CLEARLY));
        }
        case MOTOR_STARTS, MOTOR_RISES ->
            assertThat(waitings())
                .anyMatch(was -> waitings().stream().anyMatch(is -> more(was, at, is)));
        default -> {}
      }
    }
  }

  /** Every way some conditions may count and others not. */
  private List<PlainModel> waitings() {
    List<PlainModel> all = new ArrayList<>();
    for (int which = 0; which < 1 << held.size(); which++) {
      Set<String> waiting = new HashSet<>();
      for (int i = 0; i < held.size(); i++) {
        if ((which >> i & 1) == 1) {
          waiting.add(held.get(i));
        }
      }
      all.add(new PlainModel(setup, waiting));
    }
    return all;
  }

  private boolean more(PlainModel was, List<Moment> at, PlainModel is) {
    for (Motor motor : setup.airframe().motors()) {
      double one = was.motor(motor, at.get(0), was.phase(at.get(0)));
      double two = is.motor(motor, at.get(1), is.phase(at.get(1)));
      boolean round = is.turnedRound(motor, at.get(0)) != is.turnedRound(motor, at.get(1));
      boolean turns = round != (setup.power().twoWay() && one * two < 0);
      if (plain.power(two) - plain.power(one) > RUNS - CLEARLY || turns) {
        return true;
      }
    }
    return false;
  }

  /** Sticks centred, throttle and levers anywhere: what no fade takes in hand. */
  @Property(tries = 30, seed = "20261126")
  void noSurfaceThatJumpsIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    double jump = setup.house().surfaceJumpMm();
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
      for (Control control : Control.values()) {
        moment = moment.with(control, 0);
      }
      for (Seen flick : seen(states, moment)) {
        if (flick.flick() && !fades(flick)) {
          for (Surface surface : setup.surfaces()) {
            double was = flick.was().travel(surface, flick.before(), flick.phaseBefore());
            double is = flick.is().travel(surface, flick.after(), flick.phaseAfter());
            if (Math.abs(is - was) > jump + CLEARLY_MM) {
              assertThat(has("SURFACE_JUMPS", surface.id()))
                  .as(() -> flick + " " + surface.id() + " " + was + " to " + is)
                  .isTrue();
            }
          }
        }
      }
    }
  }

  /** A channel no switch may move: whatever a flick does to it anywhere is told, and happens. */
  @Property(tries = 30, seed = "20261127")
  void noSwitchThatMovesASteadyChannelIsMissed(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    List<Channel> channels = new ArrayList<>(setup.channels());
    channels.replaceAll(one -> one.carries().equals("left") ? one.held(true) : one);
    setup = setup.change().channels(channels).done();
    plain = new PlainModel(setup);
    Surface left = setup.surface("left").orElseThrow();
    List<Hazard> told =
        HazardSearch.of(SignalPath.of(setup)).hazards().stream()
            .filter(one -> one.kind() == HazardKind.SWITCH_MOVES)
            .toList();
    double furthest = 0;
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      for (PlainStates.Change one : states.changes(states.anywhere())) {
        int input = setup.transmitter().inputIndex(one.subject());
        if (input >= 0 && setup.transmitter().inputs().get(input).kind() == InputKind.SWITCH) {
          furthest = Math.max(furthest, moved(left, one.before(), one.after()));
        }
      }
    }
    if (furthest > CLEARLY_MM) {
      assertThat(told).extracting(Hazard::subject).containsExactly("left");
    }
    for (Hazard one : told) {
      List<Moment> at = one.moments();
      assertThat(waitings())
          .anyMatch(
              now -> {
                plain = now;
                return moved(left, at.get(0), at.get(1)) > 0;
              });
    }
  }

  private double moved(Surface surface, Moment before, Moment after) {
    return Math.abs(
        plain.travel(surface, after, plain.phase(after))
            - plain.travel(surface, before, plain.phase(before)));
  }

  /** Whether any part of a change is softened: a phase, a mix, motors that are let go. */
  private boolean fades(Seen flick) {
    int was = flick.phaseBefore();
    int is = flick.phaseAfter();
    boolean phase = setup.phases().get(is).fadeSeconds() > 0;
    boolean letGo = flick.was().held(flick.before(), was) && !flick.is().held(flick.after(), is);
    for (Mix mix : setup.mixes()) {
      if (mix.fadeSeconds() > 0
          && acts(mix, flick.was(), flick.before(), was)
              != acts(mix, flick.is(), flick.after(), is)) {
        return true;
      }
    }
    boolean latched = letGo && setup.power().releaseWithStickBack() && throttle(flick.before()) > 0;
    return latched || phase && (was != is || letGo);
  }

  private boolean acts(Mix mix, PlainModel plain, Moment moment, int phase) {
    return (mix.phases().isEmpty() || mix.phases().contains(setup.phases().get(phase).id()))
        && plain.isTrue(mix.when(), moment, phase);
  }

  /** Every motor: stick back, cut and failsafe give the pulse at which it stops, or it is told. */
  @Property(tries = 30, seed = "20261126")
  void whatShouldStopAMotorIsComparedAsPulses(
      @ForAll @LongRange(min = 0, max = 100_000) long seed,
      @ForAll @IntRange(min = -60, max = 60) int subTrim,
      @ForAll @IntRange(min = 90, max = 110) int endpoint,
      @ForAll boolean reversed) {
    Setup random = RandomPrograms.waiting(seed);
    List<Channel> channels = new ArrayList<>(random.channels());
    channels.replaceAll(
        one ->
            one.carriesThrottle()
                ? new Channel(
                    one.number(),
                    one.name(),
                    one.carries(),
                    reversed,
                    subTrim,
                    endpoint,
                    endpoint,
                    0)
                : one);
    setup = random.change().channels(channels).done();
    plain = new PlainModel(setup);
    outcome = HazardSearch.of(SignalPath.of(setup), () -> true, part -> {});
    Power power = setup.power();
    double stop = power.twoWay() ? 1500 : 1500 - setup.transmitter().microsecondsPer100();
    for (Motor motor : setup.airframe().motors()) {
      double rest = power.twoWay() ? 0 : -100;
      told(motor, " stick", Math.abs(plain.pulse(motor, rest) - stop) > 20);
      told(motor, " cut", Math.abs(plain.pulse(motor, power.cutPercent()) - stop) > 20);
      FailsafeSetting set =
          power.failsafe().stream()
              .filter(one -> one.channel() == motor.channel())
              .findFirst()
              .orElse(null);
      boolean none = set == null || set.holds();
      told(motor, "", none);
      told(motor, " failsafe", !none && Math.abs(plain.pulse(motor, set.percent()) - stop) > 20);
    }
  }

  private void told(Motor motor, String which, boolean wrong) {
    assertThat(outcome.hazards())
        .filteredOn(one -> one.kind() == HazardKind.CUT_DISAGREES)
        .filteredOn(one -> one.subject().equals(motor.id() + which))
        .hasSize(wrong ? 1 : 0);
  }

  /** A failsafe at the very end of all travel, or further from rest than anything goes. */
  @Property(tries = 30, seed = "20261126")
  void aFailsafeThatThrowsASurfaceToItsEndIsTold(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    Moment rest = Moment.centred(setup.trims());
    int phase = plain.phase(rest);
    for (FailsafeSetting set : setup.power().failsafe()) {
      for (Surface surface : setup.surfaces()) {
        Channel channel = plain.channelBehind(surface);
        if (channel.number() == set.channel() && !set.holds()) {
          double still = plain.travel(surface, rest, phase);
          double there =
              surface.chordMm()
                  * Math.sin(
                      Math.toRadians(plain.degrees(surface, plain.pulse(channel, set.percent()))));
          boolean far = Math.abs(there - still) > setup.house().surfaceJumpMm();
          if (set.percent() <= -setup.transmitter().commandLimitPercent()) {
            assertThat(has("FAILSAFE_END", surface.id()) || !far).as(surface.id()).isTrue();
          }
          if (!far || set.percent() == 0 && Math.abs(still) < 0.5) {
            assertThat(has("FAILSAFE_END", surface.id()) && !far).as(surface.id()).isFalse();
          }
        }
      }
    }
  }

  @Property(tries = 30, seed = "20261126")
  void nothingThatHappensIsCalledNever(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
      plain = new PlainModel(setup, someWait());
      int phase = plain.phase(moment);
      assertThat(has("CONDITION_NEVER", setup.phases().get(phase).id())).isFalse();
      for (Condition condition : setup.conditions()) {
        if (plain.isTrue(condition.id(), moment, phase)) {
          assertThat(has("CONDITION_NEVER", condition.id())).as(condition.id()).isFalse();
        }
      }
      String on = setup.phases().get(phase).id();
      for (Mix mix : setup.mixes()) {
        boolean acts =
            (mix.phases().isEmpty() || mix.phases().contains(on))
                && plain.isTrue(mix.when(), moment, phase);
        if (acts && plain.adds(mix, moment, phase) > 1e-6) {
          assertThat(has("MIX_NEVER", mix.id())).as(mix.id()).isFalse();
        }
      }
    }
  }

  @Property(tries = 30, seed = "20261126")
  void noContactAndNoUnequalPairIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    Surface left = setup.surface("left").orElseThrow();
    Surface right = setup.surface("right").orElseThrow();
    Moment rest = Moment.centred(Trims.ZERO);
    int base = setup.phases().size() - 1;
    List<Phase> noTrims = setup.phases().stream().map(one -> one.withTrims(Trims.ZERO)).toList();
    PlainModel untrimmed = new PlainModel(setup.change().phases(noTrims).done());
    double leftRest = untrimmed.travel(left, rest, base);
    double rightRest = untrimmed.travel(right, rest, base);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
      int phase = plain.phase(moment);
      double one = plain.travel(left, moment, phase);
      double two = plain.travel(right, moment, phase);
      for (Contact contact : setup.contacts()) {
        if (beyond(one, contact.firstMm()) && beyond(two, contact.secondMm())) {
          assertThat(has("SURFACES_TOUCH", "left right")).as(() -> "touch " + moment).isTrue();
        }
      }
      Moment level = moment.with(Control.ROLL, 0).with(Control.YAW, 0);
      int there = plain.phase(level);
      double leftMoves = untrimmed.travel(left, level, there) - leftRest;
      double rightMoves = untrimmed.travel(right, level, there) - rightRest;
      double travel = Math.max(Math.abs(leftMoves), Math.abs(rightMoves));
      double allowed = Math.max(setup.house().pairMm(), 0.1 * travel) + 0.1;
      if (Math.abs(leftMoves - rightMoves) > allowed) {
        assertThat(has("PAIR_UNEQUAL", "left")).as(() -> "pair " + level).isTrue();
      }
    }
  }

  private static boolean beyond(double travel, double limit) {
    return limit >= 0 ? travel > limit + 0.1 : travel < limit - 0.1;
  }

  /** A command or a pulse cut off, or a servo at its stop. */
  @Property(tries = 30, seed = "20261126")
  void noRunOutIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
      plain = new PlainModel(setup, someWait());
      int phase = plain.phase(moment);
      for (Surface surface : setup.surfaces()) {
        Channel channel = plain.channelBehind(surface);
        boolean own = setup.servo(surface.rod().driverId()).isPresent();
        double command =
            plain.command(setup.surface(channel.carries()).orElseThrow(), moment, phase);
        double cut = plain.freePulse(channel, command) - plain.pulse(channel, command);
        if (own && Math.abs(cut) > 2) {
          assertThat(has("RUNS_OUT", surface.id()))
              .as(() -> surface.id() + " " + cut + " µs at " + moment)
              .isTrue();
        }
      }
    }
  }
}
