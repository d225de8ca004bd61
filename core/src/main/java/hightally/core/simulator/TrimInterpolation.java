package hightally.core.simulator;

import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.signal.Moment;

/**
 * Trims with fractions of clicks: between the whole ones, which the program gives, in a line. What
 * the fraction does at rest stays with every stick.
 */
final class TrimInterpolation {
  private final Cockpit cockpit;
  private final double[] clicks;
  private final Trims whole;

  TrimInterpolation(Cockpit cockpit, double[] clicks) {
    this(cockpit, clicks, floor(clicks));
  }

  /** On the line through given whole clicks, wherever they are. */
  TrimInterpolation(Cockpit cockpit, double[] clicks, Trims whole) {
    this.cockpit = cockpit;
    this.clicks = clicks;
    this.whole = whole;
  }

  static Trims floor(double[] clicks) {
    return new Trims(
        (int) Math.floor(clicks[0]), (int) Math.floor(clicks[1]), (int) Math.floor(clicks[2]));
  }

  Trims whole() {
    return whole;
  }

  /** Where flaps and motors stand with all of it. */
  void stand(Moment moment, int phase, double[] flaps, double[] power) {
    double[] more = beyond(moment, phase);
    cockpit.stand(moment, phase, whole, flaps, power);
    for (int i = 0; i < flaps.length; i++) {
      flaps[i] += more[i];
    }
  }

  /** What the fractions do to each flap, degrees. */
  double[] beyond(Moment moment, int phase) {
    double[] before = new double[cockpit.flaps()];
    double[] after = new double[cockpit.flaps()];
    double[] beyond = new double[cockpit.flaps()];
    double[] power = new double[cockpit.motors()];
    cockpit.stand(moment, phase, whole, before, power);
    for (Control control : Control.values()) {
      double part = clicks[control.ordinal()] - whole.of(control);
      if (part != 0) {
        Trims next = whole.with(control, whole.of(control) + 1);
        cockpit.stand(moment, phase, next, after, power);
        for (int i = 0; i < beyond.length; i++) {
          beyond[i] += part * (after[i] - before[i]);
        }
      }
    }
    return beyond;
  }
}
