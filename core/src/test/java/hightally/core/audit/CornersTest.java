package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How near two surfaces come: by hand. */
class CornersTest {
  private static final Moment REST = Moment.centred(Trims.ZERO);

  private static Setup shares(double roll, double pitch, double yaw, LeverShare... levers) {
    Setup plain = Rigs.plain();
    Surface right = plain.surface("right").orElseThrow();
    return plain.withSurface(right.withShares(new Shares(roll, pitch, yaw, List.of(levers))));
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
