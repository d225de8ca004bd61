package hightally.core.signal;

import hightally.core.mix.CurvePoint;
import hightally.core.mix.MixFunction;
import hightally.core.mix.MixSource;
import hightally.core.power.Power;
import hightally.core.quantity.Control;
import hightally.core.response.ResponseCurve;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;

/**
 * What the commands take from one stick, lever or the throttle alone, and how far that goes over a
 * stretch of it. Each part is monotone between the places where it may bend, so its extremes are
 * found there.
 */
final class AxisParts {
  private static final Control[] CONTROLS = Control.values();
  private static final int THROTTLE = CONTROLS.length;
  private static final double PERCENT = 100;
  private static final int HALVINGS = 50;

  private final Program program;
  private final Setup setup;
  private final int targets;
  private final int motorAxis;
  private final List<double[]> kinks;

  /** What the parts along one axis depend on. */
  record Key(int phase, int feel, long mixes, boolean held, double from, double to) {}

  AxisParts(Program program, Setup setup, int motorAxis) {
    this.program = program;
    this.setup = setup;
    this.motorAxis = motorAxis;
    targets = program.size();
    kinks =
        Arrays.stream(program.mixes)
            .map(mix -> MixFunction.asCurve(mix).stream().mapToDouble(CurvePoint::x).toArray())
            .toList();
  }

  /** Where a mix's function may bend. */
  double[] kinks(int mix) {
    return kinks.get(mix);
  }

  AxisSpan part(int axis, Key key) {
    AxisSpan span = new AxisSpan(targets, Math.max(0, key.from()));
    double[] at = kinksOf(axis, key);
    for (int target = 0; target < targets; target++) {
      DoubleUnaryOperator part = function(axis, key, target);
      if (part != null) {
        span.find(target, part, at);
      }
    }
    return span;
  }

  /** The part of a target's command that depends on one axis; null where none does. */
  private DoubleUnaryOperator function(int axis, Key key, int target) {
    List<DoubleUnaryOperator> terms = new ArrayList<>();
    boolean surface = target < program.surfaceCount;
    if (axis < CONTROLS.length) {
      Control control = CONTROLS[axis];
      ResponseCurve feel = program.feel(control, key.feel());
      if (surface && program.share(target, control) != 0) {
        terms.add(
            control == Control.ROLL
                ? s -> program.rollPart(target, key.phase(), feel.value(s))
                : s -> PERCENT * program.share(target, control) * feel.value(s));
      }
    } else if (axis > THROTTLE && surface) {
      for (int lever = 0; lever < program.leverCount(target); lever++) {
        double share = program.leverShare(target, lever);
        if (program.leverInput(target, lever) == axis - THROTTLE - 1) {
          terms.add(x -> PERCENT * share * x);
        }
      }
    }
    if (!surface && axis == motorAxis) {
      terms.add(x -> program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT));
    }
    for (int i = 0; i < program.mixes.length; i++) {
      double factor = factor(i, target);
      if ((key.mixes() & 1L << i) != 0 && factor != 0) {
        MixFunction function = program.functions[i];
        DoubleUnaryOperator source = source(axis, key, program.mixes[i].source());
        terms.add(x -> factor * function.value(source.applyAsDouble(x)));
      }
    }
    return terms.isEmpty()
        ? null
        : x -> {
          double sum = 0;
          for (DoubleUnaryOperator term : terms) {
            sum += term.applyAsDouble(x);
          }
          return sum;
        };
  }

  private double factor(int mix, int target) {
    double factor = 0;
    for (int t = 0; t < program.targets[mix].length; t++) {
      factor += program.targets[mix][t] == target ? program.factors[mix][t] : 0;
    }
    return factor;
  }

  private DoubleUnaryOperator source(int axis, Key key, MixSource source) {
    return switch (source) {
      case RESPONSE -> {
        ResponseCurve feel = program.feel(CONTROLS[axis], key.feel());
        yield s -> PERCENT * feel.value(s);
      }
      case THROTTLE -> x -> 2 * PERCENT * x - PERCENT;
      case POWER -> {
        Power power = setup.power();
        yield key.held()
            ? x -> 0
            : x ->
                PERCENT
                    * power.power(
                        program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT));
      }
      default -> x -> PERCENT * x;
    };
  }

  /** Every place where some part along an axis may bend, with the ends of the stretch. */
  private double[] kinksOf(int axis, Key key) {
    TreeSet<Double> found = new TreeSet<>(List.of(key.from(), key.to()));
    keep(found, 0, key);
    if (axis == motorAxis) {
      for (CurvePoint point : program.throttlePoints(key.phase())) {
        keep(found, (point.x() + PERCENT) / (2 * PERCENT), key);
      }
      DoubleUnaryOperator curve =
          x -> program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT);
      for (double level : new double[] {-PERCENT, 0, PERCENT}) {
        crossings(found, key, curve, level);
      }
    }
    for (int i = 0; i < program.mixes.length; i++) {
      if ((key.mixes() & 1L << i) != 0) {
        for (double kink : kinks.get(i)) {
          bend(found, axis, key, program.mixes[i].source(), kink);
        }
      }
    }
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private void bend(TreeSet<Double> found, int axis, Key key, MixSource source, double kink) {
    switch (source) {
      case RESPONSE -> keep(found, where(source(axis, key, source), kink), key);
      case THROTTLE -> keep(found, (kink + PERCENT) / (2 * PERCENT), key);
      case POWER -> crossings(found, key, source(axis, key, source), kink);
      default -> keep(found, kink / PERCENT, key);
    }
  }

  private static void keep(TreeSet<Double> found, double at, Key key) {
    if (at > key.from() && at < key.to()) {
      found.add(at);
    }
  }

  /** Where a response, which never falls, comes to a value. */
  private static double where(DoubleUnaryOperator rising, double value) {
    double left = -1;
    double right = 1;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (left + right) / 2;
      if (rising.applyAsDouble(middle) < value) {
        left = middle;
      } else {
        right = middle;
      }
    }
    return (left + right) / 2;
  }

  /** Where what is straight between the kinks found so far comes to a value. */
  private static void crossings(
      TreeSet<Double> found, Key key, DoubleUnaryOperator straight, double value) {
    double[] ends = found.stream().mapToDouble(Double::doubleValue).toArray();
    for (int i = 1; i < ends.length; i++) {
      double first = straight.applyAsDouble(ends[i - 1]) - value;
      double last = straight.applyAsDouble(ends[i]) - value;
      if (first * last < 0) {
        keep(found, ends[i - 1] + (ends[i] - ends[i - 1]) * first / (first - last), key);
      }
    }
  }
}
