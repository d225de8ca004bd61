package hightally.core.signal;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.Linkage;
import hightally.core.program.Feel;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

class TallyTest {
  @Example
  void theLinesOfAPlainRigAreTheOnesWorkedOutByHand() {
    // Half stick, rate 80 %, cubic expo 30 %: 0.8·(0.7·0.5 + 0.3·0.125) = 0.31. The left elevon
    // takes
    // half of pitch: 15.5 %, on a 500 µs scale 77.5 µs, at 0.09 °/µs 6.975°. The arm stands 0.5°
    // off
    // square: one degree of arm is one degree of surface, so the surface stands 0.5° higher.
    // Chord 50 mm: 50·sin(6.975°) = 6.0718 mm; 50·sin(7.475°) = 6.5047 mm.
    SignalPath path = SignalPath.of(Rigs.plain());
    Moment moment = new Moment(0, 0.5, 0, 0, true, Trims.ZERO, List.of(), Readings.NORMAL);
    Tally tally = TallyMaker.of(path, moment, path.indexOf("left"));
    TallyLine stick = tally.lines().get(1);
    assertThat(say(stick.label())).isEqualTo("Pitch stick");
    assertThat(stick.percent()).isCloseTo(15.5, within(1e-9));
    assertThat(stick.degrees()).isCloseTo(6.975, within(1e-9));
    assertThat(stick.mm()).isCloseTo(6.0718, within(1e-4));
    assertThat(tally.lines().get(4).contribution()).isEqualTo(Contribution.ARM_OFFSET);
    assertThat(tally.mm()).isCloseTo(6.5047, within(1e-4));
  }

  @Property
  void theLinesSumToWhereTheSurfaceStands(
      @ForAll long seed,
      @ForAll @DoubleRange(min = -1, max = 1) double roll,
      @ForAll @DoubleRange(min = -1, max = 1) double pitch,
      @ForAll @IntRange(min = -60, max = 60) int clicks) {
    Setup setup = Rigs.random(seed);
    SignalPath path = SignalPath.of(setup);
    Moment moment =
        new Moment(
            roll, pitch, 0, 0, true, new Trims(clicks, -clicks / 2, 0), List.of(), Readings.NORMAL);
    Positions positions = path.evaluate(moment);
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Tally tally = TallyMaker.of(path, moment, i);
      assertThat(tally.mm()).isCloseTo(positions.travelMm()[i], within(1e-9));
      assertThat(tally.degrees()).isCloseTo(positions.surfaceDegrees()[i], within(1e-9));
      assertThat(tally.lines().stream().mapToDouble(TallyLine::mm).sum())
          .isCloseTo(tally.mm(), within(1e-9));
      assertThat(tally.lines().stream().mapToDouble(TallyLine::percent).sum())
          .isCloseTo(tally.percent(), within(1e-9));
    }
  }

  /** A long arm on a short horn: the rod is out of reach well before full stick. */
  @Property(tries = 60)
  void aSurfaceStaysWhereItsRodLocksHoweverFarTheServoGoesOn(
      @ForAll @DoubleRange(min = 18, max = 26) double arm,
      @ForAll @DoubleRange(min = 8, max = 12) double horn,
      @ForAll boolean up) {
    Setup plain = Rigs.plain();
    Surface right = plain.surface("right").orElseThrow();
    Linkage linkage = new Linkage(arm, horn, 150, 0, 0, false, true);
    Setup setup =
        plain
            .withSurface(
                right.withRod(
                    new Rod(
                        right.rod().driver(),
                        right.rod().driverId(),
                        linkage,
                        right.rod().end(),
                        0)))
            .change()
            .feel(new Feel(Response.even(150, 0), Response.even(150, 0), Response.even(150, 0)))
            .done();
    SignalPath path = SignalPath.of(setup);
    int index = path.indexOf("right");
    FourBar bar = FourBar.of(linkage);
    double held = Double.NaN;
    for (int i = 0; i <= 300; i++) {
      double stick = (up ? 1 : -1) * i / 300.0;
      Moment moment = new Moment(stick, stick, 0, 0, true, Trims.ZERO, List.of(), Readings.NORMAL);
      Positions positions = path.evaluate(moment);
      double pulse = positions.pulseMicroseconds()[path.channelBehind(index)];
      double alone = bar.surfaceAngle(path.servoBehind(index).armDegrees(pulse));
      double degrees = positions.surfaceDegrees()[index];
      if (Double.isNaN(held) && !Double.isNaN(alone)) {
        assertThat(degrees).isCloseTo(alone, within(1e-9));
      } else if (Double.isNaN(held)) {
        held = degrees;
        assertThat(Double.isFinite(held)).isTrue();
      } else {
        assertThat(degrees).as("at stick " + stick).isEqualTo(held);
      }
    }
    assertThat(held).as("it did lock").isNotNaN();
  }
}
