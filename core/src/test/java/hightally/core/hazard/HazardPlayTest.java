package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.Motor;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.BenchHands;
import hightally.core.simulator.BenchMoment;
import hightally.core.simulator.BenchRun;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** Every hazard played on the bench as it says, so that it is seen to happen there. */
class HazardPlayTest {
  private static final double STEP = 0.1;
  private static final double RUNS = 0.003;
  private Setup setup;
  private SignalPath path;

  /** What the bench showed at the end of every moment, and in the first instant of the last. */
  private record Seen(List<BenchMoment> ends, BenchMoment atOnce) {
    BenchMoment last() {
      return ends.get(ends.size() - 1);
    }

    BenchMoment before() {
      return ends.get(ends.size() - 2);
    }
  }

  private Seen played(Hazard hazard) {
    BenchRun run = new BenchRun(path);
    run.step(new BenchHands(Moment.centred(setup.trims()), false), STEP);
    List<Moment> all = new ArrayList<>(hazard.showing().leadIn());
    all.addAll(hazard.moments());
    List<BenchMoment> ends = new ArrayList<>();
    BenchMoment atOnce = null;
    for (Moment one : all) {
      atOnce = run.step(new BenchHands(one, false), 0.001);
      BenchMoment now = atOnce;
      for (double at = 0; at < hazard.showing().seconds(); at += STEP) {
        now = run.step(new BenchHands(one, false), STEP);
      }
      ends.add(now);
    }
    if (hazard.showing().linkLost()) {
      ends.add(run.step(new BenchHands(all.get(all.size() - 1), true), STEP));
    }
    return new Seen(ends, atOnce);
  }

  private double command(Seen seen, BenchMoment moment, Motor motor) {
    int channel =
        setup.channels().stream().map(one -> one.number()).toList().indexOf(motor.channel());
    return moment.positions().commandPercent()[channel];
  }

  private boolean asksThrottle(String condition) {
    return setup.conditions().stream()
        .filter(one -> one.id().equals(condition))
        .anyMatch(
            one ->
                one.subject().equals("throttle")
                    || one.members().stream().anyMatch(this::asksThrottle));
  }

  @Property(tries = 120, seed = "20261126")
  void whatIsShownOnTheBenchHappensThere(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    setup = RandomPrograms.waiting(seed);
    path = SignalPath.of(setup);
    Power power = setup.power();
    List<Motor> motors = setup.airframe().motors();
    // A cut that is on while the throttle is back and lets go only with it back never lets go: what
    // is told of its motors is told for nothing, and cannot be shown.
    boolean never =
        power.releaseWithStickBack()
            && (asksThrottle(power.cutWhen()) || asksThrottle(power.armWhen()));
    for (Hazard hazard : HazardSearch.of(path).hazards()) {
      if (hazard.moments().isEmpty() || never && hazard.kind().name().startsWith("MOTOR")) {
        continue;
      }
      Seen seen = played(hazard);
      switch (hazard.kind()) {
        case CANNOT_STOP ->
            assertThat(motors)
                .as(hazard::toString)
                .anyMatch(motor -> power.power(command(seen, seen.last(), motor)) > RUNS);
        case MOTOR_STARTS, MOTOR_RISES ->
            assertThat(motors)
                .as(hazard::toString)
                .anyMatch(
                    motor -> {
                      double was = command(seen, seen.before(), motor);
                      double is = command(seen, seen.last(), motor);
                      boolean round =
                          seen.last().motorBackwards() != seen.before().motorBackwards();
                      return power.power(is) - power.power(was) > RUNS
                          || power.reverses(was, is)
                          || motor.hasReverser() && round;
                    });
        case SURFACE_JUMPS -> {
          int surface = path.indexOf(hazard.subject());
          double was = seen.before().positions().travelMm()[surface];
          double is = seen.atOnce().positions().travelMm()[surface];
          assertThat(Math.abs(is - was))
              .as(hazard::toString)
              .isGreaterThan(setup.house().surfaceJumpMm() - 0.3);
        }
        case FAILSAFE_END -> {
          int surface = path.indexOf(hazard.subject());
          double was = seen.before().positions().travelMm()[surface];
          double is = seen.last().positions().travelMm()[surface];
          assertThat(Math.abs(is - was)).isGreaterThan(setup.house().surfaceJumpMm() - 0.3);
        }
        case RUNS_OUT -> {
          int surface = path.indexOf(hazard.subject());
          double command =
              path.program()
                  .commands(hazard.moments().get(0), seen.last().phase())[
                  path.carriedBehind(surface)];
          assertThat(LostTravel.cuts(path, surface, command)).isTrue();
        }
        default -> {}
      }
    }
  }
}
