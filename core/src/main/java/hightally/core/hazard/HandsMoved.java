package hightally.core.hazard;

import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** What hands move between two moments, in words. */
public final class HandsMoved {
  private HandsMoved() {}

  /** What was moved between two moments, in words. */
  public static List<Said> between(SignalPath path, Moment from, Moment to) {
    SwitchStates states = new SwitchStates(path);
    List<Said> words = new ArrayList<>();
    for (int i = 0; i < path.setup().transmitter().inputs().size(); i++) {
      if (from.input(i) != to.input(i)) {
        Said there = states.word(to, i);
        String name = path.setup().transmitter().inputs().get(i).name();
        words.add(there.isEmpty() ? Said.of("movement.atRest", "name", name) : there);
      }
    }
    if (from.throttle() != to.throttle()) {
      words.add(Said.of("movement.throttle", "at", Quantity.percent(100 * to.throttle())));
    }
    return words;
  }
}
