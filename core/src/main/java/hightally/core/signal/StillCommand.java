package hightally.core.signal;

import hightally.core.program.Trims;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The command of one surface or motor while nothing switches: what has been decided at a moment
 * stays decided, wherever sticks and levers go from there.
 *
 * <p>Along one axis what it is made of is straight between kinks, or has a curvature of one sign;
 * what another surface's command adds is straight between the kinks of its mix. So over any box of
 * axes it lies within a known error of straight lines, and the error vanishes as boxes get smaller,
 * at once where all is straight.
 */
public final class StillCommand implements ToDoubleFunction<Moment> {
  private static final double NOTHING = 1e-9;

  private final Program program;
  private final Decisions standing;
  private final Trims trims;
  private final int target;
  private final int[] needed;
  private Part[][] parts;

  /** What one axis adds to one command. */
  private final class Part {
    private final int axis;
    private final List<Term> terms = new ArrayList<>();
    private double[] kinks;

    Part(int axis) {
      this.axis = axis;
    }

    double at(double place) {
      double sum = 0;
      for (Term term : terms) {
        sum += standing.weight(term.mix()) * term.along(place, standing);
      }
      return sum;
    }

    double[] kinks() {
      if (kinks == null) {
        Kinks found = new Kinks(Axis.isStick(axis) ? -1 : 0, 1);
        terms.forEach(term -> term.kinks(standing, found));
        kinks = found.sorted();
      }
      return kinks;
    }
  }

  StillCommand(Program program, int target, int[] needed, Decisions standing, Trims trims) {
    this.program = program;
    this.target = target;
    this.needed = needed;
    this.standing = standing;
    this.trims = trims;
  }

  @Override
  public double applyAsDouble(Moment moment) {
    Evaluation run = program.begun(moment, standing, trims);
    for (int i : needed) {
      run.put(i, program.finished(i, run));
    }
    return run.command(target);
  }

  /**
   * The command over a box, before a motor's is cut off at full power.
   *
   * @param state where all else stands
   */
  public LinearBound over(Moment state, AxisBox box) {
    Evaluation run = program.begun(state, standing, trims);
    Sum[] sums = new Sum[program.size()];
    for (int i : needed) {
      sums[i] = new Sum(box);
      for (Part part : parts()[i]) {
        sums[i].add(part);
      }
      for (Term term : program.target(i).terms(standing.phase())) {
        if (term.signal().axis() == Axis.NONE && term.acts(standing)) {
          int from = term.signal().command();
          if (from < 0) {
            sums[i].base += term.value(run);
          } else {
            sums[i].add(term, standing.weight(term.mix()), sums[from]);
          }
        }
      }
    }
    return sums[target].done();
  }

  /** The ends of a stretch of an axis, and the places within it where the command may bend. */
  public double[] bends(int axis, double from, double to) {
    Kinks found = new Kinks(from, to);
    for (int i : needed) {
      for (Part part : parts()[i]) {
        if (part.axis == axis) {
          Arrays.stream(part.kinks()).forEach(found::add);
        }
      }
    }
    return found.sorted();
  }

  private Part[][] parts() {
    if (parts == null) {
      parts = new Part[program.size()][];
      for (int i : needed) {
        List<Part> found = new ArrayList<>();
        for (Term term : program.target(i).terms(standing.phase())) {
          int axis = term.signal().axis();
          if (axis != Axis.NONE && term.acts(standing)) {
            Part on = found.stream().filter(one -> one.axis == axis).findFirst().orElse(null);
            if (on == null) {
              on = new Part(axis);
              found.add(on);
            }
            on.terms.add(term);
          }
        }
        parts[i] = found.toArray(Part[]::new);
      }
    }
    return parts;
  }

  /** One command over a box, as far as it is summed up. */
  private static final class Sum {
    private final AxisBox box;
    private final double[] rises;
    private double base;
    private double error;
    private double worst;
    private int splitAxis = -1;
    private double splitAt;

    Sum(AxisBox box) {
      this.box = box;
      rises = new double[box.from().length];
    }

    /** How far something is from its chord, and where furthest. */
    private static final class Bow {
      private double least;
      private double most;
      private double size;
      private double at;

      void take(double off, double place) {
        least = Math.min(least, off);
        most = Math.max(most, off);
        if (Math.abs(off) > size) {
          size = Math.abs(off);
          at = place;
        }
      }

      double error() {
        return (most - least) / 2;
      }

      double middle() {
        return (most + least) / 2;
      }
    }

    void add(Part part) {
      double from = box.from()[part.axis];
      double to = box.to()[part.axis];
      double first = part.at(from);
      if (from == to) {
        base += first;
        return;
      }
      double slope = (part.at(to) - first) / (to - from);
      Bow bow = new Bow();
      double left = from;
      double offLeft = 0;
      for (double kink : part.kinks()) {
        if (kink > from && kink < to) {
          double off = part.at(kink) - first - slope * (kink - from);
          bow.take(off, kink);
          curved(part, left, kink, offLeft, off, first - slope * from, slope, bow);
          left = kink;
          offLeft = off;
        }
      }
      curved(part, left, to, offLeft, 0, first - slope * from, slope, bow);
      base += first + bow.middle();
      rises[part.axis] += slope * (to - from);
      grow(bow.error(), part.axis, bow.at);
    }

    /** What bends one way only is nowhere further from its chord than twice as far as midway. */
    private static void curved(
        Part part,
        double from,
        double to,
        double offFrom,
        double offTo,
        double atZero,
        double slope,
        Bow bow) {
      double middle = (from + to) / 2;
      double off = part.at(middle) - atZero - slope * middle;
      double more = off - (offFrom + offTo) / 2;
      if (Math.abs(more) > NOTHING) {
        double end = more > 0 ? Math.max(offFrom, offTo) : Math.min(offFrom, offTo);
        bow.take(end + 2 * more, middle);
      }
    }

    void add(Term term, double weight, Sum source) {
      LinearBound from = source.done();
      double low = from.low();
      double high = from.high();
      double first = weight * term.of(low);
      double slope = high > low ? (weight * term.of(high) - first) / (high - low) : 0;
      Bow bow = new Bow();
      for (double kink : term.bends()) {
        if (kink > low && kink < high) {
          bow.take(weight * term.of(kink) - first - slope * (kink - low), kink);
        }
      }
      base += first + slope * (from.base() - low) + bow.middle();
      int longest = -1;
      for (int axis = 0; axis < rises.length; axis++) {
        rises[axis] += slope * from.rises()[axis];
        boolean longer =
            longest < 0 || Math.abs(from.rises()[axis]) > Math.abs(from.rises()[longest]);
        longest = longer ? axis : longest;
      }
      boolean bent = from.error() >= Math.abs(from.rises()[longest]);
      int axis = bent ? from.splitAxis() : longest;
      double middle = (box.from()[longest] + box.to()[longest]) / 2;
      grow(bow.error(), axis, bent ? from.splitAt() : middle);
      grow(Math.abs(slope) * from.error(), from.splitAxis(), from.splitAt());
    }

    private void grow(double by, int axis, double at) {
      error += by;
      if (by > worst) {
        worst = by;
        splitAxis = axis;
        splitAt = at;
      }
    }

    LinearBound done() {
      return new LinearBound(base, rises, error, splitAxis, splitAt);
    }
  }
}
