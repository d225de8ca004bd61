package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Condition;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Programs of every kind, evaluated, explained and bounded, against a plain second way. */
class AgainstPlainTest {
  /** The plain way finds the exponential's steepness and a rod's lock by halving. */
  private static final double NANO = 1e-7;

  private static final double FINE = 1e-4;
  private static final double HAIR = 1e-4;
  private static final int MOMENTS = 12;

  @Property
  void everythingStandsWhereThePlainWaySaysAndThePhaseIsTheSame(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    PlainModel plain = new PlainModel(setup);
    Random random = new Random(seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = RandomPrograms.moment(random);
      int phase = plain.phase(moment);
      assertThat(path.phase(moment)).isEqualTo(phase);
      Positions positions = path.evaluate(moment);
      for (int c = 0; c < setup.channels().size(); c++) {
        Channel channel = setup.channels().get(c);
        double command = command(setup, plain, channel, moment, phase);
        assertThat(positions.commandPercent()[c]).isCloseTo(command, within(NANO));
        assertThat(positions.pulseMicroseconds()[c])
            .isCloseTo(plain.pulse(channel, command), within(NANO));
      }
      for (int s = 0; s < setup.surfaces().size(); s++) {
        assertThat(positions.travelMm()[s])
            .isCloseTo(plain.travel(setup.surfaces().get(s), moment, phase), within(FINE));
      }
    }
  }

  private static double command(
      Setup setup, PlainModel plain, Channel channel, Moment moment, int phase) {
    for (Motor motor : setup.airframe().motors()) {
      if (motor.channel() == channel.number()) {
        return plain.motor(motor, moment, phase);
      }
    }
    int input = setup.transmitter().inputIndex(channel.carries());
    return input >= 0
        ? 200 * moment.input(input) - 100
        : plain.command(setup.surface(channel.carries()).orElseThrow(), moment, phase);
  }

  @Property
  void theMotorsTurnAsHardAsThePlainWaySays(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    PlainModel plain = new PlainModel(setup);
    Random random = new Random(seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = RandomPrograms.moment(random);
      int phase = plain.phase(moment);
      assertThat(path.program().held(moment, phase)).isEqualTo(plain.held(moment, phase));
      double hardest = 0;
      for (Motor motor : setup.airframe().motors()) {
        hardest = Math.max(hardest, plain.power(plain.motor(motor, moment, phase)));
      }
      assertThat(path.motorPower(moment)).isCloseTo(hardest, within(NANO));
      double told = path.motorCommand(moment, phase);
      if (!setup.airframe().motors().isEmpty()) {
        assertThat(plain.power(told)).isCloseTo(hardest, within(NANO));
        assertThat(setup.airframe().motors().stream())
            .anyMatch(one -> Math.abs(plain.motor(one, moment, phase) - told) < NANO);
      } else {
        assertThat(told).isZero();
      }
    }
  }

  @Property
  void theTallyListsWhatThePlainWayAddsUp(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    PlainModel plain = new PlainModel(setup);
    Random random = new Random(seed);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = RandomPrograms.moment(random);
      int phase = plain.phase(moment);
      for (int s = 0; s < setup.surfaces().size(); s++) {
        Surface behind =
            setup.surface(plain.channelBehind(setup.surfaces().get(s)).carries()).orElseThrow();
        List<String> said = new ArrayList<>();
        Tally tally = TallyMaker.of(path, moment, s);
        for (TallyLine line : tally.lines()) {
          if (line.contribution().ordinal() <= Contribution.TRIM.ordinal()) {
            note(said, line.contribution().name(), line.percent());
          }
        }
        List<String> added = new ArrayList<>();
        plain
            .parts(behind, moment, phase)
            .forEach(part -> note(added, part.kind(), part.percent()));
        assertThat(said).isEqualTo(added);
        assertThat(tally.mm())
            .isCloseTo(plain.travel(setup.surfaces().get(s), moment, phase), within(FINE));
      }
    }
  }

  private static void note(List<String> lines, String kind, double percent) {
    if (Math.abs(percent) > NANO) {
      lines.add(kind + " " + Math.round(percent * 1e6));
    }
  }

  /**
   * In one state nothing gets out of the bounds, and what is said to be reached is, where it is
   * said to be. What a condition looks at stands still; all else goes its whole way.
   */
  @Property
  void noCommandLeavesItsBounds(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    PlainModel plain = new PlainModel(setup);
    Random random = new Random(seed);
    Moment state = RandomPrograms.moment(random);
    AxisBox stretch = free(setup, state);
    Spans spans = new CommandSpans(path).of(state, stretch);
    int phase = plain.phase(state);
    assertThat(spans.phase()).isEqualTo(phase);
    for (int i = 0; i < 100; i++) {
      Moment moment = anywhere(state, stretch, random);
      for (int s = 0; s < setup.surfaces().size(); s++) {
        double command = plain.command(setup.surfaces().get(s), moment, phase);
        assertThat(command).isBetween(spans.low(s) - HAIR, spans.high(s) + HAIR);
      }
    }
    for (int s = 0; s < setup.surfaces().size(); s++) {
      if (spans.reached(s)) {
        Surface surface = setup.surfaces().get(s);
        assertThat(plain.command(surface, spans.end(s, false), phase))
            .isCloseTo(spans.low(s), within(HAIR));
        assertThat(plain.command(surface, spans.end(s, true), phase))
            .isCloseTo(spans.high(s), within(HAIR));
      }
    }
  }

  private static AxisBox free(Setup setup, Moment state) {
    AxisBox whole = AxisBox.whole(setup.transmitter().inputs().size());
    for (int axis = 0; axis < whole.from().length; axis++) {
      String subject = subject(setup, axis);
      boolean looked =
          setup.conditions().stream().map(Condition::subject).anyMatch(subject::equals);
      if (looked || subject.equals("switch")) {
        whole.from()[axis] = Axis.place(state, axis);
        whole.to()[axis] = Axis.place(state, axis);
      }
    }
    return whole;
  }

  private static String subject(Setup setup, int axis) {
    return List.of("roll", "pitch", "yaw", "throttle").size() > axis
        ? List.of("roll", "pitch", "yaw", "throttle").get(axis)
        : setup.transmitter().inputs().get(axis - 4).id();
  }

  private static Moment anywhere(Moment state, AxisBox stretch, Random random) {
    Moment at = state;
    for (int axis = 0; axis < stretch.from().length; axis++) {
      double from = stretch.from()[axis];
      double to = stretch.to()[axis];
      double place =
          random.nextInt(3) == 0
              ? (random.nextBoolean() ? from : to)
              : from + random.nextDouble() * (to - from);
      if (axis < 3) {
        at = at.with(Control.values()[axis], place);
      } else if (axis == 3) {
        at = at.withThrottle(place, at.throttleCut());
      } else {
        at = at.withInput(axis - 4, place);
      }
    }
    return at;
  }

  /** Clicks move what shares say, in phases with trims of their own and without. */
  @Property
  void ownTrimsAreInEffectWhereTheyAreAndCommonOnesElse(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Program program = SignalPath.of(setup).program();
    PlainModel plain = new PlainModel(setup);
    Moment moment = Moment.centred(new Trims(5, -6, 7));
    for (int phase = 0; phase < setup.phases().size(); phase++) {
      assertThat(program.trims(moment, phase)).isEqualTo(plain.trims(moment, phase));
    }
  }
}
