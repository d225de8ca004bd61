package hightally.core.audit;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Surface;
import hightally.core.quantity.Control;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;

/**
 * The stick or lever that moves a surface most.
 *
 * @param control the stick's control; null where it is a lever
 * @param input index of the lever; -1 where it is a stick
 * @param fullCommandPercent the command at its end, as a positive size
 */
record MainDrive(Control control, int input, double fullCommandPercent) {
  static MainDrive of(Setup setup, Surface surface) {
    MainDrive main = new MainDrive(Control.ROLL, -1, 0);
    for (Control each : Control.values()) {
      Response response = setup.feel().of(each);
      double rate = Math.max(response.ratePositivePercent(), response.rateNegativePercent());
      double full = Math.abs(surface.shares().of(each)) * rate;
      main = full > main.fullCommandPercent ? new MainDrive(each, -1, full) : main;
    }
    for (LeverShare lever : surface.shares().levers()) {
      double full = 100 * Math.abs(lever.share());
      int index = setup.transmitter().inputIndex(lever.input());
      main = full > main.fullCommandPercent ? new MainDrive(null, index, full) : main;
    }
    return main;
  }

  /** Whether it moves a surface one way only. */
  boolean oneWay() {
    return input >= 0;
  }

  /** A moment with it moved; a lever knows no minus side. */
  Moment moved(Moment rest, double to) {
    return oneWay() ? rest.withInput(input, Math.max(0, to)) : rest.with(control, to);
  }
}
