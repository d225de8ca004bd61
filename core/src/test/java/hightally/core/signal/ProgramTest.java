package hightally.core.signal;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Differential;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ProgramTest {
  private static final double NANO = 1e-9;

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
    SignalPath path = SignalPath.of(Rigs.programmed(seed));
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
    Setup setup = Rigs.programmed(seed);
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
    Setup setup = Rigs.programmed(seed);
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
            Rigs.mix("there", MixSource.SURFACE, "left", "right", 10, List.of()),
            Rigs.mix("back", MixSource.SURFACE, "right", "left", 10, List.of()));
    assertThatThrownBy(() -> SignalPath.of(rig.change().mixes(loop).done()))
        .satisfies(saying("left → right → left"))
        .satisfies(saying("mixes that do not feed back"));
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
