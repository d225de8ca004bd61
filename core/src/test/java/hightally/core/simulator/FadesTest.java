package hightally.core.simulator;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.plain.PlainBench;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
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
  private static final int FLICKS = 12;

  /** Where its timer comes to its limit, seconds. */
  private static final double SOON = 1;

  /** A program whose conditions wait, whose timer comes to its limit and whose wings are slowed. */
  private static Setup inTime(long seed) {
    Setup setup = RandomPrograms.waiting(seed);
    Random random = new Random(seed);
    return setup
        .change()
        .conditions(setup.conditions().stream().map(FadesTest::soon).toList())
        .channels(
            setup.channels().stream()
                .map(
                    one ->
                        one.carriesThrottle() || random.nextInt(3) > 0
                            ? one
                            : slowed(one, 1 + random.nextInt(3)))
                .toList())
        .done();
  }

  private static Channel slowed(Channel one, double seconds) {
    return new Channel(
        one.number(), one.name(), one.carries(), one.reversed(), 0, 100, 100, seconds);
  }

  private static Condition soon(Condition one) {
    return one.kind() == ConditionKind.TIMER_ABOVE
        ? new Condition(one.id(), one.name(), one.kind(), one.subject(), SOON, List.of(), 0)
        : one;
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

  /** Pauses of any length before flicks: what comes after does not begin before them. */
  @Property
  void aSceneGoesAsOnThePlainBenchWhateverIsFlickedWhenever(@ForAll long seed) {
    Setup setup = inTime(seed);
    Random random = new Random(seed);
    Moment moment = moved(RandomPrograms.moment(random), random).with(Readings.NORMAL);
    moment = moment.withThrottle(moment.throttle(), false);
    BenchRun run = new BenchRun(SignalPath.of(setup));
    run.step(new BenchHands(moment, false), 0);
    PlainBench plain = new PlainBench(setup, moment);
    int passed = 0;
    for (int i = 0; i < FLICKS; i++) {
      int ticks = random.nextInt(3) == 0 ? random.nextInt(3) : random.nextInt(150);
      // At the very tick at which a timer comes to its limit either answer would do.
      ticks += passed + ticks == Math.round(SOON / PlainBench.TICK) ? 1 : 0;
      passed += ticks;
      moment = random.nextInt(3) > 0 ? moved(moment, random) : moment;
      plain.pass(ticks);
      plain.set(moment);
      BenchMoment now = run.step(new BenchHands(moment, false), ticks * PlainBench.TICK);
      assertThat(now.phase()).isEqualTo(plain.phase());
      assertThat(now.motorHeld()).isEqualTo(plain.held());
      double[] expected = plain.commands();
      for (int c = 0; c < expected.length; c++) {
        if (!setup.channels().get(c).carries().equals("toggle")) {
          assertThat(now.positions().commandPercent()[c])
              .as("channel " + setup.channels().get(c).number() + " after flick " + i)
              .isCloseTo(expected[c], within(FINE));
        }
      }
    }
  }

  private static double[] powers(Setup setup, BenchMoment now) {
    PlainModel plain = new PlainModel(setup);
    double[] commands = now.positions().commandPercent();
    return IntStream.range(0, setup.airframe().motors().size())
        .mapToDouble(motor -> plain.power(commands[2 + motor]))
        .toArray();
  }

  /** Less power comes at once; more comes no faster than straight over the rest of the fade. */
  @Property(tries = 25)
  void powerFallsAtOnceAndRisesNoFasterThanTheFade(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Random random = new Random(seed);
    BenchRun run = new BenchRun(SignalPath.of(setup));
    PlainModel plain = new PlainModel(setup);
    Moment moment = moved(RandomPrograms.moment(random), random).with(Readings.NORMAL);
    double[] before = null;
    double[] earlier = null;
    int phase = -1;
    double since = 1e9;
    boolean held = false;
    for (int i = 0; i < STEPS; i++) {
      Moment was = moment;
      Moment next = random.nextInt(6) == 0 ? moved(moment, random) : moment;
      boolean still = next.equals(moment);
      moment = next;
      if (i > 0) {
        before = powers(setup, run.step(new BenchHands(was, false), STEP));
      }
      BenchMoment now = run.step(new BenchHands(moment, false), 0);
      boolean settled = phase >= 0 && since > setup.phases().get(phase).fadeSeconds() + STEP;
      since = i > 0 && (now.phase() != phase || held && !now.motorHeld()) ? 0 : since + STEP;
      phase = now.phase();
      held = now.motorHeld();
      Moment seen =
          moment.with(new Readings(100, 12.6, List.of(Math.max(0, i - 1) * STEP), List.of()));
      double fade = setup.phases().get(phase).fadeSeconds();
      double[] powers = powers(setup, now);
      for (int m = 0; m < powers.length; m++) {
        Motor motor = setup.airframe().motors().get(m);
        double told = now.positions().commandPercent()[2 + m];
        PlainModel faded = new PlainModel(setup);
        boolean mixesFade = setup.mixes().stream().anyMatch(mix -> mix.fadeSeconds() > 0);
        if (!mixesFade) {
          double asked = held ? setup.power().cutPercent() : faded.motor(motor, seen, phase);
          assertThat(powers[m]).isLessThanOrEqualTo(plain.power(asked) + FINE);
          if (since >= fade + 2 * STEP) {
            assertThat(told).isCloseTo(asked, within(FINE));
          }
        }
        if (earlier != null && since < fade && still) {
          assertThat(powers[m] - earlier[m])
              .isLessThanOrEqualTo(STEP / (fade - since + STEP) + FINE);
        }
        if (before != null && settled && since == 0 && fade > 0) {
          assertThat(powers[m]).as("at the flick").isLessThanOrEqualTo(before[m] + FINE);
        }
      }
      earlier = powers;
    }
  }
}
