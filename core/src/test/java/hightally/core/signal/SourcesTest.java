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
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What every source of a mix comes to, and one bent at corners. */
class SourcesTest {
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

  private static Setup mixed(MixSource source, String subject) {
    Mix mix =
        new Mix(
            "m",
            "m",
            "",
            source,
            subject,
            10,
            5,
            0,
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
