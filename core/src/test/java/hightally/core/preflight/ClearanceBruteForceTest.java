package hightally.core.preflight;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.Motor;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardKind;
import hightally.core.hazard.HazardSearch;
import hightally.core.plain.PlainModel;
import hightally.core.plain.PlainStates;
import hightally.core.plain.RandomPrograms;
import hightally.core.preflight.Clearance.Verdict;
import hightally.core.preflight.SetupClearance.Search;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * The judgement that clears a model against brute force: programs with up to six switches, levers
 * and conditions that must hold for a while, tried at random moments with a plain second way of
 * working things out.
 */
class ClearanceBruteForceTest {
  private static final int PROGRAMS = Integer.getInteger("programs", 40);
  private static final int MOMENTS = 60;
  private static final double RUNS = 0.005;
  private static final double CLEARLY = 0.002;
  private static final Set<HazardKind> MOTORS =
      Set.of(HazardKind.MOTOR_STARTS, HazardKind.CANNOT_STOP);

  private Setup setup;
  private Random random;
  private List<String> held;

  @Test
  void noneWithAMotorHazardIsClearNoneWithoutIsGroundedByOneAndNoneStoppedIsClear() {
    int grounded = 0;
    int calm = 0;
    for (long seed = 0; seed < PROGRAMS; seed++) {
      begin(seed);
      HazardSearch.Outcome outcome = HazardSearch.of(SignalPath.of(setup));
      assertThat(outcome.complete()).isTrue();
      Clearance judged = judged(outcome);
      if (stumblesUponAMotor(seed)) {
        assertThat(judged.verdict()).as("program %d", seed).isEqualTo(Verdict.GROUNDED);
        grounded++;
      }
      boolean any = false;
      for (Hazard one : outcome.hazards()) {
        if (MOTORS.contains(one.kind())) {
          any = true;
          assertThat(happens(one)).as("program %d: %s", seed, one).isTrue();
        }
      }
      calm += any ? 0 : 1;
      stoppedAnywhere(seed, outcome);
    }
    assertThat(grounded).as("programs with a motor hazard").isGreaterThan(PROGRAMS / 10);
    assertThat(calm).as("programs without").isGreaterThan(PROGRAMS / 10);
  }

  /** The same search, ended by the work it may do. */
  private void stoppedAnywhere(long seed, HazardSearch.Outcome whole) {
    long limit = (long) (random.nextDouble() * whole.work());
    HazardSearch.Outcome part =
        HazardSearch.of(SignalPath.of(setup), limit, () -> false, done -> {});
    if (part.complete()) {
      assertThat(judged(part).verdict()).isEqualTo(judged(whole).verdict());
      return;
    }
    boolean found = part.hazards().stream().anyMatch(one -> one.kind().grounds());
    assertThat(judged(part).verdict())
        .as("program %d stopped at %d of %d", seed, limit, whole.work())
        .isEqualTo(found ? Verdict.GROUNDED : Verdict.NOT_YET);
    assertThat(judged(part).missing())
        .extracting(Clearance.Missing::lack)
        .contains(Clearance.Lack.NOT_PROVEN);
  }

  private static Clearance judged(HazardSearch.Outcome outcome) {
    Search search = outcome.complete() ? Search.WHOLE : Search.NOT_PROVEN;
    SetupClearance verdict = new SetupClearance(SetupClearance.hazards(outcome), search, 1);
    return Clearance.of(verdict, ModelClearance.Seen.ALL, "");
  }

  private void begin(long seed) {
    random = new Random(31 * seed + 7);
    setup = switched(RandomPrograms.waiting(seed));
    held =
        setup.conditions().stream()
            .filter(one -> one.heldSeconds() > 0)
            .map(Condition::id)
            .toList();
  }

  /** Up to four switches more, on which mixes and the first phase hang. */
  private Setup switched(Setup plain) {
    List<TransmitterInput> inputs = new ArrayList<>(plain.transmitter().inputs());
    List<Condition> conditions = new ArrayList<>(plain.conditions());
    List<Phase> phases = new ArrayList<>(plain.phases());
    List<Mix> mixes = new ArrayList<>(plain.mixes());
    int more = random.nextInt(5);
    for (int i = 0; i < more; i++) {
      String id = "more-" + i;
      String on = "on-" + i;
      int positions = 2 + random.nextInt(2);
      inputs.add(new TransmitterInput(id, id, InputKind.SWITCH, positions));
      int at = 1 + random.nextInt(positions);
      conditions.add(new Condition(on, on, ConditionKind.SWITCH_AT, id, at, List.of(), 0));
      mixes.replaceAll(
          one -> random.nextInt(more) == 0 ? when(one, both(one.when(), on, conditions)) : one);
      Phase first = phases.get(0);
      if (!first.when().isEmpty()) {
        phases.set(0, when(first, both(first.when(), on, conditions)));
      }
    }
    return plain
        .change()
        .transmitter(plain.transmitter().withInputs(inputs))
        .conditions(conditions)
        .phases(phases)
        .mixes(mixes)
        .done();
  }

