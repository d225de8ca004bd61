package hightally.core.hazard;

import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.LinearBound;
import hightally.core.signal.Moment;
import hightally.core.signal.StillCommand;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Queue;
import java.util.function.Consumer;

/**
 * Whether two commands that hang on the same sticks and levers can be somewhere together, and where
 * they are furthest: proven, not tried.
 *
 * <p>Where both are straight along every axis the pairs they come to fill a polygon with parallel
 * opposite sides, so what lies beyond straight limits is cut out of it exactly. Where they bend the
 * box of axes is halved at the bend, until the bends left do not matter or nothing is left. A part
 * in which the bound on the bends already says no is not looked into.
 */
final class JointExtremes {
  /** Bends smaller than this do not matter, percent. */
  private static final double FINE_PERCENT = 0.02;

  /** More parts than this are not looked at for one question. */
  private static final int MOST_PARTS = 3000;

  /** So many places along each edge are handed out. */
  private static final int STEPS = 10;

  private final StillCommand first;
  private final StillCommand second;
  private final int moved;
  private final double movedTo;
  private final Moment state;
  private final Moment after;
  private long parts;
  private boolean undecided;

  /** A place and how large there is what was to be largest. */
  record Found(Moment at, double size) {}

  /** Where the first axis is at its lower end and so on: a corner of the polygon. */
  private record Corner(double first, double second, double[] at) {
    /** The point between two corners where something passes a limit. */
    static Corner between(Corner one, Corner other, double part) {
      double[] at = new double[one.at.length];
      for (int i = 0; i < at.length; i++) {
        at[i] = one.at[i] + part * (other.at[i] - one.at[i]);
      }
      return new Corner(
          one.first + part * (other.first - one.first),
          one.second + part * (other.second - one.second),
          at);
    }
  }

  /**
   * Two commands of one state.
   *
   * @param state where all else stands
   */
  JointExtremes(StillCommand first, StillCommand second, Moment state) {
    this(first, second, state, state, -1, 0);
  }

  /**
   * A command before a change and one after it.
   *
   * @param state where all else stands before
   * @param after where all else stands after
   * @param moved the axis that is moved by the change; -1 for none
   * @param movedTo where it is afterwards
   */
  JointExtremes(
      StillCommand first,
      StillCommand second,
      Moment state,
      Moment after,
      int moved,
      double movedTo) {
    this.first = first;
    this.second = second;
    this.state = state;
    this.after = after;
    this.moved = moved;
    this.movedTo = movedTo;
  }

  /** How many parts were looked at. */
  long parts() {
    return parts;
  }

  /** Whether there were more parts than are looked at: then what was not found may be there. */
  boolean undecided() {
    return undecided;
  }

  /** A part that is not looked at yet, and what is known to be the most in it. */
  private record Part(AxisBox box, double most) {}

  /** Where it is largest in a box; null where there is no such place. */
  Found most(CommandRegion region, Collection<Integer> axes, AxisBox box) {
    Found best = null;
    PriorityQueue<Part> left =
        new PriorityQueue<>(Comparator.comparingDouble((Part one) -> -one.most));
    left.add(new Part(only(axes, box), Double.POSITIVE_INFINITY));
    int looked = 0;
    while (!left.isEmpty() && (best == null || best.size() < region.enough())) {
      Part part = left.poll();
      if (best != null && part.most <= best.size() + FINE_PERCENT) {
        break;
      }
      if (++looked > MOST_PARTS) {
        undecided = true;
        break;
      }
      best = look(region, part.box, best, left);
    }
    parts += looked;
    return best;
  }

