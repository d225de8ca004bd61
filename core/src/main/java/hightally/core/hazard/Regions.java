package hightally.core.hazard;

import hightally.core.hazard.SwitchLogic.Known;
import hightally.core.hazard.SwitchLogic.Watch;
import java.util.Arrays;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/**
 * All ways in which what is watched can be decided, each with as few switches told as that takes:
 * -1 stands for a line that is anywhere.
 */
final class Regions {
  private final SwitchLogic logic;
  private final Work work;
  private final int lines;

  Regions(SwitchLogic logic, int lines, Work work) {
    this.logic = logic;
    this.lines = lines;
    this.work = work;
  }

  /** Everything anywhere. */
  int[] anywhere() {
    int[] cells = new int[lines];
    Arrays.fill(cells, -1);
    return cells;
  }

  /** Every way in which what is watched can be decided. */
  void each(Watch watch, BiConsumer<int[], Known> found) {
    each(watch, anywhere(), found);
  }

  /** The same of those that begin so. */
  void each(Watch watch, int[] cells, BiConsumer<int[], Known> found) {
    work.spend(1);
    Known known = logic.known(cells);
    int line = logic.open(watch, cells, known);
    if (line < 0) {
      found.accept(cells, known);
      return;
    }
    for (int cell : logic.cells(line)) {
      cells[line] = cell;
      each(watch, cells, found);
    }
    cells[line] = -1;
  }

  /** Both sides of a change of one line. */
  record Change(int[] before, Known was, int[] after, Known is) {}

  /** Every way in which what is watched can be decided before a change of a line and after it. */
  void changes(Watch watch, int changed, int from, int to, int[] cells, Consumer<Change> found) {
    work.spend(1);
    int[] before = cells.clone();
    before[changed] = from;
    int[] after = cells.clone();
    after[changed] = to;
    Known was = logic.known(before);
    Known is = logic.known(after);
    int line = logic.open(watch, before, was);
    line = line < 0 ? logic.open(watch, after, is) : line;
    if (line < 0) {
      found.accept(new Change(before, was, after, is));
      return;
    }
    for (int cell : logic.cells(line)) {
      cells[line] = cell;
      changes(watch, changed, from, to, cells, found);
    }
    cells[line] = -1;
  }
}
