package hightally.core.signal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Where switches, levers and the throttle must stand for something to be so, as few of them moved
 * as can be: what hangs on more than three of them at once is not found.
 */
public final class NearestMoment {
  private static final int MOST_MOVED = 3;

  private final SignalPath path;
  private final List<InputRange> lines;

  private NearestMoment(SignalPath path) {
    this.path = path;
    lines =
        InputRange.of(path.setup()).stream()
            .filter(
                one ->
                    one.kind() == InputRange.Kind.THROTTLE
                        || one.kind() == InputRange.Kind.LEVER
                        || one.kind() == InputRange.Kind.SWITCH)
            .toList();
  }

  /** The first moment, moving as little as can be, of which something is true. */
  public static Optional<Moment> where(SignalPath path, Moment from, Predicate<Moment> wanted) {
    NearestMoment nearest = new NearestMoment(path);
    for (int moved = 0; moved <= MOST_MOVED; moved++) {
      Moment found = nearest.first(from, 0, moved, wanted);
      if (found != null) {
        return Optional.of(found);
      }
    }
    return Optional.empty();
  }

  /** All moments that can be got to by moving so few, those with the fewest moved first. */
  public static List<Moment> around(SignalPath path, Moment from) {
    List<Moment> all = new ArrayList<>();
    where(
        path,
        from,
        moment -> {
          all.add(moment);
          return false;
        });
    return all;
  }

  private Moment first(Moment from, int line, int toMove, Predicate<Moment> wanted) {
    if (toMove == 0) {
      return wanted.test(from) ? from : null;
    }
    for (int i = line; i <= lines.size() - toMove; i++) {
      InputRange one = lines.get(i);
      int axis = one.axis();
      double stands = AxisPlaces.of(from, axis);
      for (InputStretch cell : one.cells()) {
        boolean there = stands >= cell.from() && stands <= cell.to();
        if (!there) {
          Moment moved = AxisPlaces.at(from, axis, cell.at());
          Moment found = first(moved, i + 1, toMove - 1, wanted);
          if (found != null) {
            return found;
          }
        }
      }
    }
    return null;
  }
}
