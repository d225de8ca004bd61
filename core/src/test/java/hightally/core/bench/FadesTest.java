package hightally.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Motor;
import hightally.core.mix.Mix;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Random programs while things are flicked at random: what fades goes as the documentation says,
 * worked out beside it in the plainest way.
 */
class FadesTest {
  private static final double FINE = 1e-6;
  private static final double STEP = 0.05;
  private static final int STEPS = 60;

  /** The weights as they are described: one number a phase, one a mix. */
  private static final class PlainFade {
    private final Setup setup;
    private final double[] phases;
    private final Map<String, Double> mixes = new HashMap<>();
    private int on = -1;

    PlainFade(Setup setup) {
      this.setup = setup;
      phases = new double[setup.phases().size()];
    }

    void pass(Moment moment) {
      PlainModel plain = new PlainModel(setup);
      if (on >= 0) {
        double fade = setup.phases().get(on).fadeSeconds();
        double grown = fade == 0 ? 1 : Math.min(1, phases[on] + STEP / fade);
        double others = 1 - phases[on];
        for (int i = 0; i < phases.length; i++) {
          if (i != on && others > 0) {
            phases[i] *= (1 - grown) / others;
          }
        }
        phases[on] = grown;
      }
      int now = plain.phase(moment);
      if (on < 0 || setup.phases().get(now).fadeSeconds() == 0) {
        java.util.Arrays.fill(phases, 0);
        phases[now] = 1;
      }
      boolean first = on < 0;
      on = now;
      for (Mix mix : setup.mixes()) {
        if (mix.fadeSeconds() > 0) {
          double aim = plain.isTrue(mix.when(), moment, on) ? 1 : 0;
          double had = mixes.getOrDefault(mix.id(), aim);
          double most = first ? 1 : STEP / mix.fadeSeconds();
          mixes.put(mix.id(), had + Math.max(-most, Math.min(most, aim - had)));
        }
      }
    }

    double command(String surface, Moment moment) {
      PlainModel plain = new PlainModel(setup, mixes);
      double sum = 0;
      for (int i = 0; i < phases.length; i++) {
        if (phases[i] > 0) {
          sum += phases[i] * plain.command(setup.surface(surface).orElseThrow(), moment, i);
        }
      }
      return sum;
    }
  }

  private static Moment moved(Moment moment, Random random) {
    Moment other = RandomPrograms.moment(random);
    List<Double> inputs = new ArrayList<>(moment.inputs());
    switch (random.nextInt(4)) {
      case 0 -> inputs.set(1, other.inputs().get(1));
      case 1 -> inputs.set(3, other.inputs().get(3));
      case 2 -> inputs.set(0, other.inputs().get(0));
      default -> {
        return new Moment(
            other.roll(),
            other.pitch(),
            other.yaw(),
            other.throttle(),
            false,
            moment.trims(),
            inputs,
            Readings.NORMAL);
      }
    }
    return new Moment(
        moment.roll(),
        moment.pitch(),
        moment.yaw(),
        moment.throttle(),
        false,
        moment.trims(),
        inputs,
        Readings.NORMAL);
  }

  @Property(tries = 150)
  void surfacesGoByWeightsWhateverIsFlickedWhenever(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Random random = new Random(seed);
    BenchRun run = new BenchRun(SignalPath.of(setup));
    PlainFade plain = new PlainFade(setup);
    Moment moment = moved(RandomPrograms.moment(random), random).with(Readings.NORMAL);
    moment = moment.withThrottle(moment.throttle(), false);
    double passed = 0;
    for (int i = 0; i < STEPS; i++) {
      moment = random.nextInt(4) == 0 ? moved(moment, random) : moment;
      BenchMoment now = run.step(new BenchHands(moment, false), i == 0 ? 0 : STEP);
      Moment seen = moment.with(new Readings(100, 12.6, List.of(passed), List.of()));
      plain.pass(seen);
      assertThat(now.phase()).isEqualTo(plain.on);
      boolean held = now.motorHeld();
      Moment held0 = held ? seen.withThrottle(seen.throttle(), true) : seen;
      for (int c = 0; c < 2; c++) {
        double expected = plain.command(setup.channels().get(c).carries(), held0);
        assertThat(now.positions().commandPercent()[c]).isCloseTo(expected, within(FINE));
      }
      passed += i == 0 ? 0 : STEP;
    }
  }

  /** Less power comes at once; more comes no faster than straight over the rest of the fade. */
  @Property(tries = 150)
  void powerFallsAtOnceAndRisesNoFasterThanTheFade(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Random random = new Random(seed);
    BenchRun run = new BenchRun(SignalPath.of(setup));
    PlainModel plain = new PlainModel(setup);
    Moment moment = moved(RandomPrograms.moment(random), random).with(Readings.NORMAL);
    double[] before = null;
    int phase = -1;
    double since = 1e9;
    boolean held = false;
    for (int i = 0; i < STEPS; i++) {
      Moment next = random.nextInt(6) == 0 ? moved(moment, random) : moment;
      boolean still = next.equals(moment);
      moment = next;
      BenchMoment now = run.step(new BenchHands(moment, false), i == 0 ? 0 : STEP);
      boolean settled = phase >= 0 && since > setup.phases().get(phase).fadeSeconds() + STEP;
      since = i > 0 && (now.phase() != phase || held && !now.motorHeld()) ? 0 : since + STEP;
      phase = now.phase();
      held = now.motorHeld();
      Moment seen =
          moment.with(new Readings(100, 12.6, List.of(Math.max(0, i - 1) * STEP), List.of()));
      double fade = setup.phases().get(phase).fadeSeconds();
      double[] powers = new double[setup.airframe().motors().size()];
      for (int m = 0; m < powers.length; m++) {
        Motor motor = setup.airframe().motors().get(m);
        double told = now.positions().commandPercent()[2 + m];
        powers[m] = plain.power(told);
        PlainModel faded = new PlainModel(setup);
        boolean mixesFade = setup.mixes().stream().anyMatch(mix -> mix.fadeSeconds() > 0);
        if (!mixesFade) {
          double asked = held ? setup.power().cutPercent() : faded.motor(motor, seen, phase);
          assertThat(powers[m]).isLessThanOrEqualTo(plain.power(asked) + FINE);
          if (since >= fade + 2 * STEP) {
            assertThat(told).isCloseTo(asked, within(FINE));
          }
        }
        if (before != null && since < fade && still) {
          assertThat(powers[m] - before[m])
              .isLessThanOrEqualTo(STEP / (fade - since + STEP) + FINE);
        }
        if (before != null && settled && since == 0 && fade > 0) {
          assertThat(powers[m]).as("at the flick").isLessThanOrEqualTo(before[m] + FINE);
        }
      }
      before = powers;
    }
  }
}
