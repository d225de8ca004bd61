package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.plain.PlainModel;
import hightally.core.plain.PlainModel.PlainFourBar;
import hightally.core.plain.PlainStates;
import hightally.core.plain.RandomPrograms;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Linkages told to go where they lock, by sticks, mixes, trims, presets and through a slave rod:
 * the search against a plain four-bar, asked angle by angle at random moments.
 */
class LocksTest {
  private static final int PROGRAMS = 100;
  private static final int MOMENTS = 120;
  private static final double STEP_DEGREES = 0.25;
  private static final double CLEARLY = 0.96;

  private Setup setup;
  private PlainModel plain;
  private int locks;
  private int free;
  private int through;

  @Test
  void aLinkageThatLocksAnywhereIsToldAndNoneThatDoesNot() {
    for (long seed = 0; seed < PROGRAMS; seed++) {
      setup = shortHorn(RandomPrograms.waiting(seed), new Random(seed));
      plain = new PlainModel(setup);
      HazardSearch.Outcome outcome = HazardSearch.of(SignalPath.of(setup));
      assertThat(outcome.complete()).isTrue();
      List<Hazard> told =
          outcome.hazards().stream().filter(one -> one.kind() == HazardKind.LINKAGE_LOCKS).toList();
      Set<String> subjects = told.stream().map(Hazard::subject).collect(Collectors.toSet());
      PlainStates states = new PlainStates(setup, seed);
      for (int i = 0; i < MOMENTS; i++) {
        Moment moment = states.anywhere();
        for (Surface surface : setup.surfaces()) {
          if (locked(surface, moment, CLEARLY)) {
            assertThat(subjects).as("program %d at %s", seed, moment).contains(surface.id());
          }
        }
      }
      for (Hazard one : told) {
        Surface surface = setup.surface(one.subject()).orElseThrow();
        assertThat(locked(surface, one.moments().get(0), 1 / CLEARLY))
            .as("program %d: %s", seed, one)
            .isTrue();
        through += surface.rod().driver() == DriverKind.SURFACE ? 1 : 0;
      }
      locks += told.isEmpty() ? 0 : 1;
      free += told.isEmpty() ? 1 : 0;
    }
    assertThat(locks).as("programs with a linkage that locks").isGreaterThan(PROGRAMS / 5);
    assertThat(free).as("programs without").isGreaterThan(PROGRAMS / 5);
    assertThat(through).as("through a slave rod").isPositive();
  }

  /** One surface's horn so short that its arm may want to take it through. */
  private static Setup shortHorn(Setup plain, Random random) {
    Surface one = plain.surfaces().get(random.nextInt(plain.surfaces().size()));
    double arm = one.rod().linkage().armRadiusMm();
    double horn = arm * (0.5 + 0.9 * random.nextDouble());
    return plain.withSurface(one.withRod(one.rod().withHorn(horn)));
  }

  /** Whether a part of what it is told at a moment, or more than it, is beyond a lock. */
  private boolean locked(Surface surface, Moment moment, double part) {
    int phase = plain.phase(moment);
    var channel = plain.channelBehind(surface);
    Surface carried = setup.surface(channel.carries()).orElseThrow();
    double command = part * plain.command(carried, moment, phase);
    return locked(surface, plain.arm(surface, plain.pulse(channel, command)));
  }

  private boolean locked(Surface surface, double arm) {
    boolean slave = surface.rod().driver() == DriverKind.SURFACE;
    if (slave && locked(setup.surface(surface.rod().driverId()).orElseThrow(), arm)) {
      return true;
    }
    double driver = plain.driver(surface, arm);
    PlainFourBar bar = new PlainFourBar(surface.rod().linkage(), surface.rod().adjustedMm());
    double step = Math.signum(driver) * STEP_DEGREES;
    for (double at = step; Math.abs(at) < Math.abs(driver); at += step) {
      if (Double.isNaN(bar.angle(at))) {
        return true;
      }
    }
    return Double.isNaN(bar.angle(driver));
  }
}
