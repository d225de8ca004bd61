package hightally.core.program;

import java.util.List;
import java.util.stream.DoubleStream;

/** A mix made ready to evaluate: source percent to value percent. */
public final class MixFunction {
  private static final double FULL = 100;

  private final Curve curve;
  private final double plus;
  private final double minus;
  private final double start;

  private final double[] kinks;

  private MixFunction(Curve curve, double plus, double minus, double start, double[] kinks) {
    this.curve = curve;
    this.plus = plus;
    this.minus = minus;
    this.start = start;
    this.kinks = kinks;
  }

  /** The function of a checked mix. */
  public static MixFunction of(Mix mix) {
    double start = mix.startPercent();
    if (mix.curve().isEmpty()) {
      double[] kinks = start == 0 ? new double[] {0} : new double[] {-start, start};
      double plus = mix.weightPlusPercent() / FULL;
      return new MixFunction(null, plus, mix.weightMinusPercent() / FULL, start, kinks);
    }
    double[] kinks = mix.curve().stream().mapToDouble(CurvePoint::x).toArray();
    return new MixFunction(Curve.of(mix.curve()), 0, 0, 0, kinks);
  }

  /** What a mix by weights comes to at a target whose factors differ from side to side. */
  public static MixFunction of(Mix mix, MixTarget target) {
    double start = mix.startPercent();
    double[] kinks = start == 0 ? new double[] {0} : new double[] {-start, start};
    double plus = target.factor() * mix.weightPlusPercent() / FULL;
    double minus = target.factorMinus() * mix.weightMinusPercent() / FULL;
    return new MixFunction(null, plus, minus, start, kinks);
  }

  /** A factor for each side of 0. */
  public static MixFunction ofSides(double plus, double minus) {
    return new MixFunction(null, plus, minus, 0, new double[] {0});
  }

  /** Where it may bend, percent of the source. */
  public double[] kinks() {
    return kinks.clone();
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
