package hightally.core.flightlog;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Whether trims have settled, worked out plainly from the words of the specification. */
final class PlainSettling {
  private PlainSettling() {}

  /** State and value of clicks of flights that all count, oldest first; three within two. */
  static String of(List<Integer> clicks, double mmPerClick, double largeMm) {
    List<Integer> left = new ArrayList<>(clicks);
    String asked = "";
    if (left.size() > 1) {
      int x = left.get(left.size() - 1);
      int v = median(run(left.subList(0, left.size() - 1)));
      if (Math.abs(x + v) <= 2 && Math.abs(x - v) > 6) {
        asked = "OPPOSITE";
        left.remove(left.size() - 1);
      }
    }
    List<Integer> run = run(left);
    int value = median(run);
    if (!asked.isEmpty()) {
      return asked + " " + value + " of " + run.size();
    }
    String state = run.size() < 3 ? "NOT_YET" : value(value, mmPerClick, largeMm);
    return (drifts(left) ? "DRIFTING" : state) + " " + value + " of " + run.size();
  }

  private static String value(int clicks, double mmPerClick, double largeMm) {
    return Math.abs(clicks) * mmPerClick >= largeMm ? "TOO_LARGE" : "SETTLED";
  }

  private static List<Integer> run(List<Integer> all) {
    List<Integer> best = List.of();
    for (int from = all.size() - 1; from >= 0; from--) {
      List<Integer> some = all.subList(from, all.size());
      if (Collections.max(some) - Collections.min(some) > 2) {
        break;
      }
      best = some;
    }
    return best;
  }

  private static int median(List<Integer> run) {
    if (run.isEmpty()) {
      return 0;
    }
    List<Integer> sorted = new ArrayList<>(run);
    Collections.sort(sorted);
    int n = sorted.size();
    if (n % 2 == 1) {
      return sorted.get(n / 2);
    }
    return (sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2;
  }

  /** Some tail of four or more that goes one way, four clicks or more, by more than one jump. */
  private static boolean drifts(List<Integer> all) {
    for (int way : new int[] {1, -1}) {
      int from = all.size() - 1;
      while (from > 0 && (all.get(from) - all.get(from - 1)) * way >= 0) {
        from--;
      }
      List<Integer> steps = new ArrayList<>();
      for (int i = from + 1; i < all.size(); i++) {
        steps.add((all.get(i) - all.get(i - 1)) * way);
      }
      int moved = steps.stream().mapToInt(Integer::intValue).sum();
      int largest = steps.stream().mapToInt(Integer::intValue).max().orElse(0);
      long moves = steps.stream().filter(one -> one > 0).count();
      if (moves >= 3 && moved >= 4 && 2 * (moved - largest) >= largest) {
        return true;
      }
    }
    return false;
  }
}
