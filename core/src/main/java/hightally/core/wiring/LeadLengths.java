package hightally.core.wiring;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Surface;
import hightally.core.quantity.HouseValues;
import hightally.core.setup.Setup;
import java.util.Optional;

/**
 * How long a lead must be, from the drawing: sideways and along from the receiver to where the
 * servo sits, plus the house's spare. The receiver is taken to lie on the centre line where the
 * wing begins; a servo sits a rod's length ahead of its horn. A string laid in the model knows
 * better.
 */
final class LeadLengths {
  private LeadLengths() {}

  /** Extension a device needs beyond its own lead, mm, rounded up to what is sold; 0 for none. */
  static double extensionMm(Setup setup, String device) {
    HouseValues house = setup.house();
    double own = setup.servo(device).map(servo -> servo.leadMm()).orElse(0.0);
    Optional<Double> way = wayMm(setup, device);
    if (way.isEmpty() || way.get() + house.leadSpareMm() <= own) {
      return 0;
    }
    double missing = way.get() + house.leadSpareMm() - own;
    return Math.ceil(missing / house.extensionStepMm()) * house.extensionStepMm();
  }

  /** The way of a motor's controller is the controller's own lead. */
  private static Optional<Double> wayMm(Setup setup, String device) {
    if (setup.airframe().motors().stream().map(Motor::id).anyMatch(device::equals)) {
      return Optional.empty();
    }
    return setup.surfaces().stream()
        .filter(surface -> surface.rod().driver() == DriverKind.SERVO)
        .filter(surface -> surface.rod().driverId().equals(device))
        .findFirst()
        .map(surface -> wayMm(setup, surface));
  }

  private static double wayMm(Setup setup, Surface surface) {
    Panel panel = panel(setup, surface.place().panel());
    double along = (surface.place().from() + surface.place().to()) / 2;
    double right = mix(panel.root().rightMm(), panel.tip().rightMm(), along);
    double edge =
        mix(
            panel.root().aftMm() + panel.root().chordMm(),
            panel.tip().aftMm() + panel.tip().chordMm(),
            along);
    double aft = edge - surface.chordMm() - surface.rod().linkage().rodLengthMm();
    return Math.abs(right) + Math.abs(aft - receiverAftMm(setup));
  }

  private static double receiverAftMm(Setup setup) {
    return setup.airframe().panels().stream()
        .mapToDouble(panel -> panel.root().aftMm())
        .min()
        .orElse(0);
  }

  private static Panel panel(Setup setup, String id) {
    return setup.airframe().panels().stream()
        .filter(panel -> panel.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static double mix(double a, double b, double t) {
    return a + (b - a) * t;
  }
}
