package hightally.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Surface;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Every millimetre of the movements, worked out once more from the documentation. */
class MovementSheetTest {
  /** The plain way finds a rod's lock by halving. */
  private static final double EXACT = 1e-4;

  private static Moment bench(Setup setup, long seed) {
    Moment anywhere = RandomPrograms.moment(new Random(seed));
    return anywhere.with(Moment.centred(setup.trims()).readings());
  }

  @Property(tries = 30)
  void everyPhaseStandsAsSaidAndIsTheOneThatIsOn(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    PlainModel plain = new PlainModel(setup);
    Moment bench = bench(setup, seed);
    List<PhasePositions> stands = PhasePositions.of(SignalPath.of(setup), bench);
    assertThat(stands).hasSameSizeAs(setup.phases());
    for (int i = 0; i < stands.size(); i++) {
      PhasePositions stand = stands.get(i);
      if (!stand.reached()) {
        assertThat(reachedByAnyPosition(setup, plain, bench, i)).as(stand.phase()).isFalse();
        continue;
      }
      assertThat(plain.phase(stand.moment())).isEqualTo(i);
      for (PhasePositions.Stand one : stand.surfaces()) {
        Surface surface = setup.surface(one.surface()).orElseThrow();
        assertThat(one.restMm()).isCloseTo(plain.travel(surface, stand.moment(), i), within(EXACT));
        rolled(plain, surface, stand.moment(), one);
        for (PhasePositions.Full full : one.full()) {
          full(plain, surface, stand.moment(), full.control(), 1, full.plusMm());
          full(plain, surface, stand.moment(), full.control(), -1, full.minusMm());
        }
      }
    }
  }

  /** Up is where it goes up, however roll comes to it and whatever its linkage is turned to. */
  private static void rolled(
      PlainModel plain, Surface surface, Moment rest, PhasePositions.Stand stand) {
    double still = plain.travel(surface, rest, plain.phase(rest));
    double[] goes = new double[2];
    for (int i = 0; i < 2; i++) {
      Moment full = rest.with(Control.ROLL, i == 0 ? 1 : -1);
      goes[i] = plain.travel(surface, full, plain.phase(full)) - still;
    }
    double up = Math.max(goes[0], goes[1]);
    double down = Math.min(goes[0], goes[1]);
    assertThat(stand.rollUp().mm()).isCloseTo(Math.abs(up), within(EXACT));
    assertThat(stand.rollDown().mm()).isCloseTo(Math.abs(down), within(EXACT));
  }

  private static void full(
      PlainModel plain, Surface surface, Moment rest, Control control, int side, double mm) {
    Moment full = rest.with(control, side);
    assertThat(mm).isCloseTo(plain.travel(surface, full, plain.phase(full)), within(EXACT));
  }

  /** Tries every position of two of the levers, switches and throttle at once. */
  private static boolean reachedByAnyPosition(
      Setup setup, PlainModel plain, Moment bench, int phase) {
    Moment still = bench.with(Control.ROLL, 0).with(Control.PITCH, 0).with(Control.YAW, 0);
    int inputs = setup.transmitter().inputs().size();
    for (int one = 0; one <= inputs; one++) {
      for (int other = one; other <= inputs; other++) {
        for (int i = 0; i <= 20; i++) {
          for (int j = 0; j <= 20; j++) {
            Moment moment = put(setup, put(setup, still, one, i / 20.0), other, j / 20.0);
            if (plain.phase(moment) == phase) {
              return true;
            }
          }
        }
      }
    }
    return false;
  }

  private static Moment put(Setup setup, Moment moment, int which, double at) {
    if (which == setup.transmitter().inputs().size()) {
      return moment.withThrottle(at, moment.throttleCut());
    }
    var input = setup.transmitter().inputs().get(which);
    boolean slides = input.kind() == hightally.core.channel.InputKind.LEVER;
    double place = slides ? at : Math.rint(at * (input.positions() - 1)) / (input.positions() - 1);
    return moment.withInput(which, place);
  }

  @Property(tries = 30)
  void aMixAddsWhatItsSurfaceLacksWithoutIt(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    boolean chained = setup.mixes().stream().anyMatch(one -> one.source() == MixSource.SURFACE);
    for (MixEffect reach : MixEffect.of(SignalPath.of(setup), bench(setup, seed))) {
      List<Mix> others =
          setup.mixes().stream().filter(one -> !one.id().equals(reach.mix())).toList();
      PlainModel with = new PlainModel(setup);
      PlainModel without = new PlainModel(setup.change().mixes(others).done());
      for (MixEffect.End end : reach.ends()) {
        int phase = with.phase(end.moment());
        for (MixEffect.Movement one : end.movements()) {
          Surface surface = setup.surface(one.surface()).orElseThrow();
          assertThat(one.standsMm())
              .isCloseTo(with.travel(surface, end.moment(), phase), within(EXACT));
          if (!chained && with.channelBehind(surface).carries().equals(surface.id())) {
            double adds =
                with.command(surface, end.moment(), phase)
                    - without.command(surface, end.moment(), phase);
            assertThat(one.addsPercent()).isCloseTo(adds, within(EXACT));
          }
        }
      }
    }
  }

  @Property(tries = 25)
  void everyWayAStickCanMoveASurfaceIsTheBenchsOwn(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    PlainModel plain = new PlainModel(setup);
    SignalPath path = SignalPath.of(setup);
    for (Control control : Control.values()) {
      StickResponses feel = StickResponses.of(path, bench(setup, seed), control, "");
      for (StickResponses.Line line : feel.lines()) {
        Surface surface = setup.surface(feel.surface()).orElseThrow();
        for (int i = 0; i < feel.sticks().size(); i += 8) {
          Moment moved = line.moment().with(control, feel.sticks().get(i));
          assertThat(line.mm().get(i))
              .isCloseTo(plain.travel(surface, moved, plain.phase(moved)), within(EXACT));
        }
        assertThat(line.phases()).contains(setup.phases().get(plain.phase(line.moment())).id());
      }
      assertThat(feel.lines().stream().filter(StickResponses.Line::here).count())
          .isEqualTo(feel.surface().isEmpty() ? 0 : 1);
    }
  }

  @Property(tries = 20)
  void theBenchMayStandWithItsTrims(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Trims trims = new Trims(5, -7, 3);
    Moment bench = Moment.centred(trims);
    PhasePositions stand =
        PhasePositions.of(SignalPath.of(setup), bench).get(setup.phases().size() - 1);
    PlainModel plain = new PlainModel(setup);
    if (stand.reached()) {
      Surface left = setup.surface("left").orElseThrow();
      double mm =
          stand.surfaces().stream()
              .filter(one -> one.surface().equals("left"))
              .mapToDouble(PhasePositions.Stand::restMm)
              .sum();
      int phase = setup.phases().size() - 1;
      assertThat(mm).isCloseTo(plain.travel(left, stand.moment(), phase), within(EXACT));
    }
  }
}
