package hightally.core.hazard;

import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.MixSource;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisPlaces;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** Where along each axis something may bend: what lies straight between needs no looking at. */
final class Bends {
  private static final double PERCENT = 100;

  private final List<TreeSet<Double>> places = new ArrayList<>();

  Bends(Setup setup) {
    int axes = AxisPlaces.THROTTLE + 1 + setup.transmitter().inputs().size();
    for (int axis = 0; axis < axes; axis++) {
      places.add(new TreeSet<>());
      places.get(axis).add(0.0);
    }
    for (Mix mix : setup.mixes()) {
      int axis = axis(setup, mix.source(), mix.subject());
      if (axis >= 0) {
        for (double bend : MixFunction.of(mix).kinks()) {
          places.get(axis).add(mix.source() == MixSource.THROTTLE ? whole(bend) : bend / PERCENT);
        }
      }
    }
    int lever = setup.transmitter().inputIndex(setup.power().throttleInput());
    TreeSet<Double> throttle =
        places.get(lever < 0 ? AxisPlaces.THROTTLE : AxisPlaces.THROTTLE + 1 + lever);
    for (ThrottleCurve curve : setup.power().curves()) {
      for (CurvePoint point : curve.points()) {
        throttle.add(whole(point.x()));
      }
    }
  }

  /** A place of the throttle from -100 to 100 %. */
  private static double whole(double percent) {
    return (percent + PERCENT) / (2 * PERCENT);
  }

  private static int axis(Setup setup, MixSource source, String subject) {
    return switch (source) {
      case STICK, RESPONSE -> Control.named(subject).ordinal();
      case INPUT -> AxisPlaces.THROTTLE + 1 + setup.transmitter().inputIndex(subject);
      case THROTTLE -> AxisPlaces.THROTTLE;
      case POWER, SURFACE, CONSTANT -> -1;
    };
  }

  /** The ends of a stretch and the bends within it, in order. */
  double[] within(int axis, double from, double to) {
    TreeSet<Double> found = new TreeSet<>(places.get(axis).subSet(from, true, to, true));
    found.add(from);
    found.add(to);
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
