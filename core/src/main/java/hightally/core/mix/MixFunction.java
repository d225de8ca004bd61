package hightally.core.mix;

import java.util.List;
import java.util.stream.DoubleStream;

/** A mix made ready to evaluate: source percent to value percent. */
public final class MixFunction {
  private static final double FULL = 100;

  private final Curve curve;
  private final double plus;
  private final double minus;
  private final double start;

  private MixFunction(Mix mix) {
    curve = mix.curve().isEmpty() ? null : Curve.of(mix.curve());
    plus = mix.weightPlusPercent() / 100;
    minus = mix.weightMinusPercent() / 100;
    start = mix.startPercent();
  }

  /** The function of a checked mix. */
  public static MixFunction of(Mix mix) {
    return new MixFunction(mix);
  }

  /** The mix's value for its source, both percent. */
  public double value(double x) {
    if (curve != null) {
      return curve.value(x);
    }
    if (x > start) {
      return plus * (x - start);
    }
    return x < -start ? minus * (x + start) : 0;
  }

  /** A mix by weights as the curve it is; one that has a curve, that curve. */
  public static List<CurvePoint> asCurve(Mix mix) {
    if (!mix.curve().isEmpty()) {
      return mix.curve();
    }
    MixFunction function = of(mix);
    return DoubleStream.of(-FULL, -mix.startPercent(), mix.startPercent(), FULL)
        .distinct()
        .map(x -> x == 0 ? 0 : x)
        .distinct()
        .mapToObj(x -> new CurvePoint(x, function.value(x)))
        .toList();
  }
}
