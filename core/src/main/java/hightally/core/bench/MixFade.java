package hightally.core.bench;

import hightally.core.mix.Mix;
import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import java.util.List;

/**
 * How far the mixes that have a fade of their own have come in: a straight line over that time,
 * from wherever it stands, whichever way its condition goes.
 */
final class MixFade {
  private final Program program;
  private final double[] seconds;
  private final double[] weights;
  private boolean begun;
  private boolean underWay;

  MixFade(Program program, List<Mix> mixes) {
    this.program = program;
    seconds = mixes.stream().mapToDouble(Mix::fadeSeconds).toArray();
    weights = new double[seconds.length];
    java.util.Arrays.fill(weights, 1);
  }

  /**
   * Lets time pass.
   *
   * @param moment what the hands and conditions say all that time
   */
  void pass(double time, Moment moment, int phase) {
    underWay = false;
    for (int i = 0; i < weights.length; i++) {
      if (seconds[i] > 0) {
        double aim = program.wanted(i, moment, phase) ? 1 : 0;
        double most = begun ? time / seconds[i] : 1;
        double way = aim - weights[i];
        weights[i] = Math.abs(way) <= most ? aim : weights[i] + Math.signum(way) * most;
        underWay |= weights[i] != aim;
      }
    }
    begun = true;
  }

  /** How far each mix has come in, 0 to 1; those without a fade at 1. */
  double[] weights() {
    return weights;
  }

  boolean underWay() {
    return underWay;
  }
}
