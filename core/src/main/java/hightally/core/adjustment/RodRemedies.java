package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** What might be better than turning a rod, per surface at a servo. */
final class RodRemedies {
  private static final double FAR_FROM_SQUARE_DEGREES = 10;

  private RodRemedies() {}

  static List<RodRemedy> of(SignalPath path, Trims trims, Positions trimmed, Positions untrimmed) {
    Setup setup = path.setup();
    List<RodRemedy> found = new ArrayList<>();
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
      List<RodRemedy> found,
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
          new RodRemedy(
              surface.id(),
              RodRemedy.Kind.SYMPTOM,
              Said.of("adjustment.largeLook", "name", name, "size", Quantity.mm(Math.abs(mm)))));
    }
    int teeth = Math.abs(RodMethod.teeth(servo, arm));
    if (teeth != 0) {
      found.add(
          new RodRemedy(
              surface.id(),
              RodRemedy.Kind.TOOTH,
              Said.of(
                  "adjustment.reseatArm",
                  "name",
                  name,
                  "size",
                  Quantity.degrees(Math.abs(arm), 1),
                  "tooth",
                  Quantity.degrees(tooth, 1),
                  "teeth",
                  teeth,
                  "size2",
                  Quantity.degrees(Math.abs(Math.abs(arm) - teeth * tooth), 1))));
    } else if (small) {
      found.add(
          new RodRemedy(
              surface.id(),
              RodRemedy.Kind.LEAVE,
              Said.of("adjustment.fewClicks", "name", name, "size", Quantity.mm(Math.abs(mm)))));
    }
    if (Math.abs(servo.armOffsetDegrees()) >= FAR_FROM_SQUARE_DEGREES) {
      found.add(
          new RodRemedy(
              surface.id(),
              RodRemedy.Kind.SHARE,
              Said.of(
                  "adjustment.armNotSquare",
                  "name",
                  name,
                  "size",
                  Quantity.degrees(Math.abs(servo.armOffsetDegrees()), 0))));
    }
  }
}
