package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class SheetTest {
  @Example
  void aPlainRigsSheetIsTheOneWorkedOutByHand() {
    SurfaceSheet sheet = SheetMaker.of(SignalPath.of(Rigs.plain())).get(1);
    assertThat(sheet.surface()).isEqualTo("left");
    assertThat(sheet.gainAtCentre()).as("a parallelogram").isCloseTo(1, within(1e-9));
    assertThat(sheet.torqueNewtonCentimetres()).isCloseTo(20, within(1e-6));
    // 0.5 % · ½ share = 1.25 µs = 0.1125°; at 50 mm near 0.5°: 50·cos 0.55°·0.1125·π/180 = 0.0982
    // mm.
    SurfaceSheet.ControlThrow pitch = sheet.controls().get(1);
    assertThat(pitch.control()).isEqualTo(Control.PITCH);
    assertThat(pitch.mmPerClick()).isCloseTo(0.0982, within(1e-4));
    // Full stick: 80 % · ½ = 200 µs = 18°, from 0.5°: 50·sin 18.5° = 15.865 mm up, 50·sin 17.5°
    // down.
    assertThat(pitch.plusMm()).isCloseTo(15.865, within(1e-3));
    assertThat(pitch.minusMm()).isCloseTo(-15.035, within(1e-3));
    // One turn of M2 is 0.4 mm at 12 mm: 1.91°, 1.67 mm at 50 mm chord.
    assertThat(sheet.mmPerTurn()).isCloseTo(1.67, within(1e-2));
  }

  /** Every point of a curve is where the surface goes with the stick there, and nothing else. */
  @Property(tries = 100)
  void aCurveIsWhatTheStickMovesAndItsEndsAreTheFullThrows(@ForAll long seed) {
    Setup setup = Rigs.random(seed);
    SignalPath path = SignalPath.of(setup);
    int last = SheetMaker.CURVE_POINTS - 1;
    for (SurfaceSheet sheet : SheetMaker.of(path)) {
      int index = path.indexOf(sheet.surface());
      for (SurfaceSheet.ControlThrow one : sheet.controls()) {
        assertThat(one.curve()).hasSize(SheetMaker.CURVE_POINTS);
        for (int i = 0; i <= last; i++) {
          double mm = one.curve().get(i);
          assertThat(mm)
              .isCloseTo(travel(path, index, one.control(), 2.0 * i / last - 1), within(1e-9));
        }
        assertThat(travel(path, index, one.control(), 1)).isCloseTo(one.plusMm(), within(1e-9));
        assertThat(travel(path, index, one.control(), -1)).isCloseTo(one.minusMm(), within(1e-9));
      }
    }
  }

  private static double travel(SignalPath path, int surface, Control control, double stick) {
    return path.evaluate(Moment.centred(Trims.ZERO).with(control, stick)).travelMm()[surface];
  }

  @Property
  void rollAloneMovesElevonsApartAndPitchTogether(@ForAll long seed) {
    SignalPath path = SignalPath.of(Rigs.plain());
    double roll = (seed % 100) / 100.0;
    double[] apart =
        path.evaluate(new Moment(roll, 0, 0, 0, true, Trims.ZERO, List.of(), Readings.NORMAL))
            .commandPercent();
    assertThat(apart[0]).isCloseTo(-apart[1], within(1e-12));
    double[] together =
        path.evaluate(new Moment(0, roll, 0, 0, true, Trims.ZERO, List.of(), Readings.NORMAL))
            .commandPercent();
    assertThat(together[0]).isCloseTo(together[1], within(1e-12));
  }
}
