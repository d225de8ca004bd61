package hightally.core.flightlog;

import java.util.List;

/**
 * The newest clicks that agree, taken from the newest back as long as they stay close.
 *
 * @param all of the flights that count, oldest first
 * @param first index of the oldest one that agrees
 */
record AgreeingRun(List<Integer> all, int first) {
  /** A drift moves at least so much in all. */
  private static final int DRIFT_CLICKS = 4;

  /** So many flights in a row show it. */
  private static final int DRIFT_FLIGHTS = 4;

  private static final double HALF = 2;

  /** The run of clicks that lie within {@code apart} of one another. */
  static AgreeingRun of(List<Integer> all, int apart) {
    int first = all.size();
    while (first > 0 && spread(all.subList(first - 1, all.size())) <= apart) {
      first--;
    }
    return new AgreeingRun(List.copyOf(all), first);
  }

  List<Integer> clicks() {
    return all.subList(first, all.size());
  }

  int size() {
    return all.size() - first;
  }

  int spread() {
    return spread(clicks());
  }

  private static int spread(List<Integer> clicks) {
    return clicks.stream().mapToInt(Integer::intValue).max().orElse(0)
        - clicks.stream().mapToInt(Integer::intValue).min().orElse(0);
  }

  /** The median; between two whole clicks the one nearer to zero; 0 of none. */
  int median() {
    List<Integer> sorted = clicks().stream().sorted().toList();
    if (sorted.isEmpty()) {
      return 0;
    }
    int upper = sorted.get(sorted.size() / 2);
    int lower = sorted.get((sorted.size() - 1) / 2);
    double middle = (lower + upper) / HALF;
    return (int) (Math.signum(middle) * Math.floor(Math.abs(middle)));
  }

  /** The same without its newest flight. */
  AgreeingRun withoutNewest(int apart) {
    return of(all.subList(0, all.size() - 1), apart);
  }

  /**
   * How far the last flights have moved one way, if there are four or more that do, and by four
   * clicks or more; else 0. Flights that repeat the one before are no move, and one step that is
   * most of it is a jump and no drift.
   */
  int drift() {
    int from = all.size() - 1;
    int way = 0;
    int largest = 0;
    int moves = 0;
    while (from > 0) {
      int step = all.get(from) - all.get(from - 1);
      if (step * way < 0) {
        break;
      }
      way = way == 0 ? Integer.signum(step) : way;
      moves += step == 0 ? 0 : 1;
      largest = Math.max(largest, Math.abs(step));
      from--;
    }
    int moved = all.isEmpty() ? 0 : all.get(all.size() - 1) - all.get(from);
    boolean steady = HALF * (Math.abs(moved) - largest) >= largest;
    boolean enough = moves >= DRIFT_FLIGHTS - 1 && Math.abs(moved) >= DRIFT_CLICKS;
    return enough && steady ? moved : 0;
  }
}
