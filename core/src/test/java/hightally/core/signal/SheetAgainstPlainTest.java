package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Surface;
import hightally.core.plain.PlainModel;
import hightally.core.plain.PlainModel.PlainFourBar;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What a sheet says of a surface, against a plain second way. */
class SheetAgainstPlainTest {
  private static final double FINE = 1e-6;

  /** At the very angle a linkage locks the surface's speed has no bound: 1e-11° is 1e-5 mm. */
  private static final double AT_A_LOCK = 1e-4;

  private static final double STEP = 1e-4;

  private Setup setup;
  private PlainModel plain;
  private int base;
  private Trims trims;

  private void begin(long seed) {
    Setup made = RandomPrograms.of(seed).change().trims(new Trims(4, -3, 2)).done();
    List<Phase> phases = new ArrayList<>(made.phases());
    base = phases.size() - 1;
    Phase last = phases.get(base);
    trims = last.effective(made.trims());
    setup = made;
    // In the plain way the base phase has no trims of its own: they are handed to it.
    phases.set(
        base,
        new Phase(
            last.id(),
            last.name(),
            last.goal(),
            last.role(),
            "",
            last.fadeSeconds(),
            last.presets(),
            last.differential(),
            false,
            false,
            false,
            Trims.ZERO,
            NoseNote.NOT_FLOWN));
    plain = new PlainModel(made.change().phases(phases).done());
  }

  private Moment rest(Trims with) {
    return SignalPath.of(setup).rest(base).withTrims(with);
  }

  private double mm(Surface surface, Moment moment) {
    return plain.travel(surface, moment, base);
  }

  @Property(tries = 60)
  void throwsOfSticksAreWhatTheyMoveAlone(@ForAll long seed) {
    begin(seed);
    Moment rest = rest(trims);
    List<SurfaceSheet> sheets = SheetMaker.of(SignalPath.of(setup));
    for (int s = 0; s < sheets.size(); s++) {
      Surface surface = setup.surfaces().get(s);
      SurfaceSheet sheet = sheets.get(s);
      Surface carried = setup.surface(plain.channelBehind(surface).carries()).orElseThrow();
      for (Control control : Control.values()) {
        double up = mm(surface, rest.with(control, 1));
        double down = mm(surface, rest.with(control, -1));
        boolean moves =
            Math.abs(up - mm(surface, rest)) > FINE
                || Math.abs(down - mm(surface, rest)) > FINE
                || carried.shares().of(control) != 0;
        List<SurfaceSheet.ControlThrow> listed =
            sheet.controls().stream().filter(one -> one.control() == control).toList();
        assertThat(listed).hasSize(moves ? 1 : 0);
        for (SurfaceSheet.ControlThrow one : listed) {
          assertThat(one.plusMm()).isCloseTo(up, within(AT_A_LOCK));
          assertThat(one.minusMm()).isCloseTo(down, within(AT_A_LOCK));
          double click =
              mm(surface, rest(Trims.ZERO.with(control, 1))) - mm(surface, rest(Trims.ZERO));
          assertThat(one.mmPerClick()).isCloseTo(click, within(FINE));
        }
      }
    }
  }

  @Property(tries = 60)
  void gainTorqueTurnsAndSweepAreWhatALittleMoreShows(@ForAll long seed) {
    begin(seed);
    Moment rest = rest(trims);
    List<SurfaceSheet> sheets = SheetMaker.of(SignalPath.of(setup));
    for (int s = 0; s < sheets.size(); s++) {
      Surface surface = setup.surfaces().get(s);
      SurfaceSheet sheet = sheets.get(s);
      Surface carried = setup.surface(plain.channelBehind(surface).carries()).orElseThrow();
      double pulse = plain.pulse(plain.channelBehind(surface), plain.command(carried, rest, base));
      double arm = plain.arm(surface, pulse);
      double driver = plain.driver(surface, arm);
      PlainFourBar bar = new PlainFourBar(surface.rod().linkage(), surface.rod().adjustedMm());
      double gain = (bar.angle(driver + STEP) - bar.angle(driver - STEP)) / (2 * STEP);
      assertThat(sheet.gainAtCentre()).isCloseTo(gain, within(1e-4));
      assertThat(sheet.torqueNewtonCentimetres())
          .isCloseTo(20 / Math.abs(gain), within(1e-3 + 0.001 * 20 / Math.abs(gain)));
      assertThat(sheet.mmPerTurn()).isCloseTo(longer(surface, driver, 0.4), within(FINE));
      assertThat(sheet.slopMm()).isCloseTo(Math.abs(longer(surface, driver, 0.1)), within(FINE));
      double step = 0.09;
      double moved =
          travel(surface, plain.degreesAt(surface, arm + step))
              - travel(surface, plain.degreesAt(surface, arm));
      assertThat(sheet.mmPerMicrosecond()).isCloseTo(Math.abs(moved), within(FINE));
      for (SurfaceSheet.SweepPoint point : sheet.sweep()) {
        assertThat(point.mm())
            .isCloseTo(travel(surface, bar.held(point.driverDegrees())), within(1e-4));
      }
      double from = sheet.sweep().get(0).driverDegrees();
      double to = sheet.sweep().get(40).driverDegrees();
      assertThat(from).isCloseTo(Math.max(-60, sheet.armRange().from()), within(1e-6));
      assertThat(to).isCloseTo(Math.min(60, sheet.armRange().to()), within(1e-6));
      assertThat(sheet.sweep().get(10).driverDegrees())
          .isCloseTo(from + (to - from) / 4, within(1e-6));
    }
  }

  private static double longer(Surface surface, double driver, double byMm) {
    PlainFourBar now = new PlainFourBar(surface.rod().linkage(), surface.rod().adjustedMm());
    PlainFourBar then =
        new PlainFourBar(surface.rod().linkage(), surface.rod().adjustedMm() + byMm);
    return travel(surface, then.angle(driver)) - travel(surface, now.angle(driver));
  }

  private static double travel(Surface surface, double degrees) {
    return surface.chordMm() * Math.sin(Math.toRadians(degrees));
  }
}
