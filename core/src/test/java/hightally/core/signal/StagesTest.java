package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.program.Feel;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * What each stage behind the command adds, worked out by hand. The rig is a parallelogram: a degree
 * of arm is a degree of surface; 5 µs are a percent and 0.45°; the arm stands 0.5° off square.
 */
class StagesTest {
  private static final double NANO = 1e-9;
  private static final Moment REST = Moment.centred(Trims.ZERO);
  private static final int LEFT = 1;

  private static Tally tally(Setup setup, Moment moment) {
    return TallyMaker.of(SignalPath.of(setup), moment, LEFT);
  }

  private static Optional<TallyLine> line(Tally tally, Contribution kind) {
    return tally.lines().stream().filter(one -> one.contribution() == kind).findFirst();
  }

  private static Setup shifted(double subTrim) {
    Setup rig = Rigs.plain();
    return rig.change()
        .channels(List.of(rig.channels().get(0).with(subTrim, 100, 100), rig.channels().get(1)))
        .done();
  }

  private static Setup fullRates() {
    Response full = Response.even(150, 0);
    return Rigs.plain().change().feel(new Feel(full, full, full)).done();
  }

  private static double mm(double degrees) {
    return 50 * Math.sin(Math.toRadians(degrees));
  }

  @Test
  void atRestOnlyTheArmStandsOffSquare() {
    Tally tally = tally(Rigs.plain(), REST);
    assertThat(line(tally, Contribution.CENTRE_SHIFT)).isEmpty();
    assertThat(line(tally, Contribution.ROD)).isEmpty();
    assertThat(line(tally, Contribution.LIMIT)).isEmpty();
    assertThat(line(tally, Contribution.DIFFERENTIAL)).isEmpty();
    TallyLine arm = line(tally, Contribution.ARM_OFFSET).orElseThrow();
    assertThat(arm.degrees()).isCloseTo(0.5, within(NANO));
    assertThat(arm.percent()).isCloseTo(0.5 / 0.45, within(NANO));
    assertThat(arm.mm()).isCloseTo(mm(0.5), within(NANO));
  }

  @Test
  void aSubTrimIsALineOfItsOwn() {
    TallyLine shift = line(tally(shifted(30), REST), Contribution.CENTRE_SHIFT).orElseThrow();
    assertThat(shift.percent()).isCloseTo(6, within(NANO));
    assertThat(shift.degrees()).isCloseTo(2.7, within(NANO));
    assertThat(shift.mm()).isCloseTo(mm(2.7), within(NANO));
  }

  /** 150 % of a 500 µs scale is 2250 µs; the transmitter gives 2100 at most. */
  @Test
  void aLimitIsTheLastLine() {
    Moment corner = REST.with(Control.PITCH, 1).with(Control.ROLL, -1);
    Tally tally = tally(fullRates(), corner);
    TallyLine limit = tally.lines().get(tally.lines().size() - 1);
    assertThat(limit.contribution()).isEqualTo(Contribution.LIMIT);
    // Up to 60° the servo goes on; 600 µs are 54°, with the arm's half degree 54.5°.
    assertThat(limit.percent()).isCloseTo(-30, within(NANO));
    assertThat(limit.degrees()).isCloseTo(-13.5, within(NANO));
    assertThat(tally.degrees()).isCloseTo(54.5, within(NANO));
    assertThat(tally.plusLeftMm()).isCloseTo(0, within(NANO));
    assertThat(tally.minusLeftMm()).isCloseTo(mm(54.5) - mm(-53.5), within(NANO));
  }

  @Test
  void whatIsLeftEitherWayIsUpToTheLimits() {
    Tally tally = tally(Rigs.plain(), REST.with(Control.PITCH, 1));
    // 80 % rate, half a share: 40 %, 18.5°.
    assertThat(tally.degrees()).isCloseTo(18.5, within(NANO));
    assertThat(tally.plusLeftMm()).isCloseTo(mm(54.5) - mm(18.5), within(NANO));
    assertThat(tally.minusLeftMm()).isCloseTo(mm(18.5) - mm(-53.5), within(NANO));
  }

  /** A rod a tenth longer on a 12 mm horn: what it moves, and the command that would. */
  @Test
  void aRodThatWasTurnedIsALineOfItsOwn() {
    Setup plain = Rigs.plain();
    Surface left = plain.surface("left").orElseThrow();
    Setup turned = plain.withSurface(left.withRod(left.rod().changedBy(0.1)));
    TallyLine rod = line(tally(turned, REST), Contribution.ROD).orElseThrow();
    double degrees = Math.toDegrees(0.1 / 12);
    assertThat(rod.degrees()).isCloseTo(degrees, within(5e-3));
    assertThat(rod.percent()).isCloseTo(degrees / 0.45, within(2e-2));
    assertThat(rod.mm()).isCloseTo(mm(0.5 + rod.degrees()) - mm(0.5), within(NANO));
  }

  @Test
  void whatIsUnderWayIsTheWayStillToGo() {
    SignalPath path = SignalPath.of(Rigs.plain());
    Moment pulled = REST.with(Control.PITCH, 1);
    Tally half = TallyMaker.underWay(path, pulled, LEFT, 0, 15);
    TallyLine missing = line(half, Contribution.UNDER_WAY).orElseThrow();
    assertThat(missing.percent()).isCloseTo(15 - 40, within(NANO));
    assertThat(half.degrees()).isCloseTo(15 * 0.45 + 0.5, within(NANO));
    Tally there = TallyMaker.underWay(path, pulled, LEFT, 0, 40);
    assertThat(line(there, Contribution.UNDER_WAY)).isEmpty();
  }

  /** One line a mix that acts, none for one that does not; the kinds in their order. */
  @Test
  void linesStandInTheOrderOfTheStages() {
    Setup setup = Rigs.programmed(3);
    Moment moment =
        new Moment(-1, 1, 0, 1, false, new Trims(3, 3, 0), List.of(1.0, 1.0), Readings.NORMAL);
    List<Contribution> kinds = new ArrayList<>();
    tally(setup, moment).lines().forEach(one -> kinds.add(one.contribution()));
    assertThat(kinds).isSorted().contains(Contribution.MIX, Contribution.PRESET, Contribution.TRIM);
  }
}
