package hightally.core.simulator;

import java.util.Random;

/** A steady wind with gusts on each axis, from a seed. World axes, m/s, where it blows to. */
public final class Gusts {
  private static final double GUSTS = 0.1;

  private final double[] steady;
  private final double strength;
  private final Random random;
  private final double[] gust = new double[3];

  /** A wind; calm where it is 0. */
  public Gusts(double northwards, double eastwards, long seed) {
    steady = new double[] {northwards, eastwards, 0};
    strength = Math.hypot(northwards, eastwards);
    random = new Random(seed);
  }

  /** Still air. */
  public static Gusts calm() {
    return new Gusts(0, 0, 0);
  }

  /** The wind of the next step. */
  double[] next(double seconds) {
    double[] wind = steady.clone();
    if (strength > 0) {
      for (int i = 0; i < gust.length; i++) {
        gust[i] =
            gust[i] * (1 - seconds / 2)
                + GUSTS * strength * Math.sqrt(seconds) * random.nextGaussian();
        wind[i] += gust[i];
      }
    }
    return wind;
  }
}
