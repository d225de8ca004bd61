package hightally.core.mix;

/** A mix made ready to evaluate: source percent to value percent. */
public final class MixFunction {
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
}
