package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.mix.Mix;
import hightally.core.mix.MixSource;
import hightally.core.mix.MixTarget;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Which stick or lever moves a surface most, and how near two surfaces come: by hand. */
class MainDriveTest {
  private static final Moment REST = Moment.centred(Trims.ZERO);

  private static Setup shares(double roll, double pitch, double yaw, LeverShare... levers) {
    Setup plain = Rigs.plain();
    Surface right = plain.surface("right").orElseThrow();
    return plain.withSurface(right.withShares(new Shares(roll, pitch, yaw, List.of(levers))));
  }

  private static MainDrive of(Setup setup) {
    return MainDrive.of(setup, setup.surface("right").orElseThrow());
  }

  private static Setup rates(Setup setup, Response roll, Response pitch) {
    return setup.change().feel(new Feel(roll, pitch, pitch)).done();
  }

  @Test
  void theLargestShareTimesTheLargestRateDecides() {
    assertThat(of(shares(0.5, -0.6, 0.4))).isEqualTo(new MainDrive(Control.PITCH, -1, 48));
    assertThat(of(shares(0.5, 0.5, 0)).control()).as("the first of equals").isEqualTo(Control.ROLL);
    Setup faster = rates(shares(0.5, -0.6, 0), Response.even(120, 0), Response.even(80, 0));
    assertThat(of(faster)).isEqualTo(new MainDrive(Control.ROLL, -1, 60));
    Response lopsided = new Response(40, 130, 0, 0, Response.even(1, 0).shape());
    assertThat(of(rates(shares(0.5, -0.6, 0), lopsided, Response.even(80, 0))).fullCommandPercent())
        .isEqualTo(65);
    assertThat(of(shares(0, 0, 0)).fullCommandPercent()).isZero();
  }

  @Test
  void aSetOfRatesCountsForTheControlsItHas() {
    Setup setup = shares(0.5, -0.6, 0);
    Response wild = Response.even(140, 0);
    FeelSet rollOnly =
        new FeelSet("r", "r", "", List.of(), true, false, false, new Feel(wild, wild, wild));
    Setup with = setup.change().feelSets(List.of(rollOnly)).done();
    assertThat(of(with)).isEqualTo(new MainDrive(Control.ROLL, -1, 70));
    FeelSet small =
        new FeelSet(
            "s",
            "s",
            "",
            List.of(),
            true,
            true,
            true,
            new Feel(Response.even(20, 0), Response.even(20, 0), Response.even(20, 0)));
    assertThat(of(setup.change().feelSets(List.of(small)).done()).fullCommandPercent())
        .isEqualTo(48);
  }

  @Test
  void aLeverMovesOneWayOnly() {
    MainDrive lever = of(shares(0.5, 0, 0, new LeverShare("lever", -0.7)));
    assertThat(lever).isEqualTo(new MainDrive(null, 0, 70));
    assertThat(lever.oneWay()).isTrue();
    assertThat(lever.moved(REST, -1).input(0)).isZero();
    assertThat(lever.moved(REST, 0.4).input(0)).isEqualTo(0.4);
    MainDrive stick = of(shares(0.5, 0, 0, new LeverShare("lever", 0.3)));
    assertThat(stick.oneWay()).isFalse();
    assertThat(stick.moved(REST, -1).roll()).isEqualTo(-1);
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

  private static MainDrive mixed(Mix... mixes) {
    Setup setup = shares(0, 0, 0).change().mixes(List.of(mixes)).done();
    return MainDrive.mixed(SignalPath.of(setup), 1);
  }

  @Test
  void withoutAShareTheMixThatMovesItMostDecides() {
    MainDrive yaw = mixed(mix(MixSource.STICK, "yaw", 20, 45), mix(MixSource.STICK, "roll", 30, 0));
    assertThat(yaw.control()).isEqualTo(Control.YAW);
    assertThat(yaw.fullCommandPercent()).isCloseTo(45, within(1e-9));
    MainDrive lever =
        mixed(mix(MixSource.STICK, "yaw", 20, 45), mix(MixSource.INPUT, "lever", -60, 0));
    assertThat(lever.control()).isNull();
    assertThat(lever.input()).isZero();
    assertThat(lever.fullCommandPercent()).isCloseTo(60, within(1e-9));
    assertThat(mixed(mix(MixSource.CONSTANT, "", 50, 50)).fullCommandPercent()).isZero();
  }

  /** Full roll and pitch together bring the right elevon up, and leave the left one where it is. */
  @Test
  void twoSurfacesAreNearestInACornerOfTheSticks() {
    SignalPath path = SignalPath.of(Rigs.plain());
    Moment up = REST.with(Control.PITCH, 1);
    double right = path.evaluate(up).travelMm()[2];
    double left = path.evaluate(up).travelMm()[1];
    // With full pitch both are up as far; more roll would bring one of them down.
    assertThat(Corners.overlapMm(path, new Contact("right", right - 2, "left", left - 1)))
        .isCloseTo(1, within(1e-6));
    assertThat(Corners.overlapMm(path, new Contact("right", right + 1, "left", left + 3)))
        .isCloseTo(-3, within(1e-6));
    assertThat(Corners.overlapMm(path, new Contact("right", -5, "left", -5)))
        .isGreaterThan(right - 7)
        .isLessThan(right);
    // Against one another: right up by roll is left down by as much.
    double rolled = path.evaluate(REST.with(Control.ROLL, 1)).travelMm()[2];
    double other = path.evaluate(REST.with(Control.ROLL, 1)).travelMm()[1];
    assertThat(Corners.overlapMm(path, new Contact("right", rolled - 1, "left", other + 1)))
        .isGreaterThanOrEqualTo(1 - 1e-9);
  }

  @Test
  void aLeverAddsItsCorners() {
    Setup flap = shares(0, 0.5, 0, new LeverShare("lever", 0.5));
    SignalPath path = SignalPath.of(flap);
    Moment all = REST.with(Control.ROLL, -1).with(Control.PITCH, 1).withInput(0, 1);
    double full = path.evaluate(all).travelMm()[2];
    assertThat(path.evaluate(all).travelMm()[1]).isGreaterThan(10);
    assertThat(Corners.overlapMm(path, new Contact("right", full - 1, "left", 5)))
        .isCloseTo(1, within(1e-6));
    SignalPath without = SignalPath.of(shares(0, 0.5, 0));
    assertThat(Corners.overlapMm(without, new Contact("right", full - 1, "left", 5))).isNegative();
  }
}
