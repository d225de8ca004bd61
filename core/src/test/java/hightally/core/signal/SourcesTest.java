package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.ResponseCurve;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What every source of a mix comes to, and one bent at corners. */
class SourcesTest {
  /** Of an axis. */
  private static final double STEP = 1.0 / 1000;

  /**
   * What a smooth curve turns in a step at most; a corner of the mixes here turns ten times that.
   */
  private static final double SMOOTH = 3e-3;

  private static final Setup RIG = Rigs.plain();
  private static final Moment MOMENT =
      Moment.centred(Trims.ZERO)
          .with(Control.ROLL, 0.5)
          .with(Control.YAW, -0.25)
          .withInput(0, 0.3)
          .withThrottle(0.25, false);

  /**
   * A mix of weight 10 on to the right elevon, whose own share of roll is a half. Roll at 0.5
   * behind a rate of 80 % and the expo is asked of the response itself.
   */
  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          STICK, roll, 50
          STICK, yaw, -25
          INPUT, lever, 30
          THROTTLE, '', -50
          POWER, '', 25
          CONSTANT, '', 100
          """)
  void aMixAddsItsWeightOfTheSource(MixSource source, String subject, double percent) {
    double added = command(mixed(source, subject)) - command(RIG);
    double weight = percent > 0 ? 0.1 : 0.05;
    assertThat(added).isCloseTo(weight * percent, within(1e-9));
  }

  @Test
  void theResponseIsTheStickBehindItsRateAndTheCommandOfASurfaceWhatItEndsAs() {
    double response = 100 * ResponseCurve.of(RIG.feel().roll()).value(0.5);
    assertThat(command(mixed(MixSource.RESPONSE, "roll")) - command(RIG))
        .isCloseTo(0.1 * response, within(1e-9));
    double left = SignalPath.of(RIG).evaluate(MOMENT).commandPercent()[0];
    assertThat(command(mixed(MixSource.SURFACE, "left")) - command(RIG))
        .isCloseTo((left > 0 ? 0.1 : 0.05) * left, within(1e-9));
  }

  /**
   * Wherever a command has a corner along an axis there is a bend told, whatever the mix comes
   * from: a search may step from bend to bend. Corners are found by looking closely: at one the
   * step to the next place changes by much more than a smooth curve lets it.
   */
  @ParameterizedTest
  @EnumSource(value = MixSource.class, mode = EnumSource.Mode.EXCLUDE, names = "SURFACE")
  void noCornerLiesBetweenTheBendsThatAreTold(MixSource source) {
    String subject =
        switch (source.of()) {
          case STICK -> "roll";
          case INPUT -> "lever";
          case SURFACE -> throw new IllegalArgumentException("Its corners lie along no one axis");
          case NOTHING -> "";
        };
    SignalPath path = SignalPath.of(mixed(source, subject, 20));
    StillCommand right = path.program().still(path.carriedBehind(path.indexOf("right")), MOMENT, 0);
    int corners = 0;
    for (int axis = 0; axis <= AxisPlaces.THROTTLE + 1; axis++) {
      double from = axis < AxisPlaces.THROTTLE ? -1 : 0;
      double[] bends = right.bends(axis, from, 1);
      assertThat(bends).isSorted().startsWith(from).endsWith(1);
      for (double at = from + STEP; at < 1 - STEP; at += STEP) {
        double turn =
            at(right, axis, at - STEP) - 2 * at(right, axis, at) + at(right, axis, at + STEP);
        if (Math.abs(turn) > SMOOTH) {
          double corner = at;
          corners++;
          assertThat(Arrays.stream(bends).boxed())
              .as("%s: corner at %s of axis %s", source, corner, axis)
              .anyMatch(bend -> Math.abs(bend - corner) <= 1.5 * STEP);
        }
      }
    }
    assertThat(corners > 0).isEqualTo(source != MixSource.CONSTANT);
  }

  private static double at(StillCommand command, int axis, double place) {
    return command.applyAsDouble(AxisPlaces.at(MOMENT, axis, place));
  }

  private static Setup mixed(MixSource source, String subject) {
    return mixed(source, subject, 0);
  }

  private static Setup mixed(MixSource source, String subject, double start) {
    Mix mix =
        new Mix(
            "m",
            "m",
            "",
            source,
            subject,
            10,
            5,
            start,
            List.of(),
            List.of(MixTarget.even("right", 1)),
            "",
            List.of(),
            0);
    return RIG.change().mixes(List.of(mix)).done();
  }

  private static double command(Setup setup) {
    return SignalPath.of(setup).evaluate(MOMENT).commandPercent()[1];
  }

  /** Nothing up to 20 %, from there on twice as steep, at 60 % level: 80. */
  private static double bend(double x) {
    return x <= 20 ? 0 : x < 60 ? 2 * (x - 20) : 80;
  }

  private static Signal bent() {
    Signals signals = new Signals(RIG, id -> 0);
    return signals.bent(signals.stick(Control.ROLL), SourcesTest::bend, 20, 60);
  }

  @Test
  void aBentSourceLiesAlongTheAxisOfWhatItBends() {
    Signal bent = bent();
    assertThat(bent.axis()).isEqualTo(Axis.of(Control.ROLL));
    assertThat(bent.along(-0.5, null)).isZero();
    assertThat(bent.along(0.4, null)).isEqualTo(40);
    assertThat(bent.along(1, null)).isEqualTo(80);
  }

  @Test
  void itBendsAtItsCornersAndReachesAValueOnceAPiece() {
    Kinks bends = new Kinks(-1, 1);
    bent().bends(null, bends);
    assertThat(bends.sorted()).containsExactly(-1, 0, 0.2, 0.6, 1);
    Kinks reaches = new Kinks(-1, 1);
    bent().reaches(50, null, reaches);
    assertThat(reaches.sorted()).containsExactly(-1, 0, 0.45, 1);
    Signals signals = new Signals(RIG, id -> 0);
    Kinks either = new Kinks(-1, 1);
    signals.bent(signals.stick(Control.YAW), Math::abs, 0).reaches(30, null, either);
    assertThat(either.sorted()).containsExactly(-1, -0.3, 0, 0.3, 1);
  }
}