  /**
   * Goes round the edge of every part of a region in which both are straight: what hangs on them in
   * a way of its own is looked at there.
   */
  void each(CommandRegion region, Collection<Integer> axes, AxisBox box, Consumer<Moment> place) {
    Deque<AxisBox> left = new ArrayDeque<>();
    left.push(only(axes, box));
    int looked = 0;
    while (!left.isEmpty() && looked < MOST_PARTS) {
      AxisBox part = left.pop();
      looked++;
      LinearBound one = first.over(state, part);
      LinearBound two = second.over(after, afterwards(part));
      List<Corner> possible = possible(region, one, two, part, 1);
      if (!possible.isEmpty() && one.error() + two.error() > FINE_PERCENT) {
        halves(part, one.error() >= two.error() ? one : two).forEach(left::push);
      } else {
        along(possible, place);
      }
    }
    undecided |= !left.isEmpty();
    parts += looked;
  }

  /** Round the edge of a part in small steps. */
  private void along(List<Corner> corners, Consumer<Moment> place) {
    for (int i = 0; i < corners.size(); i++) {
      Corner here = corners.get(i);
      Corner next = corners.get((i + 1) % corners.size());
      for (int step = 0; step < STEPS; step++) {
        place.accept(moment(Corner.between(here, next, (double) step / STEPS)));
      }
    }
  }

  /** The box with every axis that moves neither of them held where the state has it. */
  private AxisBox only(Collection<Integer> axes, AxisBox box) {
    double[] from = new double[box.from().length];
    double[] to = new double[from.length];
    for (int axis = 0; axis < from.length; axis++) {
      boolean moves = axes.contains(axis);
      from[axis] = moves ? box.from()[axis] : AxisPlaces.of(state, axis);
      to[axis] = moves ? box.to()[axis] : from[axis];
    }
    return new AxisBox(from, to);
  }

  private AxisBox afterwards(AxisBox part) {
    if (moved < 0) {
      return part;
    }
    double[] from = part.from().clone();
    double[] to = part.to().clone();
    from[moved] = movedTo;
    to[moved] = movedTo;
    return new AxisBox(from, to);
  }

  private Found look(CommandRegion region, AxisBox part, Found best, Queue<Part> left) {
    LinearBound one = first.over(state, part);
    LinearBound two = second == first ? one : second.over(after, afterwards(part));
    List<Corner> possible = possible(region, one, two, part, 1);
    if (possible.isEmpty()) {
      return best;
    }
    CommandRegion.Limit most = region.most();
    Comparator<Corner> bySize =
        Comparator.comparingDouble(corner -> most.of(corner.first, corner.second));
    Corner largest = possible.stream().max(bySize).orElseThrow();
    double bound = most.of(largest.first, largest.second) + slack(most, one, two);
    if (best != null && bound <= best.size() + FINE_PERCENT) {
      return best;
    }
    Found found = best;
    // Drawn in by the bends instead of let out: what is left is there for certain.
    for (Corner corner : possible(region, one, two, part, -1)) {
      found = better(region, corner, found);
    }
    for (Corner corner : possible) {
      found = better(region, corner, found);
    }
    if (one.error() + two.error() > FINE_PERCENT) {
      for (AxisBox half : halves(part, one.error() >= two.error() ? one : two)) {
        left.add(new Part(half, bound));
      }
    }
    return found;
  }

  /**
   * The corners of what may be in a region.
   *
   * @param let 1: let out by what bends can do; -1: drawn in by it
   */
  private static List<Corner> possible(
      CommandRegion region, LinearBound one, LinearBound two, AxisBox part, int let) {
    List<Corner> possible = corners(one, two, part);
    for (CommandRegion.Limit limit : region.limits()) {
      possible = beyond(possible, limit, let * slack(limit, one, two));
    }
    return possible;
  }

  private static double slack(CommandRegion.Limit limit, LinearBound one, LinearBound two) {
    return Math.abs(limit.one()) * one.error() + Math.abs(limit.other()) * two.error();
  }

