package hightally.core.hazard;

import hightally.core.signal.SignalPath;

/** Where one surface stands for every command, in steps of a percent, mm from some rest. */
final class TravelTable {
  private final int index;
  private final long mixes;
  private final double limit;
  private final double[] mm;
  private final double steepest;

  TravelTable(SignalPath path, int index, double rest) {
    this.index = index;
    int carried = path.carriedBehind(index);
    mixes = carried < 0 ? 0 : path.program().hangs(carried).mixes();
    limit = Math.ceil(path.setup().transmitter().commandLimitPercent());
    mm = new double[2 * (int) limit + 1];
    double most = 0;
    for (int i = 0; i < mm.length; i++) {
      mm[i] = LostTravel.realMm(path, index, i - limit) - rest;
      most = i == 0 ? 0 : Math.max(most, Math.abs(mm[i] - mm[i - 1]));
    }
    steepest = most;
  }

  /** The surface's place in the setup's list. */
  int index() {
    return index;
  }

  /** The mixes its command can hang on, a bit each. */
  long mixes() {
    return mixes;
  }

  /** The step a command lies in or above. */
  int at(double command) {
    return (int) Math.floor(Math.max(-limit, Math.min(limit - 1, command)) + limit);
  }

  /** Where it stands at a step. */
  double mm(int step) {
    return mm[Math.min(step, mm.length - 1)];
  }

  /** The most it moves for a percent of command, mm. */
  double steepest() {
    return steepest;
  }

  /** What lies between two steps, mm. */
  double slack() {
    return steepest;
  }

  /**
   * The furthest it can move from anywhere between two commands.
   *
   * @param low the least command before
   * @param high the most
   * @param least by how much the command changes, at least
   * @param most and at most
   */
  double furthest(double low, double high, double least, double most) {
    double furthest = 0;
    int last = at(high) + 1;
    for (int i = at(low); i <= last; i++) {
      double from = mm(i);
      int end = at(i - limit + most) + 1;
      for (int to = at(i - limit + least); to <= end; to++) {
        furthest = Math.max(furthest, Math.abs(mm(to) - from));
      }
    }
    return furthest + slack();
  }
}
