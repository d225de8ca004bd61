package hightally.core.flightlog;

import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;

/** What one trim click moves at the trailing edge, in the phase that is on when no other is. */
public final class MillimetresPerClick {
  private MillimetresPerClick() {}

  /** At the surface it moves most, mm. */
  public static double most(Setup setup, Control control) {
    SignalPath path = SignalPath.of(setup);
    int base = setup.phases().size() - 1;
    Moment rest = path.rest(base);
    double[] none = path.evaluateTrimmed(rest, base, Trims.ZERO).travelMm();
    double[] one = path.evaluateTrimmed(rest, base, Trims.ZERO.with(control, 1)).travelMm();
    double most = 0;
    for (int i = 0; i < none.length; i++) {
      most = Math.max(most, Math.abs(one[i] - none[i]));
    }
    return most;
  }
}
