package hightally.core.hazard;

import hightally.core.signal.AxisPlaces;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;

/**
 * Where in a stretch something is largest, found by trying: every combination of bends, as many as
 * is bearable, then closing in on the best of them axis by axis. What is straight between bends is
 * met exactly.
 */
final class MaximumSearch {
  private static final int MOST_TRIED = 3000;
  private static final int BEST = 6;
  private static final double WIDEST = 0.5;
  private static final double NARROWEST = 0.01;
  private static final double SHRINKS = 0.5;
  private static final int STEPS = 50;
  private static final int ROUNDS = 3;
  private static final int PARTS = 6;
  private static final int NARROWINGS = 5;

  private final List<Integer> axes = new ArrayList<>();
  private final List<double[]> places = new ArrayList<>();
  private long tried;

  /** A place and how large it is there. */
  record Found(Moment at, double size) {}

  /**
   * Over some axes; those that have but one place stay where they are.
   *
   * @param axes by number
   * @param places of each axis, ends and bends in order
   */
  MaximumSearch(List<Integer> axes, List<double[]> places) {
    for (int i = 0; i < axes.size(); i++) {
      if (places.get(i).length > 1) {
        this.axes.add(axes.get(i));
        this.places.add(places.get(i));
      }
    }
  }

  /** How many moments were tried. */
  long tried() {
    return tried;
  }

  /** The largest found; {@code enough} ends the search as soon as it is passed. */
  Found of(Moment base, ToDoubleFunction<Moment> size, double enough) {
    return of(base, size, enough, Double.NEGATIVE_INFINITY);
  }

  /** The same; where no combination of bends passes {@code hopeless}, that is all. */
  Found of(Moment base, ToDoubleFunction<Moment> size, double enough, double hopeless) {
    if (axes.isEmpty()) {
      return look(base, size);
    }
    List<Found> best = new ArrayList<>();
    for (Moment moment : begun(base)) {
      keep(best, look(moment, size));
      if (best.get(0).size() > enough) {
        return best.get(0);
      }
    }
    Found furthest = best.get(0);
    if (furthest.size() < hopeless) {
      return furthest;
    }
    for (Found one : best) {
      Found closer = closer(one, size, enough);
      furthest = closer.size() > furthest.size() ? closer : furthest;
      if (furthest.size() > enough) {
        break;
      }
    }
    if (furthest.size() <= 0 && axes.size() > 1 && enough > 0) {
      furthest = wander(furthest, size);
    }
    return furthest;
  }

  private Found look(Moment moment, ToDoubleFunction<Moment> size) {
    tried++;
    return new Found(moment, size.applyAsDouble(moment));
  }

  private void keep(List<Found> best, Found one) {
    best.add(one);
    best.sort(Comparator.comparingDouble((Found each) -> -each.size()));
    int most = axes.size() == 1 ? 1 : BEST;
    if (best.size() > most) {
      best.remove(most);
    }
  }

  /** Where going along one axis at a time gets no further: a step in several at once may. */
  private Found wander(Found begin, ToDoubleFunction<Moment> size) {
    Random random = new Random(2);
    Found best = begin;
    for (double reach = WIDEST; reach > NARROWEST; reach *= SHRINKS) {
      for (int i = 0; i < STEPS; i++) {
        Moment moment = best.at();
        for (int axis = 0; axis < axes.size(); axis++) {
          double[] of = places.get(axis);
          double last = of[of.length - 1];
          double step = reach * (last - of[0]) * (2 * random.nextDouble() - 1);
          double place = AxisPlaces.of(moment, axes.get(axis)) + step;
          moment = AxisPlaces.at(moment, axes.get(axis), Math.max(of[0], Math.min(last, place)));
        }
        Found here = look(moment, size);
        best = here.size() > best.size() ? here : best;
      }
    }
    return best;
  }

  /** All combinations, or as many at random where they are too many. */
  private List<Moment> begun(Moment base) {
    double combinations = places.stream().mapToDouble(one -> one.length).reduce(1, (a, b) -> a * b);
    List<Moment> moments = new ArrayList<>();
    if (combinations > MOST_TRIED) {
      Random random = new Random(1);
      for (int i = 0; i < MOST_TRIED; i++) {
        Moment moment = base;
        for (int axis = 0; axis < axes.size(); axis++) {
          double[] of = places.get(axis);
          moment = AxisPlaces.at(moment, axes.get(axis), of[random.nextInt(of.length)]);
        }
        moments.add(moment);
      }
      return moments;
    }
    moments.add(base);
    for (int axis = 0; axis < axes.size(); axis++) {
      List<Moment> more = new ArrayList<>();
      for (Moment moment : moments) {
        for (double place : places.get(axis)) {
          more.add(AxisPlaces.at(moment, axes.get(axis), place));
        }
      }
      moments = more;
    }
    return moments;
  }

  private Found closer(Found begin, ToDoubleFunction<Moment> size, double enough) {
    Found best = begin;
    for (int round = 0; round < ROUNDS; round++) {
      double before = best.size();
      for (int axis = 0; axis < axes.size() && best.size() <= enough; axis++) {
        best = along(best, axis, size);
      }
      if (best.size() <= before) {
        return best;
      }
    }
    return best;
  }

  private Found along(Found begin, int axis, ToDoubleFunction<Moment> size) {
    double[] of = places.get(axis);
    double from = of[0];
    double to = of[of.length - 1];
    Found best = begin;
    for (int i = 0; i < NARROWINGS && to > from; i++) {
      double at = from;
      for (int part = 0; part <= PARTS; part++) {
        double place = part == PARTS ? to : from + (to - from) * part / PARTS;
        Found here = look(AxisPlaces.at(begin.at(), axes.get(axis), place), size);
        if (here.size() > best.size()) {
          best = here;
          at = place;
        }
      }
      double half = (to - from) / PARTS;
      from = Math.max(of[0], at - half);
      to = Math.min(of[of.length - 1], at + half);
    }
    return best;
  }
}
