package hightally.core.trimming;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.linkage.Linkage;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * Ailerons that hang on one channel: no program can give them differential, the lean of the servo's
 * arm does. With the hole ahead of or behind the square, one way of the arm moves the rod more than
 * the other.
 */
final class SharedAilerons {
  private static final double PERCENT = 100;
  private static final double FURTHEST_DEGREES = 45;
  private static final double STEP_DEGREES = 0.5;
  private static final double LEAST_MM = 0.1;

  private SharedAilerons() {}

  /** Whether all that rolls a model, and there is more than one of it, hangs on one channel. */
  static boolean of(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    List<Surface> ailerons = ailerons(setup);
    return ailerons.size() > 1
        && ailerons.stream()
                .map(one -> path.channelBehind(path.indexOf(one.id())))
                .distinct()
                .count()
            == 1;
  }

  private static List<Surface> ailerons(Setup setup) {
    return setup.surfaces().stream()
        .filter(one -> one.role().rolls() && one.shares().roll() != 0)
        .toList();
  }

  /** How much less they go down than up, percent of up, at full stick; the mean of all. */
  static double differential(Setup setup) {
    return ailerons(setup).stream()
        .mapToDouble(one -> differential(setup, one))
        .average()
        .orElse(0);
  }

  private static double differential(Setup setup, Surface one) {
    SignalPath path = SignalPath.of(setup);
    int phase = setup.phases().size() - 1;
    int index = path.indexOf(one.id());
    Moment rest = path.rest(phase).withTrims(setup.trims());
    double still = path.evaluate(rest, phase).travelMm()[index];
    double right = path.evaluate(rest.with(Control.ROLL, 1), phase).travelMm()[index] - still;
    double left = path.evaluate(rest.with(Control.ROLL, -1), phase).travelMm()[index] - still;
    double up = Math.max(right, left);
    double down = -Math.min(right, left);
    return up < LEAST_MM ? 0 : PERCENT * (1 - down / up);
  }

  /**
   * The setup with the arms leaning so that every aileron has the differential, as near as goes.
   */
  static Setup leaning(Setup setup, double percent) {
    List<Surface> surfaces = new ArrayList<>(setup.surfaces());
    for (Surface one : ailerons(setup)) {
      if (one.rod().driver() == DriverKind.SERVO) {
        surfaces.replaceAll(each -> each.id().equals(one.id()) ? best(setup, one, percent) : each);
      }
    }
    return setup.withSurfaces(surfaces);
  }

  private static Surface best(Setup setup, Surface one, double percent) {
    Surface best = one;
    double least = Double.POSITIVE_INFINITY;
    for (double lean = -FURTHEST_DEGREES; lean <= FURTHEST_DEGREES; lean += STEP_DEGREES) {
      Surface leant = leaning(one, lean);
      if (leant != null) {
        double off = Math.abs(differential(setup.withSurface(leant), leant) - percent);
        // Of leans that do as well the smallest: it costs the least travel.
        double cost = off + Math.abs(lean) / PERCENT / PERCENT;
        best = cost < least ? leant : best;
        least = Math.min(least, cost);
      }
    }
    return best;
  }

  /** The surface with its arm leaning; null where the rod would not reach. */
  private static Surface leaning(Surface one, double lean) {
    Rod rod = one.rod();
    Linkage linkage = rod.linkage().leaning(lean, rod.linkage().hornLeanDegrees());
    Rod leant = rod.with(linkage);
    List<Object> wrong = new ArrayList<>();
    leant.check("", wrong::add);
    return wrong.isEmpty() ? one.withRod(leant) : null;
  }
}
