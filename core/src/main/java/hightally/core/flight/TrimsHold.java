package hightally.core.flight;

import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;

/** Whether trims flown on one setup still mean the same on a later one. */
public final class TrimsHold {
  private static final int TRIED_CLICKS = 10;
  private static final double NOTHING_MM = 0.05;

  private TrimsHold() {}

  /**
   * Whether every surface stands where it stood for the same clicks, hands off, in every phase both
   * have, and the rig is described as it was.
   */
  public static boolean between(Setup before, Setup after) {
    return before.surfaces().equals(after.surfaces())
        && before.servos().equals(after.servos())
        && before.channels().equals(after.channels())
        && before.wiring().equals(after.wiring())
        && standsAlike(before, after);
  }

  private static boolean standsAlike(Setup before, Setup after) {
    SignalPath one = SignalPath.of(before);
    SignalPath other = SignalPath.of(after);
    Trims some = new Trims(TRIED_CLICKS, TRIED_CLICKS, TRIED_CLICKS);
    for (int phase = 0; phase < before.phases().size(); phase++) {
      int later = later(before, after, phase);
      for (Trims trims : new Trims[] {Trims.ZERO, some}) {
        if (later >= 0) {
          double[] stood = travel(one, phase, trims);
          double[] stands = travel(other, later, trims);
          for (int i = 0; i < stood.length; i++) {
            if (!(Math.abs(stood[i] - stands[i]) <= NOTHING_MM)) {
              return false;
            }
          }
        }
      }
    }
    return true;
  }

  private static int later(Setup before, Setup after, int phase) {
    String id = before.phases().get(phase).id();
    return after.phase(id).map(after.phases()::indexOf).orElse(-1);
  }

  private static double[] travel(SignalPath path, int phase, Trims trims) {
    Moment rest = Moment.centred(Trims.ZERO).withThrottle(1, true);
    return path.evaluateTrimmed(rest, phase, trims).travelMm();
  }
}