  private Found better(CommandRegion region, Corner corner, Found best) {
    Moment at = moment(corner);
    double one = first.applyAsDouble(at);
    double two = second == first ? one : second.applyAsDouble(moved(at));
    double size = region.most().of(one, two);
    boolean larger = best == null || size > best.size();
    return larger && region.holds(one, two) ? new Found(at, size) : best;
  }

  private Moment moment(Corner corner) {
    Moment at = state;
    for (int axis = 0; axis < corner.at.length; axis++) {
      if (corner.at[axis] != AxisPlaces.of(at, axis)) {
        at = AxisPlaces.at(at, axis, corner.at[axis]);
      }
    }
    return at;
  }

  /** The same place after the change. */
  Moment moved(Moment at) {
    if (after == state) {
      return at;
    }
    Moment there = after;
    int axes = AxisPlaces.count(state);
    for (int axis = 0; axis < axes; axis++) {
      double place = axis == moved ? movedTo : AxisPlaces.of(at, axis);
      if (place != AxisPlaces.of(there, axis)) {
        there = AxisPlaces.at(there, axis, place);
      }
    }
    return there;
  }

  private static List<AxisBox> halves(AxisBox part, LinearBound bent) {
    int axis = bent.splitAxis();
    double[] to = part.to().clone();
    double[] from = part.from().clone();
    to[axis] = bent.splitAt();
    from[axis] = bent.splitAt();
    return List.of(new AxisBox(part.from(), to), new AxisBox(from, part.to()));
  }

  /** All corners of what both come to where all is straight, in order round. */
  private static List<Corner> corners(LinearBound one, LinearBound two, AxisBox part) {
    List<Integer> moving = new ArrayList<>();
    double[] at = part.from().clone();
    double beginFirst = one.base();
    double beginSecond = two.base();
    for (int axis = 0; axis < at.length; axis++) {
      double rise = two.rises()[axis];
      double along = one.rises()[axis];
      if (along != 0 || rise != 0) {
        moving.add(axis);
        // Every side leads up, or straight on: one that leads down is gone from its other end.
        if (rise < 0 || rise == 0 && along < 0) {
          at[axis] = part.to()[axis];
          beginFirst += along;
          beginSecond += rise;
        }
      }
    }
    moving.sort(Comparator.comparingDouble(axis -> angle(one.rises()[axis], two.rises()[axis])));
    List<Corner> corners = new ArrayList<>();
    Corner corner = new Corner(beginFirst, beginSecond, at);
    corners.add(corner);
    for (int round = 0; round < 2; round++) {
      for (int axis : moving) {
        double[] there = corner.at.clone();
        double side = there[axis] == part.from()[axis] ? 1 : -1;
        there[axis] = side > 0 ? part.to()[axis] : part.from()[axis];
        corner =
            new Corner(
                corner.first + side * one.rises()[axis],
                corner.second + side * two.rises()[axis],
                there);
        corners.add(corner);
      }
    }
    if (corners.size() > 1) {
      corners.remove(corners.size() - 1);
    }
    return corners;
  }

  /** The way a side leads, up or straight on, as an angle from 0 to less than half a turn. */
  private static double angle(double along, double rise) {
    boolean down = rise < 0 || rise == 0 && along < 0;
    return down ? Math.atan2(-rise, -along) : Math.atan2(rise, along);
  }

  /** What of a polygon lies beyond a limit less some slack. */
  private static List<Corner> beyond(
      List<Corner> corners, CommandRegion.Limit limit, double slack) {
    List<Corner> kept = new ArrayList<>();
    for (int i = 0; i < corners.size(); i++) {
      Corner here = corners.get(i);
      Corner next = corners.get((i + 1) % corners.size());
      double inside = limit.beyond(here.first, here.second) + slack;
      double then = limit.beyond(next.first, next.second) + slack;
      if (inside >= 0) {
        kept.add(here);
      }
      if (inside < 0 != then < 0 && inside != then) {
        kept.add(Corner.between(here, next, inside / (inside - then)));
      }
    }
    return kept;
  }
}
