package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.Contact;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.condition.Condition;
import hightally.core.mix.Mix;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.plain.PlainModel;
import hightally.core.plain.PlainStates;
import hightally.core.plain.RandomPrograms;
import hightally.core.power.Power;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
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

  private final Map<String, Set<String>> found = new HashMap<>();
  private Setup setup;
  private PlainModel plain;
  private HazardSearch.Outcome outcome;

  private void begin(long seed) {
    found.clear();
    setup = RandomPrograms.of(seed);
    plain = new PlainModel(setup);
    outcome = HazardSearch.of(SignalPath.of(setup));
    assertThat(outcome.complete()).isTrue();
    for (Hazard one : outcome.hazards()) {
      found.computeIfAbsent(one.kind().name(), key -> new HashSet<>()).add(one.subject());
    }
  }

  private boolean has(String kind, String subject) {
    return found.getOrDefault(kind, Set.of()).contains(subject);
  }

  private String subject(String id, Motor motor) {
    return setup.airframe().motors().size() > 1 ? id + " " + motor.id() : id;
  }

  private double power(Motor motor, Moment moment) {
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

  @Property(tries = 250, seed = "20261126")
  void noMotorThatRunsAtRestIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = closed(states.anywhere());
      int phase = plain.phase(moment);
      for (Motor motor : setup.airframe().motors()) {
        boolean runs = !plain.held(moment, phase) && power(motor, moment) > RUNS + CLEARLY;
        if (runs) {
          assertThat(has("CANNOT_STOP", subject(setup.phases().get(phase).id(), motor)))
              .as(() -> motor.id() + " at " + moment)
              .isTrue();
        }
      }
    }
  }

  @Property(tries = 250, seed = "20261126")
  void noStartAndNoJumpIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    Power power = setup.power();
    PlainStates states = new PlainStates(setup, seed);
    double jump = setup.house().powerJumpPercent() / 100;
    for (int i = 0; i < MOMENTS; i++) {
      for (PlainStates.Change change : states.changes(states.anywhere())) {
        Moment before = change.before();
        Moment after = change.after();
        boolean wasHeld = plain.held(before, plain.phase(before));
        boolean held = plain.held(after, plain.phase(after));
        boolean latched = wasHeld && power.releaseWithStickBack() && throttle(before) > 0;
        for (Motor motor : setup.airframe().motors()) {
          double was = power(motor, before);
          double is = power(motor, after);
          double wasCommand = plain.motor(motor, before, plain.phase(before));
          double isCommand = plain.motor(motor, after, plain.phase(after));
          boolean turns =
              !wasHeld
                  && power.twoWay()
                  && wasCommand * isCommand < 0
                  && Math.min(was, is) > RUNS + CLEARLY;
          boolean starts = was < 1e-6 && is > RUNS + CLEARLY && !latched;
          boolean jumps = !wasHeld && was > RUNS + CLEARLY && is - was > jump + CLEARLY;
          if (!held && (starts || jumps || turns)) {
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
  @Property(tries = 250, seed = "20261126")
  void whatIsToldOfMotorsHappens(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    for (Hazard one : outcome.hazards()) {
      List<Moment> at = one.moments();
      switch (one.kind()) {
        case CANNOT_STOP -> {
          assertThat(throttle(at.get(0))).isZero();
          assertThat(setup.airframe().motors())
              .anyMatch(motor -> power(motor, at.get(0)) > RUNS - CLEARLY);
        }
        case MOTOR_STARTS, MOTOR_RISES -> {
          assertThat(setup.airframe().motors())
              .anyMatch(
                  motor -> {
                    double was = power(motor, at.get(0));
                    double is = power(motor, at.get(1));
                    double one1 = plain.motor(motor, at.get(0), plain.phase(at.get(0)));
                    double two = plain.motor(motor, at.get(1), plain.phase(at.get(1)));
                    return is - was > RUNS - CLEARLY || setup.power().twoWay() && one1 * two < 0;
                  });
        }
        case CONDITION_NEVER, MIX_NEVER, TIMER_NEVER -> {}
        default -> {}
      }
    }
  }

  @Property(tries = 250, seed = "20261126")
  void nothingThatHappensIsCalledNever(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
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
        if (acts) {
          assertThat(has("MIX_NEVER", mix.id())).as(mix.id()).isFalse();
        }
      }
    }
  }

  @Property(tries = 150, seed = "20261126")
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
  @Property(tries = 250, seed = "20261126")
  void noRunOutIsMissed(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    begin(seed);
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = states.anywhere();
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
