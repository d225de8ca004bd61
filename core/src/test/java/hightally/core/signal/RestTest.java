package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Curve;
import hightally.core.program.CurvePoint;
import hightally.core.program.Feel;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Response;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Rest and drive: by hand, and by trying every place of the throttle stick. */
class RestTest {
  private static final int RIGHT = 2;
  private static final double FINE = 1e-6;

  private static Setup shares(double roll, double pitch, double yaw, LeverShare... levers) {
    Setup plain = Rigs.plain();
    Surface right = plain.surface("right").orElseThrow();
    return plain.withSurface(right.withShares(new Shares(roll, pitch, yaw, List.of(levers))));
  }

  private static Drive of(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    return path.drive(RIGHT, path.basePhase());
  }

  private static void is(Drive found, Control control, double size) {
    assertThat(found.control()).isEqualTo(control);
    assertThat(found.size()).isCloseTo(size, within(FINE));
  }

  private static Setup rates(Setup setup, Response roll, Response pitch) {
    return setup.change().feel(new Feel(roll, pitch, pitch)).done();
  }

  @Test
  void theStickThatMovesItMostDrivesIt() {
    is(of(shares(0.5, -0.6, 0.4)), Control.PITCH, 96);
    is(of(shares(0.5, 0.5, 0)), Control.ROLL, 80);
    Response lopsided = new Response(40, 130, 0, 0, Response.even(1, 0).shape());
    is(of(rates(shares(0.5, -0.6, 0), lopsided, Response.even(80, 0))), Control.PITCH, 96);
    is(of(rates(shares(0.5, -0.4, 0), lopsided, Response.even(80, 0))), Control.ROLL, 85);
    assertThat(of(shares(0, 0, 0)).size()).isZero();
  }

  @Test
  void aLeverDrivesOnlyWhereNoStickDoes() {
    is(of(shares(0.1, 0, 0, new LeverShare("lever", -0.7))), Control.ROLL, 16);
    Drive lever = of(shares(0, 0, 0, new LeverShare("lever", -0.7)));
    is(lever, null, 70);
    assertThat(lever.oneWay()).isTrue();
    Moment rest = SignalPath.of(Rigs.plain()).rest(0);
    assertThat(lever.moved(rest, -1).input(0)).isZero();
    assertThat(lever.moved(rest, 0.4).input(0)).isEqualTo(0.4);
  }

  private static Mix mix(MixSource source, String subject, double plus, double minus) {
    return new Mix(
        "m" + subject,
        "m",
        "",
        source,
        subject,
        plus,
        minus,
        0,
        List.of(),
        List.of(MixTarget.even("right", 1)),
        "",
        List.of(),
        0);
  }

  private static Drive mixed(Mix... mixes) {
    return of(shares(0, 0, 0).change().mixes(List.of(mixes)).done());
  }

  @Test
  void aMixDrivesAsAShareDoes() {
    Mix yaw = mix(MixSource.STICK, "yaw", 20, 45);
    is(mixed(yaw, mix(MixSource.STICK, "roll", 30, 0)), Control.YAW, 65);
    is(mixed(yaw, mix(MixSource.INPUT, "lever", -90, 0)), Control.YAW, 65);
    is(mixed(mix(MixSource.INPUT, "lever", -60, 0)), null, 60);
    assertThat(mixed(mix(MixSource.CONSTANT, "", 50, 50)).size()).isZero();
  }

  /** Brakes that are out with the stick back: at rest the stick is where they are in. */
  @Test
  void whereTheThrottleStickBrakesItRestsWhereTheyAreIn() {
    for (double in : new double[] {100, 60}) {
      Mix brakes =
          new Mix(
              "brakes",
              "Brakes",
              "",
              MixSource.THROTTLE,
              "",
              0,
              0,
              0,
              List.of(new CurvePoint(-100, -80), new CurvePoint(in, 0)),
              List.of(MixTarget.even("right", 1)),
              "",
              List.of(),
              0);
      SignalPath path = SignalPath.of(Rigs.plain().change().mixes(List.of(brakes)).done());
      boolean motor = !path.setup().airframe().motors().isEmpty();
      double rest = path.rest(path.basePhase()).throttle();
      assertThat(rest).isCloseTo(motor ? 0 : (in + 100) / 200, within(FINE));
    }
  }

  @Test
  void everyDemoModelStandsInTheMiddleAtRestWithItsMotorStill() {
    for (String model : List.of("brindle", "larkmere", "quillon", "skerrow")) {
      Setup setup = DemoModels.read(model);
      SignalPath path = SignalPath.of(setup);
      for (int phase = 0; phase < setup.phases().size(); phase++) {
        Moment rest = path.rest(phase);
        assertThat(path.phase(rest)).as(model).isEqualTo(phase);
        assertThat(path.motorPower(rest.withThrottle(rest.throttle(), false), phase)).isZero();
      }
    }
  }

  /** How much the throttle stick's mixes ask for at a place, and the motor before them. */
  private static double asked(SignalPath path, Moment rest, int phase, double throttle) {
    Moment there = rest.withThrottle(throttle, false);
    Program.Decision decided = path.program().decided(there.withThrottle(throttle, true), phase);
    List<Mix> mixes = path.setup().mixes();
    double moved =
        IntStream.range(0, mixes.size())
            .filter(i -> (decided.acting() >> i & 1) != 0)
            .filter(i -> mixes.get(i).source() == MixSource.THROTTLE)
            .mapToDouble(i -> Math.abs(MixFunction.of(mixes.get(i)).value(200 * throttle - 100)))
            .sum();
    double motor =
        driven(path, rest, phase)
            ? path.setup()
                .power()
                .power(
                    Curve.of(path.setup().power().curve(id(path, phase)).points())
                        .value(200 * throttle - 100))
            : path.motorPower(there, phase);
    return motor * 10_000 + moved;
  }

  private static String id(SignalPath path, int phase) {
    return path.setup().phases().get(phase).id();
  }

  /** Whether some position of a few switches lets the throttle stick turn the motor here. */
  private static boolean driven(SignalPath path, Moment rest, int phase) {
    boolean on = path.phase(rest) == phase;
    return path.setup().power().throttleInput().isEmpty()
        && NearestMoment.around(path, rest).stream()
            .filter(one -> !on || path.phase(one) == phase)
            .flatMap(
                one ->
                    path.setup().power().curve(id(path, phase)).points().stream()
                        .map(point -> one.withThrottle((point.x() + 100) / 200, false)))
            .anyMatch(one -> path.motorPower(one, phase) > 1e-9);
  }

  @Property(tries = 200)
  void noPlaceOfTheThrottleStickAsksForLess(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    for (int phase = 0; phase < setup.phases().size(); phase++) {
      Moment rest = path.rest(phase);
      for (Control control : Control.values()) {
        assertThat(rest.of(control)).isZero();
      }
      double least = asked(path, rest, phase, rest.throttle());
      boolean on = path.phase(rest) == phase;
      for (int i = 0; i <= 20; i++) {
        double at = i / 20.0;
        if (!on || path.phase(rest.withThrottle(at, true)) == phase) {
          assertThat(asked(path, rest, phase, at)).isGreaterThanOrEqualTo(least - FINE);
        }
      }
    }
  }
}
