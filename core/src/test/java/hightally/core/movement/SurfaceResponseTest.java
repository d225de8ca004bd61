package hightally.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Surface;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What sticks and levers do where the bench stands, worked out the plain way. */
class SurfaceResponseTest {
  /** The plain way finds a rod's lock by halving. */
  private static final double EXACT = 1e-4;

  @Property(tries = 30)
  void everyFigureIsTheBenchsOwn(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    PlainModel plain = new PlainModel(setup);
    Moment bench = RandomPrograms.moment(new Random(seed));
    for (Surface surface : setup.surfaces()) {
      SurfaceResponse here = SurfaceResponse.of(SignalPath.of(setup), bench, surface.id());
      for (SurfaceResponse.Stick one : here.sticks()) {
        int phase = plain.phase(one.rest());
        assertThat(here.phase()).isEqualTo(setup.phases().get(phase).id());
        assertThat(one.plusMm()).isCloseTo(at(plain, surface, one, 1), within(EXACT));
        assertThat(one.minusMm()).isCloseTo(at(plain, surface, one, -1), within(EXACT));
        assertThat(one.curve().get(30)).isCloseTo(at(plain, surface, one, 0.5), within(EXACT));
        Phase on = setup.phases().get(phase);
        if (!on.own(one.control())) {
          int clicks = one.rest().trims().of(one.control()) + 1;
          Moment rest = one.rest();
          Moment more =
              new Moment(
                  rest.roll(),
                  rest.pitch(),
                  rest.yaw(),
                  rest.throttle(),
                  rest.throttleCut(),
                  rest.trims().with(one.control(), clicks),
                  rest.inputs(),
                  rest.readings());
          double click =
              plain.travel(surface, more, phase) - plain.travel(surface, one.rest(), phase);
          assertThat(one.mmPerClick()).isCloseTo(click, within(EXACT));
        }
      }
      for (SurfaceResponse.Lever one : here.levers()) {
        double far = plain.travel(surface, one.far(), plain.phase(one.far()));
        double back = plain.travel(surface, one.back(), plain.phase(one.back()));
        assertThat(one.mm()).isCloseTo(far - back, within(EXACT));
      }
    }
  }

  private static double at(
      PlainModel plain, Surface surface, SurfaceResponse.Stick stick, double place) {
    Control control = stick.control();
    Moment there = stick.rest().with(control, place);
    return plain.travel(surface, there, plain.phase(there));
  }
}
