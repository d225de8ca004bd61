package hightally.core.hazard;

import hightally.core.hazard.SwitchLogic.Known;
import hightally.core.hazard.SwitchLogic.Split;
import hightally.core.hazard.SwitchLogic.Watch;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/**
 * All ways in which what is watched can be decided, each with as little told as that takes: every
 * line in one of some cells, a bit each.
 */
final class DecisionRegions {
  private final SwitchLogic logic;
  private final SearchBudget work;
  private final long[] anywhere;

  DecisionRegions(SwitchLogic logic, SwitchStates states, SearchBudget work) {
    this.logic = logic;
    this.work = work;
    anywhere = states.lines().stream().mapToLong(one -> (1L << one.cells().length) - 1).toArray();
  }

  /** Every line anywhere. */
  long[] anywhere() {
    return anywhere.clone();
  }

  /** The same with one line told further. */
  static long[] with(long[] cells, int line, long part) {
    long[] told = cells.clone();
    told[line] = part;
    return told;
  }

  /** Every way in which what is watched can be decided. */
  void each(Watch watch, BiConsumer<long[], Known> found) {
    each(watch, anywhere, found);
  }

  private void each(Watch watch, long[] cells, BiConsumer<long[], Known> found) {
    work.spend(1);
    Known known = logic.known(cells);
    Split split = logic.open(watch, cells, known);
    if (split == null) {
      found.accept(cells, known);
      return;
    }
    for (long part : split.parts()) {
      each(watch, with(cells, split.line(), part), found);
    }
  }

  /** Both sides of a change of one line. */
  record Change(int line, long[] before, Known was, long[] after, Known is) {
    /** The same where another line is told further. */
    Change told(SwitchLogic logic, int other, long part) {
      long[] one = with(before, other, part);
      long[] two = with(after, other, part);
      return new Change(line, one, logic.known(one), two, logic.known(two));
    }
  }

  /** Every way in which what is watched can be decided before a change of a line and after it. */
  void changes(Watch watch, int line, int from, int to, Consumer<Change> found) {
    long[] before = with(anywhere, line, 1L << from);
    long[] after = with(anywhere, line, 1L << to);
    changes(watch, new Change(line, before, logic.known(before), after, logic.known(after)), found);
  }

  private void changes(Watch watch, Change change, Consumer<Change> found) {
    work.spend(1);
    Split split = logic.open(watch, change.before, change.was);
    split = split == null ? logic.open(watch, change.after, change.is) : split;
    if (split == null) {
      found.accept(change);
      return;
    }
    for (long part : split.parts()) {
      changes(watch, change.told(logic, split.line(), part), found);
    }
  }
}