  /** What was asked before, and or or a switch. */
  private String both(String before, String on, List<Condition> conditions) {
    if (before.isEmpty()) {
      return on;
    }
    String id = "both-" + conditions.size();
    ConditionKind kind = random.nextBoolean() ? ConditionKind.AND : ConditionKind.OR;
    conditions.add(new Condition(id, id, kind, "", 0, List.of(before, on), 0));
    return id;
  }

  private static Mix when(Mix one, String condition) {
    return new Mix(
        one.id(),
        one.name(),
        one.reason(),
        one.source(),
        one.subject(),
        one.weightPlusPercent(),
        one.weightMinusPercent(),
        one.startPercent(),
        one.curve(),
        one.targets(),
        condition,
        one.phases(),
        one.fadeSeconds());
  }

  private static Phase when(Phase one, String condition) {
    return new Phase(
        one.id(),
        one.name(),
        one.goal(),
        one.role(),
        condition,
        one.fadeSeconds(),
        one.presets(),
        one.differential(),
        one.ownRoll(),
        one.ownPitch(),
        one.ownYaw(),
        one.trims(),
        one.nose());
  }

  /** Whether a motor runs at rest, or starts at once at a change, at some moment tried. */
  private boolean stumblesUponAMotor(long seed) {
    PlainStates states = new PlainStates(setup, seed);
    for (int i = 0; i < MOMENTS; i++) {
      PlainModel plain = new PlainModel(setup, someWait());
      Moment moment = states.anywhere();
      if (runsAtRest(plain, closed(moment), RUNS + CLEARLY)) {
        return true;
      }
      for (PlainStates.Change one : states.changes(moment)) {
        if (starts(plain, one.before(), one.after())) {
          return true;
        }
      }
    }
    return false;
  }

  private Set<String> someWait() {
    Set<String> waiting = new HashSet<>(held);
    waiting.removeIf(one -> random.nextBoolean());
    return waiting;
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

  private static double power(PlainModel plain, Motor motor, Moment moment) {
    return plain.power(plain.motor(motor, moment, plain.phase(moment)));
  }

  private boolean runsAtRest(PlainModel plain, Moment moment, double more) {
    return !plain.held(moment, plain.phase(moment))
        && setup.airframe().motors().stream().anyMatch(one -> power(plain, one, moment) > more);
  }

  /** From standing still to running, with its control where it was and nothing that softens it. */
  private boolean starts(PlainModel plain, Moment before, Moment after) {
    int then = plain.phase(before);
    int now = plain.phase(after);
    boolean wasHeld = plain.held(before, then);
    boolean latched = wasHeld && setup.power().releaseWithStickBack() && throttle(before) > 0;
    boolean fades = setup.phases().get(now).fadeSeconds() > 0 && (wasHeld || then != now);
    boolean fading = setup.mixes().stream().anyMatch(one -> one.fadeSeconds() > 0);
    boolean moved = throttle(before) != throttle(after);
    if (plain.held(after, now) || latched || fades || fading || moved) {
      return false;
    }
    return setup.airframe().motors().stream()
        .anyMatch(
            one -> power(plain, one, before) < 1e-6 && power(plain, one, after) > RUNS + CLEARLY);
  }

  /** Whether what a hazard shows happens there, with some conditions counting and others not. */
  private boolean happens(Hazard hazard) {
    List<Moment> at = hazard.moments();
    for (PlainModel was : waitings()) {
      if (hazard.kind() == HazardKind.CANNOT_STOP) {
        if (throttle(at.get(0)) == 0 && runsAtRest(was, at.get(0), RUNS - CLEARLY)) {
          return true;
        }
        continue;
      }
      for (PlainModel is : waitings()) {
        if (!is.held(at.get(1), is.phase(at.get(1))) && more(was, at.get(0), is, at.get(1))) {
          return true;
        }
      }
    }
    return false;
  }

  /** Whether some motor has more power than before, or the other way round. */
  private boolean more(PlainModel was, Moment before, PlainModel is, Moment after) {
    for (Motor motor : setup.airframe().motors()) {
      double one = was.motor(motor, before, was.phase(before));
      double two = is.motor(motor, after, is.phase(after));
      boolean round = is.turnedRound(motor, before) != is.turnedRound(motor, after);
      boolean turns = round != (setup.power().twoWay() && one * two < 0);
      if (is.power(two) - is.power(one) > RUNS - CLEARLY || turns) {
        return true;
      }
    }
    return false;
  }

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
}
