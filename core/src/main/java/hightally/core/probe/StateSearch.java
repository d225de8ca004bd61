package hightally.core.probe;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;

/**
 * The states of a rig that show what was seen.
 *
 * <p>Where a state shows a surface otherwise than it was seen, only what touches that surface can
 * mend it; so the search goes on from there with those alone, and is complete.
 */
final class StateSearch {
  /** So many states are enough to know that more must be looked at. */
  private static final int ENOUGH = 4000;

  /** On one channel no more is looked for than this. */
  private static final int ON_ONE = 4;

  private final RigModel model;
  private final List<Seen> seen;
  private final IntPredicate allowed;
  private final boolean needed;

  /** The channel each servo must be on, with nothing still; null where any will do. */
  private final int[] channels;

  /** How many differences more could be made when a state was come to. */
  private final Map<BitSet, Integer> visited = new HashMap<>();

  private final List<RigState> found = new ArrayList<>();
  private final List<Integer> made = new ArrayList<>();

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

  /** Every state at most so many steps from one. */
  static List<RigState> all(RigModel model, List<Seen> seen, RigState from, int most) {
    StateSearch search = new StateSearch(model, seen, any -> true, false, null);
    search.from(from.copy(), most);
    return search.found;
  }

  /**
   * The states the fewest steps from one, none of them needless.
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
      search.from(from.copy(), changes);
      if (!search.found.isEmpty()) {
        return search.found;
      }
    }
    return List.of();
  }

  /**
   * A state that shows as much of what was seen as can be had channel by channel, leads left where
   * they are: on each what explains its surfaces with the fewest differences. A rig may differ in
   * everything at once; what is searched for is searched for around this one.
   */
  static RigState nearest(RigModel model, List<Seen> seen, RigState from, IntPredicate allowed) {
    RigState state = from.copy();
    for (int channel = 0; channel < model.channels(); channel++) {
      int on = channel;
      RigState before = state;
      IntPredicate here = surface -> !model.isMotor(surface) && model.on(surface, before) == on;
      state = nearest(model, only(seen, here), state, allowed, ON_ONE);
    }
    IntPredicate motors = model::isMotor;
    return nearest(model, only(seen, motors), state, allowed, ON_ONE);
  }

  /** Whether a state shows all that was seen. */
  static boolean shows(RigModel model, List<Seen> seen, RigState state) {
    return new StateSearch(model, seen, any -> true, true, null).firstWrong(state) < 0;
  }

  private static RigState nearest(
      RigModel model, List<Seen> seen, RigState from, IntPredicate allowed, int most) {
    IntPredicate kept =
        one -> allowed.test(one) && model.differences().get(one).part() != RigPart.LEADS;
    List<RigState> found = fewest(model, seen, from, kept, most, null);
    return found.isEmpty() ? from : found.get(0);
  }

  /** The same looks, asked about some surfaces alone. */
  private static List<Seen> only(List<Seen> seen, IntPredicate surfaces) {
    List<Seen> some = new ArrayList<>();
    for (Seen one : seen) {
      int[] ways = one.ways().clone();
      for (int i = 0; i < ways.length; i++) {
        ways[i] = surfaces.test(i) ? ways[i] : RigModel.UNTOLD;
      }
      some.add(new Seen(one.effect(), ways));
    }
    return some;
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
      boolean asked = wrong < 0 || model.touches(i, wrong, state);
      if (asked && allowed.test(i) && !made.contains(i)) {
        made.add(i);
        state.turn(i, model.turn(i));
        from(state, left - 1);
        state.turn(i, model.turn(i));
        made.remove(made.size() - 1);
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
