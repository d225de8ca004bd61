package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What might be better than turning a rod, per surface at a servo. */
final class Remedies {
  /** From this part of a tooth on, the tooth is nearer than the rod. */
  private static final double MOST_OF_A_TOOTH = 0.75;

  private static final double FAR_FROM_SQUARE_DEGREES = 10;

  private Remedies() {}

  static List<Remedy> of(SignalPath path, Trims trims, Positions trimmed, Positions untrimmed) {
    Setup setup = path.setup();
    List<Remedy> found = new ArrayList<>();
    boolean small = true;
    for (Control control : Control.values()) {
      small &= Math.abs(trims.of(control)) <= setup.house().leaveClicks();
    }
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      if (surface.rod().driver() == DriverKind.SERVO) {
        Servo servo = path.servoBehind(i);
        int index = path.servoIndexBehind(i);
        double arm = trimmed.armDegrees()[index] - untrimmed.armDegrees()[index];
        double mm = trimmed.travelMm()[i] - untrimmed.travelMm()[i];
        look(found, setup, surface, servo, arm, mm, small && !trims.allZero());
      }
    }
    return found;
  }

  private static void look(
      List<Remedy> found,
      Setup setup,
      Surface surface,
      Servo servo,
      double arm,
      double mm,
      boolean small) {
    String name = surface.name();
    double tooth = servo.seating().finestStepDegrees();
    if (Math.abs(mm) >= setup.house().suspiciousMm()) {
      found.add(
          new Remedy(
              surface.id(),
              Remedy.Kind.SYMPTOM,
              String.format(
                  Locale.ROOT,
                  "%s stands %.1f mm off with the trim: look at balance, warp, thrust line and incidence"
                      + " before this goes into a rod.",
                  name,
                  Math.abs(mm))));
    }
    if (Math.abs(arm) >= MOST_OF_A_TOOTH * tooth) {
      long teeth = Math.max(1, Math.round(Math.abs(arm) / tooth));
      found.add(
          new Remedy(
              surface.id(),
              Remedy.Kind.TOOTH,
              String.format(
                  Locale.ROOT,
                  "%s: the trim turns the arm by %.1f°, and the arm can be set in steps of %.1f°. Seat it"
                      + " %d %s further the way the trim turns it; only %.1f° are left for the rod.",
                  name,
                  Math.abs(arm),
                  tooth,
                  teeth,
                  teeth == 1 ? "step" : "steps",
                  Math.abs(Math.abs(arm) - teeth * tooth))));
    } else if (small) {
      found.add(
          new Remedy(
              surface.id(),
              Remedy.Kind.LEAVE,
              String.format(
                  Locale.ROOT,
                  "%s: so few clicks (%.1f mm) may as well stay in the transmitter.",
                  name,
                  Math.abs(mm))));
    }
    if (Math.abs(servo.armOffsetDegrees()) >= FAR_FROM_SQUARE_DEGREES) {
      found.add(
          new Remedy(
              surface.id(),
              Remedy.Kind.SHARE,
              String.format(
                  Locale.ROOT,
                  "%s: its arm stands %.0f° off square. Seat it square first, then let the rod take the"
                      + " rest: that evens up the travel as well.",
                  name,
                  Math.abs(servo.armOffsetDegrees()))));
    }
  }
}
