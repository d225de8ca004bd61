package hightally.core.simulator;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.airframe.Panel;
import hightally.core.balance.MeanChord;
import hightally.core.balance.NeutralPoint;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.simulator.Aerodynamics.Loads;
import hightally.core.simulator.Aerodynamics.Motion;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The laws the flight mechanics must keep, each worked out a second way. */
class AirLawsTest {
  private static final double H = FlightIntegration.STEP_SECONDS;

  /** A model in straight flight, hands off. */
  private record Flying(
      FlyingModel model, FlightIntegration flight, TrimState trim, Moment rest, Trims trims) {
    static Flying of(String name, double step) {
      return of(FlyingModel.of(FlyingModel.asBuilt(DemoModels.read(name))), step);
    }

    static Flying of(FlyingModel model, double step) {
      Setup setup = model.setup();
      TrimState trim = TestFlight.trimmed(model, setup.basePhase()).orElseThrow();
      Moment still = TestFlight.rest(model, setup.basePhase());
      Moment rest = model.glides() ? still : Throttle.at(setup, still, trim.throttle());
      TrimInterpolation clicks = new TrimInterpolation(model.cockpit(), trim.clicks());
      int phase = setup.phases().size() - 1;
      FlightIntegration flight =
          new FlightIntegration(
              model, FlightState.of(trim, 150), clicks.beyond(rest, phase), Gusts.calm(), step);
      flight.settle(rest, phase, clicks.whole());
      return new Flying(model, flight, trim, rest, clicks.whole());
    }

    int phase() {
      return model.setup().phases().size() - 1;
    }

    void fly(double seconds, Moment moment, double step) {
      for (int i = 0; i < Math.round(seconds / step); i++) {
        flight.step(moment, phase(), trims);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"quillon", "brindle", "larkmere", "skerrow"})
  void aTrimmedModelStaysTrimmedForTwentySeconds(String name) {
    Flying flying = Flying.of(name, H);
    double[] before = flying.flight().state().velocity();
    flying.fly(20, flying.rest(), H);
    double[] after = flying.flight().state().velocity();
    double[] drift = {after[0] - before[0], after[1] - before[1], after[2] - before[2]};
    assertThat(Vectors.size(drift)).isLessThan(0.001);
  }

  @Test
  void trimmedForcesWithTheWeightAndMomentsAreZero() {
    Flying flying = Flying.of("quillon", H);
    FlightState state = flying.flight().state();
    double[] v = flying.flight().airVelocity();
    double[] flaps = new double[flying.model().cockpit().flaps()];
    double[] power = new double[flying.model().cockpit().motors()];
    TrimInterpolation clicks =
        new TrimInterpolation(flying.model().cockpit(), flying.trim().clicks());
    clicks.stand(flying.rest(), flying.phase(), flaps, power);
    Loads loads =
        flying
            .model()
            .forces()
            .held(flaps, power)
            .loads(new Motion(v[0], v[1], v[2], 0, 0, 0, 1.225));
    double weight = flying.model().mass() * 9.80665;
    double[] down = state.toBody(new double[] {0, 0, weight});
    double most = 1e-9 * weight;
    assertThat(loads.x() + down[0]).isCloseTo(0, within(most));
    assertThat(loads.y() + down[1]).isCloseTo(0, within(most));
    assertThat(loads.z() + down[2]).isCloseTo(0, within(most));
    assertThat(List.of(loads.l(), loads.m(), loads.n()))
        .allSatisfy(one -> assertThat(one).isCloseTo(0, within(most)));
  }

  @Test
  void theMirroredModelFliesTheMirroredPath() {
    FlyingModel model = FlyingModel.of(FlyingModel.asBuilt(DemoModels.read("quillon")));
    FlyingShape shape = model.shape();
    double[] flaps = new Random(3).doubles(shape.flaps().size(), -12, 12).toArray();
    double[] s = new double[FlightState.SIZE];
    double[] t = new double[FlightState.SIZE];
    s[3] = t[3] = 18;
    s[6] = t[6] = 1;
    s[4] = 1.5;
    t[4] = -1.5;
    s[10] = 0.4;
    t[10] = -0.4;
    RigidBody one = motion(model, Aerodynamics.of(shape).held(flaps, new double[] {0.7}), s);
    Aerodynamics.Held turned =
        Aerodynamics.of(Mirror.of(shape)).held(Mirror.flaps(shape, flaps), new double[] {0.7});
    RigidBody other = motion(model, turned, t);
    for (int i = 0; i < 3 / H; i++) {
      one.step(new double[] {-3, 1, 0.2});
      other.step(new double[] {-3, -1, 0.2});
    }
    double[] a = one.state().position();
    double[] b = other.state().position();
    assertThat(Math.abs(a[1])).isGreaterThan(1);
    assertThat(b[0]).isCloseTo(a[0], within(1e-9));
    assertThat(b[1]).isCloseTo(-a[1], within(1e-9));
    assertThat(b[2]).isCloseTo(a[2], within(1e-9));
  }

  private static RigidBody motion(FlyingModel model, Aerodynamics.Held held, double[] state) {
    return new RigidBody(held, model.mass(), model.inertia(), new FlightState(state), H);
  }

  /** Everything mirrored, a propeller off the middle too: the loads are mirrored. */
  @Test
  void theMirroredModelHasTheMirroredLoads() {
    Random random = new Random(7);
    FlyingShape shape = FlyingModel.of(FlyingModel.asBuilt(DemoModels.read("quillon"))).shape();
    FlyingShape turned = Mirror.of(shape);
    for (int i = 0; i < 200; i++) {
      double[] m = random.doubles(6, -12, 12).toArray();
      double[] flaps = random.doubles(shape.flaps().size(), -35, 35).toArray();
      double[] power = random.doubles(shape.propellers().size(), 0, 1).toArray();
      Loads one =
          Aerodynamics.of(shape)
              .held(flaps, power)
              .loads(new Motion(m[0] + 10, m[1], m[2], m[3] / 3, m[4] / 3, m[5] / 3, 1.2));
      Loads other =
          Aerodynamics.of(turned)
              .held(Mirror.flaps(shape, flaps), power)
              .loads(new Motion(m[0] + 10, -m[1], m[2], -m[3] / 3, m[4] / 3, -m[5] / 3, 1.2));
      assertThat(other.x()).isCloseTo(one.x(), within(1e-9));
      assertThat(other.y()).isCloseTo(-one.y(), within(1e-9));
      assertThat(other.z()).isCloseTo(one.z(), within(1e-9));
      assertThat(other.l()).isCloseTo(-one.l(), within(1e-9));
      assertThat(other.m()).isCloseTo(one.m(), within(1e-9));
      assertThat(other.n()).isCloseTo(-one.n(), within(1e-9));
    }
  }

  /** Moment and lift change with the angle as if all lift grew at the neutral point. */
  @ParameterizedTest
  @ValueSource(strings = {"quillon", "brindle", "larkmere", "skerrow"})
  void withoutBodyAndPropellerTheMomentTurnsAboutTheNeutralPoint(String name) {
    FlyingModel model = FlyingModel.of(FlyingModel.asBuilt(DemoModels.read(name)));
    FlyingShape whole = model.shape();
    List<FlyingShape.AirPanel> wing =
        whole.panels().stream().filter(one -> one.role() == FlyingShape.Role.WING).toList();
    double height = meanHeight(wing);
    FlyingShape.Spot cg = new FlyingShape.Spot(whole.cg().aftMm(), 0, height);
    List<FlyingShape.AirPanel> lying =
        whole.panels().stream().filter(one -> one.role() != FlyingShape.Role.FIN).toList();
    Aerodynamics forces =
        Aerodynamics.of(new FlyingShape(cg, lying, List.of(), FlyingShape.Body.NONE, List.of()));
    Loads low = at(forces, Math.toRadians(1));
    Loads high = at(forces, Math.toRadians(3));
    double aft = cg.aftMm() + 1000 * (high.m() - low.m()) / (high.z() - low.z());
    List<Panel> wings = panels(model, FlyingShape.Role.WING);
    double expected = NeutralPoint.of(wings, panels(model, FlyingShape.Role.TAIL), 1).aftMm();
    assertThat(aft).isCloseTo(expected, within(0.01 * MeanChord.of(wings).chordMm()));
  }

  private static Loads at(Aerodynamics forces, double alpha) {
    return forces
        .held(new double[0], new double[0])
        .loads(new Motion(15 * Math.cos(alpha), 0, 15 * Math.sin(alpha), 0, 0, 0, 1.225));
  }

  private static double meanHeight(List<FlyingShape.AirPanel> wing) {
    double sum = 0;
    double area = 0;
    for (FlyingShape.AirPanel one : wing) {
      double size = Surfaces.areaMm2(one);
      sum += size * (one.root().at().upMm() + one.tip().at().upMm()) / 2;
      area += size;
    }
    return sum / area;
  }

  private static List<Panel> panels(FlyingModel model, FlyingShape.Role role) {
    return model.setup().airframe().panels().stream()
        .filter(one -> model.traits().roles().get(one.id()) == role)
        .toList();
  }

  /** π√2·V/g·√(1 - M_q Z_α/M_α): the long slow wave of a glide, counted between crossings. */
  @Test
  void theLongPeriodOfAGlideIsThatOfTheFormula() {
    Flying flying = Flying.of("larkmere", H);
    FlyingModel model = flying.model();
    double v = flying.trim().speed();
    double mq = change(flying, 0, 0.01, true) / model.inertia()[1];
    double ma = change(flying, 0.002, 0, true) / model.inertia()[1];
    double za = change(flying, 0.002, 0, false) / (model.mass() * v);
    double expected =
        Math.PI * Math.sqrt(2) * v / FlyingModel.GRAVITY * Math.sqrt(1 - mq * za / ma);
    double[] s = flying.flight().state().values().clone();
    for (int i = 3; i < 6; i++) {
      s[i] *= 1.01;
    }
    TrimInterpolation clicks = new TrimInterpolation(model.cockpit(), flying.trim().clicks());
    FlightIntegration flight =
        new FlightIntegration(
            model, new FlightState(s), clicks.beyond(flying.rest(), flying.phase()), Gusts.calm());
    flight.settle(flying.rest(), flying.phase(), flying.trims());
    double first = 0;
    double last = 0;
    int crossings = 0;
    double before = 1;
    for (int i = 0; i < 40 / H && crossings < 5; i++) {
      flight.step(flying.rest(), flying.phase(), flying.trims());
      double now = Vectors.size(flight.state().velocity()) - v;
      if (before * now < 0) {
        first = crossings == 0 ? i * H : first;
        last = i * H;
        crossings++;
      }
      before = now;
    }
    assertThat(crossings).isGreaterThanOrEqualTo(3);
    double period = 2 * (last - first) / (crossings - 1);
    assertThat(period).isCloseTo(expected, within(0.1 * expected));
  }

  /** What a little more angle or rate changes: the moment, or the force down, per rad. */
  private static double change(Flying flying, double alpha, double rate, boolean moment) {
    double[] flaps = new double[flying.model().cockpit().flaps()];
    double[] power = new double[flying.model().cockpit().motors()];
    new TrimInterpolation(flying.model().cockpit(), flying.trim().clicks())
        .stand(flying.rest(), flying.phase(), flaps, power);
    Aerodynamics.Held held = flying.model().forces().held(flaps, power);
    double v = flying.trim().speed();
    double a = flying.trim().alpha();
    double[] two = new double[2];
    for (int k = 0; k < 2; k++) {
      double sign = 2 * k - 1;
      double there = a + sign * alpha;
      Loads loads =
          held.loads(
              new Motion(v * Math.cos(there), 0, v * Math.sin(there), 0, sign * rate, 0, 1.225));
      two[k] = moment ? loads.m() : loads.z();
    }
    return (two[1] - two[0]) / (2 * (alpha + rate));
  }

  @ParameterizedTest
  @ValueSource(strings = {"quillon", "brindle", "larkmere"})
  void quarterAileronRollsAsFastAsMomentAndDampingSay(String name) {
    Flying flying = Flying.of(name, H);
    Moment quarter = flying.rest().with(Control.ROLL, 0.25);
    double[] v = flying.flight().airVelocity();
    double[] none = new double[flying.model().cockpit().flaps()];
    double[] some = none.clone();
    double[] power = new double[flying.model().cockpit().motors()];
    flying.model().cockpit().stand(quarter, flying.phase(), flying.trims(), some, power);
    flying.model().cockpit().stand(flying.rest(), flying.phase(), flying.trims(), none, power);
    Aerodynamics forces = flying.model().forces();
    double asked =
        rolling(forces.held(some, power), v, 0) - rolling(forces.held(none, power), v, 0);
    double damping =
        (rolling(forces.held(none, power), v, 0.5) - rolling(forces.held(none, power), v, -0.5));
    double highest = 0;
    for (int i = 0; i < 0.3 / H; i++) {
      flying.flight().step(quarter, flying.phase(), flying.trims());
      highest = Math.max(highest, flying.flight().state().rates()[0]);
    }
    assertThat(highest).isCloseTo(-asked / damping, within(0.1 * -asked / damping));
  }

  private static double rolling(Aerodynamics.Held held, double[] v, double p) {
    return held.loads(new Motion(v[0], v[1], v[2], p, 0, 0, 1.225)).l();
  }

  @ParameterizedTest
  @ValueSource(strings = {"larkmere", "skerrow"})
  void withoutPowerAndWindTheEnergyNeverGrows(String name) {
    Flying flying = Flying.of(name, H);
    Random random = new Random(11);
    double before = energy(flying);
    for (int i = 0; i < 40; i++) {
      Moment wild =
          flying
              .rest()
              .with(Control.ROLL, 2 * random.nextDouble() - 1)
              .with(Control.PITCH, 2 * random.nextDouble() - 1)
              .with(Control.YAW, 2 * random.nextDouble() - 1);
      for (int k = 0; k < 48; k++) {
        flying.flight().step(wild, flying.phase(), flying.trims());
        double now = energy(flying);
        assertThat(now).isLessThanOrEqualTo(before + 1e-9 * Math.abs(before));
        before = now;
      }
    }
  }

  private static double energy(Flying flying) {
    FlightState s = flying.flight().state();
    double[] i = flying.model().inertia();
    double[] r = s.rates();
    double v = Vectors.size(s.velocity());
    double turning = 0;
    for (int k = 0; k < 3; k++) {
      turning += i[k] * r[k] * r[k] / 2;
    }
    double m = flying.model().mass();
    return m * v * v / 2 + turning - m * FlyingModel.GRAVITY * s.position()[2];
  }

  @ParameterizedTest
  @ValueSource(strings = {"quillon", "larkmere"})
  void halfTheStepFliesTheSamePathStalledToo(String name) {
    double[][] ends = new double[2][];
    for (int k = 0; k < 2; k++) {
      double step = k == 0 ? H : H / 2;
      Flying flying = Flying.of(name, step);
      flying.fly(2, flying.rest(), step);
      flying.fly(3, flying.rest().with(Control.PITCH, 1), step);
      flying.fly(5, flying.rest().with(Control.ROLL, 0.1), step);
      ends[k] = flying.flight().state().position();
    }
    for (int i = 0; i < 3; i++) {
      assertThat(ends[1][i]).isCloseTo(ends[0][i], within(0.001));
    }
  }
}
