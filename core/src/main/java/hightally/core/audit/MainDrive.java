package hightally.core.audit;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.response.FeelSet;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;

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
      double rate = largestRate(setup, each);
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

  /** The stick or lever that moves a channel most by mixes, where no share does. */
  static MainDrive mixed(SignalPath path, int channel) {
    Moment rest = Moment.centred(Trims.ZERO);
    double still = path.evaluateBase(rest).commandPercent()[channel];
    MainDrive main = new MainDrive(Control.ROLL, -1, 0);
    for (Control each : Control.values()) {
      for (int end : new int[] {1, -1}) {
        double full = path.evaluateBase(rest.with(each, end)).commandPercent()[channel] - still;
        main =
            Math.abs(full) > main.fullCommandPercent
                ? new MainDrive(each, -1, Math.abs(full))
                : main;
      }
    }
    for (int i = 0; i < path.setup().transmitter().inputs().size(); i++) {
      double full = path.evaluateBase(rest.withInput(i, 1)).commandPercent()[channel] - still;
      main =
          Math.abs(full) > main.fullCommandPercent ? new MainDrive(null, i, Math.abs(full)) : main;
    }
    return main;
  }

  private static double largestRate(Setup setup, Control control) {
    Response plain = setup.feel().of(control);
    double rate = Math.max(plain.ratePositivePercent(), plain.rateNegativePercent());
    for (FeelSet set : setup.feelSets()) {
      Response response = set.feel().of(control);
      double here = Math.max(response.ratePositivePercent(), response.rateNegativePercent());
      rate = set.has(control) ? Math.max(rate, here) : rate;
    }
    return rate;
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
