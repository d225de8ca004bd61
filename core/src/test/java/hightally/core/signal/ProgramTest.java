package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.condition.Condition;
import hightally.core.condition.ConditionKind;
import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixSource;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Differential;
import hightally.core.phase.Phase;
import hightally.core.phase.Preset;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ProgramTest {
  private static final double NANO = 1e-9;

  /** A random rig with two phases, differential, presets, own trims and chained mixes. */
  private static Setup programmed(long seed) {
    Random random = new Random(seed);
    List<Mix> mixes = new ArrayList<>();
    mixes.add(mix("a", MixSource.RESPONSE, "roll", "left", part(random), List.of()));
    mixes.add(
        mix(
            "b",
            MixSource.THROTTLE,
            "",
            "left",
            part(random),
            List.of(new CurvePoint(-100, part(random)), new CurvePoint(100, part(random)))));
    mixes.add(mix("c", MixSource.SURFACE, "left", "right", part(random), List.of()));
    mixes.add(mix("d", MixSource.INPUT, "lever", "right", part(random), List.of()));
    Collections.shuffle(mixes, random);
    Phase thermal =
        new Phase(
            "thermal",
            "Thermal",
            "",
            "three",
            1,
            List.of(new Preset("left", part(random)), new Preset("right", part(random))),
            List.of(new Differential("left", 50), new Differential("right", -30)),
            false,
            true,
            false,
            new Trims(0, 7, 0));
    Setup rig = Rigs.random(seed);
    return rig.change()
        .conditions(
            List.of(
                new Condition(
                    "three", "Three", ConditionKind.SWITCH_AT, "switch", 3, List.of(), 0)))
        .phases(List.of(thermal, rig.basePhase()))
        .mixes(mixes)
        .done();
  }

  private static double part(Random random) {
    return random.nextDouble() * 30 - 15;
  }

  private static Mix mix(
      String id,
      MixSource source,
      String subject,
      String target,
      double w,
      List<CurvePoint> curve) {
    return new Mix(
        id,
        id,
        "",
        source,
        subject,
        w,
        -w / 2,
        5,
        curve,
        List.of(new MixTarget(target, 0.8)),
        "",
        List.of());
  }

  private static Moment moment(double roll, double pitch, double lever) {
    List<Double> inputs = List.of(lever, lever > 0.5 ? 1.0 : 0.0);
    return new Moment(
        roll, pitch, -roll / 2, lever, false, new Trims(3, -4, 1), inputs, Readings.NORMAL);
  }

  @Property(tries = 300)
  void theTallySumsToThePositionWithPhasesAndMixes(
      @ForAll long seed,
      @ForAll @DoubleRange(min = -1, max = 1) double roll,
      @ForAll @DoubleRange(min = -1, max = 1) double pitch,
      @ForAll @DoubleRange(min = 0, max = 1) double lever) {
    SignalPath path = SignalPath.of(programmed(seed));
    Moment moment = moment(roll, pitch, lever);
    Positions positions = path.evaluate(moment);
    for (int i = 0; i < 3; i++) {
      Tally tally = TallyMaker.of(path, moment, i);
      double sum = tally.lines().stream().mapToDouble(TallyLine::mm).sum();
      assertThat(sum).isCloseTo(positions.travelMm()[i], within(NANO));
      assertThat(tally.mm()).isCloseTo(positions.travelMm()[i], within(NANO));
    }
  }

  @Property(tries = 200)
  void theOrderInWhichMixesAreListedNeverMatters(
      @ForAll long seed, @ForAll @DoubleRange(min = -1, max = 1) double roll) {
    Setup setup = programmed(seed);
    List<Mix> turned = new ArrayList<>(setup.mixes());
    Collections.reverse(turned);
    Moment moment = moment(roll, 0.3, 0.7);
    double[] one = SignalPath.of(setup).evaluate(moment).travelMm();
    double[] other = SignalPath.of(setup.change().mixes(turned).done()).evaluate(moment).travelMm();
    for (int i = 0; i < one.length; i++) {
      assertThat(other[i]).isCloseTo(one[i], within(NANO));
    }
  }

  @Property(tries = 100)
  void centredSticksAndNoPresetsLeaveEveryCommandAtZero(@ForAll long seed) {
    Setup setup = programmed(seed);
    List<Mix> sticks = setup.mixes().stream().filter(mix -> mix.curve().isEmpty()).toList();
    SignalPath path = SignalPath.of(setup.change().mixes(sticks).done());
    for (double command : path.evaluate(Moment.centred(Trims.ZERO)).commandPercent()) {
      assertThat(command).isZero();
    }
  }

  @Example
  void aMixThatFeedsBackIsRefusedNamingItsMembers() {
    Setup rig = Rigs.plain();
    List<Mix> loop =
        List.of(
            mix("there", MixSource.SURFACE, "left", "right", 10, List.of()),
            mix("back", MixSource.SURFACE, "right", "left", 10, List.of()));
    assertThatThrownBy(() -> SignalPath.of(rig.change().mixes(loop).done()))
        .hasMessageContaining("left → right → left")
        .hasMessageContaining("mixes that do not feed back");
  }

  @Example
  void differentialMakesTheDownGoingSideSmallerAndIsALineOfItsOwn() {
    Setup rig = Rigs.plain();
    Phase phase = rig.basePhase().withDifferential(List.of(new Differential("left", 40)));
    SignalPath path = SignalPath.of(rig.change().phases(List.of(phase)).done());
    Moment right = Moment.centred(Trims.ZERO).with(hightally.core.quantity.Control.ROLL, 1);
    // 80 % rate, half a share: -40 % down on the left, 40 % less of it with differential: -24 %.
    assertThat(path.evaluate(right).commandPercent()[0]).isCloseTo(-24, within(NANO));
    assertThat(TallyMaker.of(path, right, 1).lines())
        .anySatisfy(
            line -> {
              assertThat(line.contribution()).isEqualTo(Contribution.DIFFERENTIAL);
              assertThat(line.percent()).isCloseTo(16, within(NANO));
            });
    Moment left = Moment.centred(Trims.ZERO).with(hightally.core.quantity.Control.ROLL, -1);
    assertThat(path.evaluate(left).commandPercent()[0]).isCloseTo(40, within(NANO));
  }
}
