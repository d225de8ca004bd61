package hightally.core.simulator;

import hightally.core.program.Feel;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** How far the elevator goes with the stick, in whichever set of rates goes furthest. */
final class StickThrow {
  private StickThrow() {}

  /** Degrees from centred to full back stick. */
  static double most(Setup setup, String surface) {
    List<Feel> feels = new ArrayList<>(List.of(setup.feel()));
    setup.feelSets().forEach(one -> feels.add(one.feel()));
    double most = 0;
    for (Feel feel : feels) {
      SignalPath path = SignalPath.of(setup.change().feelSets(List.of()).feel(feel).done());
      int index = path.indexOf(surface);
      Moment rest = path.rest(path.basePhase()).withTrims(setup.trims());
      double centred = path.evaluateBase(rest).surfaceDegrees()[index];
      double back = path.evaluateBase(rest.with(Control.PITCH, 1)).surfaceDegrees()[index];
      most = Math.max(most, Math.abs(back - centred));
    }
    return most;
  }
}
