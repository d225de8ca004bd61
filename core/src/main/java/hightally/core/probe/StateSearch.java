package hightally.core.probe;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;

/**
 * The states of a rig that show what was seen, fewest differences first.
 *
 * <p>Where a state shows a surface otherwise than it was seen, only what touches that surface can
 * mend it; so the search goes on from there with those alone, and is complete.
 */
final class StateSearch {
  /** So many states are enough to know that more must be looked at. */
  private static final int ENOUGH = 4000;

  private final RigModel model;
  private final List<Seen> seen;
  private final IntPredicate allowed;
  private final boolean needed;

  /** The channel each servo must be on, with nothing still; null where any will do. */
  private final int[] channels;

  /** How many differences more could be made when a state was come to. */
  private final Map<BitSet, Integer> visited = new HashMap<>();

  private final List<RigState> found = new ArrayList<>();

  /**
   * What a look must show.
   *
   * @param ways of surfaces and motors; {@link RigModel#UNTOLD} where anything will do
   */
  record Seen(RigModel.Effect effect, int[] ways) {}

  private StateSearch(
      RigModel model, List<Seen> seen, IntPredicate allowed, boolean needed, int[] channels) {
    this.model = model;
    this.seen = seen;
    this.allowed = allowed;
    this.needed = needed;
    this.channels = channels;
  }

  /** Every state with at most so many differences. */
  static List<RigState> all(RigModel model, List<Seen> seen, int most) {
    StateSearch search = new StateSearch(model, seen, any -> true, false, null);
    search.from(model.described(), most);
    return search.found;
  }

  /**
   * The states that take the fewest changes from one, none of them needless.
   *
   * @param channels the channel each servo must then be on, with nothing still; null where any will
   *     do
   */
  static List<RigState> fewest(
      RigModel model,
      List<Seen> seen,
      RigState from,
      IntPredicate allowed,
      int most,
      int[] channels) {
    for (int changes = 0; changes <= most; changes++) {
      StateSearch search = new StateSearch(model, seen, allowed, true, channels);
      search.from(from.begun(), changes);
      if (!search.found.isEmpty()) {
        return search.found;
      }
    }
    return List.of();
  }

  private void from(RigState state, int left) {
    BitSet key = state.key();
    Integer before = visited.get(key);
    if (found.size() >= ENOUGH || before != null && before >= left) {
      return;
    }
    visited.put(key, left);
    int wrong = firstWrong(state);
    if (wrong < 0 && before == null) {
      found.add(state.copy());
    }
    if (left == 0 || wrong < 0 && needed) {
      return;
    }
    for (int i = 0; i < model.differences().size(); i++) {
      if (allowed.test(i) && (wrong < 0 || model.touches(i, wrong, state)) && !state.has(i)) {
        state.put(i, model.turn(i));
        from(state, left - 1);
        state.takeBack(model.turn(i));
      }
    }
  }

  /** A surface that is not as it was seen; -1 where all are. */
  private int firstWrong(RigState state) {
    for (Seen one : seen) {
      for (int i = 0; i < one.ways().length; i++) {
        if (one.ways()[i] != RigModel.UNTOLD
            && !RigModel.agrees(one.effect().seen(state, i), one.ways()[i])) {
          return i;
        }
      }
    }
    for (int i = 0; channels != null && i < model.surfaces(); i++) {
      int servo = model.servoOf(i);
      if (state.channelOfServo[servo] != channels[servo]
          || state.servoStill[servo]
          || state.surfaceStill[i]) {
        return i;
      }
    }
    return -1;
  }
}
