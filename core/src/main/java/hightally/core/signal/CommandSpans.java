package hightally.core.signal;

import java.util.ArrayList;
import java.util.List;

/**
 * How far every command can go while the switches stand still: proven, not sampled.
 *
 * <p>In one state of phase, feel and mixes a command is a sum of {@link Term terms} that each
 * depend on one stick, lever or the throttle only; so its extremes are the sums of theirs. A term
 * from another surface's command adds the image of that command's whole span: a bound still, but
 * not always reached; such surfaces say so.
 *
 * <p>Not for more than one thread.
 */
public final class CommandSpans {
  private final Program program;
  private final List<AxisParts> axes = new ArrayList<>();

  public CommandSpans(SignalPath path) {
    program = path.program();
    int count = Axis.ofInput(path.setup().transmitter().inputs().size());
    for (int axis = 0; axis < count; axis++) {
      axes.add(new AxisParts(program, axis));
    }
  }

  /**
   * The spans in one state.
   *
   * @param state decides phase, feel and mixes; nothing may switch within the stretch
   */
  public Spans of(Moment state, AxisBox stretch) {
    int phase = program.conditions().phase(state);
    return of(program.standing(state, phase), state, stretch, 0);
  }

  /**
   * The spans of several states that differ in mixes alone.
   *
   * @param state decides phase and feel
   * @param acting the mixes that act in all of them, a bit each
   * @param open those that act in some of them
   */
  public Spans of(Moment state, AxisBox stretch, long acting, long open) {
    int phase = program.conditions().phase(state);
    Decisions one = program.standing(state, phase);
    return of(one.change().phase(phase).acting(acting).done(), state, stretch, open);
  }

  private Spans of(Decisions standing, Moment state, AxisBox stretch, long open) {
    int phase = standing.phase();
    AxisSpan[] parts =
        axes.stream().map(axis -> axis.of(standing, stretch)).toArray(AxisSpan[]::new);
    Spans spans =
        new Spans(state, phase, standing.acting(), parts, program.size(), program.surfaceCount());
    Evaluation run = program.begun(state, standing, program.trims(state, phase));
    for (int target : program.order()) {
      sum(spans, target, run);
      for (Term term : program.target(target).terms(phase)) {
        if (term.mix() >= 0 && (open & 1L << term.mix()) != 0) {
          maybe(spans, target, term, run, stretch);
        }
      }
    }
    return spans;
  }

  /** A term that is there or not. */
  private static void maybe(Spans spans, int target, Term term, Evaluation run, AxisBox stretch) {
    double[] ends = ends(spans, term, run, stretch);
    add(spans, target, Math.min(0, ends[0]), Math.max(0, ends[1]));
    spans.reached[target] = false;
  }

  /** The least and the most a term comes to over a stretch. */
  private static double[] ends(Spans spans, Term term, Evaluation run, AxisBox stretch) {
    int from = term.signal().command();
    int axis = term.signal().axis();
    if (from >= 0) {
      return ends(term, spans.low[from], spans.high[from]);
    }
    if (axis == Axis.NONE) {
      double always = term.of(run.value(term.signal()));
      return new double[] {always, always};
    }
    // Between two kinks it goes one way only.
    Kinks kinks = new Kinks(stretch.from()[axis], stretch.to()[axis]);
    term.kinks(run.standing(), kinks);
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (double place : kinks.sorted()) {
      double here = term.along(place, run.standing());
      least = Math.min(least, here);
      most = Math.max(most, here);
    }
    return new double[] {least, most};
  }

  /**
   * By how much the command of one surface can be more than that of another in several states that
   * differ in mixes alone, trims left out: what both have alike is no difference.
   *
   * @param spans of these states
   * @return the least and the most, percent
   */
  public double[] apart(
      Spans spans, Moment state, AxisBox stretch, long open, int surface, int other) {
    Decisions one = program.standing(state, spans.phase);
    Decisions standing = one.change().phase(spans.phase).acting(spans.acting | open).done();
    Evaluation run = program.begun(state, standing, program.trims(state, spans.phase));
    List<Term> left = new ArrayList<>(List.of(program.target(other).terms(spans.phase)));
    double least = 0;
    double most = 0;
    List<Term> differing = new ArrayList<>();
    for (Term term : program.target(surface).terms(spans.phase)) {
      Term alike = left.stream().filter(each -> sameSource(term, each)).findFirst().orElse(null);
      left.remove(alike);
      differing.add(alike == null ? term : term.times(term.factor() - alike.factor()));
    }
    left.forEach(term -> differing.add(term.times(-term.factor())));
    for (Term term : differing) {
      if (term.kind() != Contribution.TRIM && term.factor() != 0 && term.acts(standing)) {
        double[] ends = ends(spans, term, run, stretch);
        boolean sure = term.mix() < 0 || (open & 1L << term.mix()) == 0;
        least += sure ? ends[0] : Math.min(0, ends[0]);
        most += sure ? ends[1] : Math.max(0, ends[1]);
      }
    }
    return new double[] {least, most};
  }

  /**
   * The most that a mix adds to any of its targets, this way or that, where it acts, percent.
   *
   * @param state decides phase, feel and what holds the motors
   * @param acting the mixes that act, a bit each
   * @param open those that may
   */
  public double most(int mix, Moment state, AxisBox stretch, long acting, long open) {
    int phase = program.conditions().phase(state);
    Decisions standing = program.standing(state, phase);
    Spans spans = of(state, stretch, acting, open);
    Evaluation run = program.begun(state, standing, program.trims(state, phase));
    double most = 0;
    for (int target : program.order()) {
      for (Term term : program.target(target).terms(phase)) {
        if (term.mix() == mix) {
          double[] ends = ends(spans, term, run, stretch);
          most = Math.max(most, Math.max(Math.abs(ends[0]), Math.abs(ends[1])));
        }
      }
    }
    return most;
  }

  private static boolean sameSource(Term one, Term other) {
    return one.signal() == other.signal()
        && one.bend() == other.bend()
        && one.mix() == other.mix()
        && one.kind() == other.kind();
  }

  private void sum(Spans spans, int target, Evaluation run) {
    for (AxisSpan part : spans.parts) {
      spans.low[target] += part.low[target];
      spans.high[target] += part.high[target];
    }
    for (Term term : program.target(target).terms(spans.phase)) {
      if (term.signal().axis() == Axis.NONE && term.acts(run.standing())) {
        int from = term.signal().command();
        if (from < 0) {
          add(spans, target, term.value(run), term.value(run));
        } else {
          image(spans, target, term, spans.low[from], spans.high[from]);
        }
      }
    }
  }

  private static void image(Spans spans, int target, Term term, double low, double high) {
    double[] ends = ends(term, low, high);
    add(spans, target, ends[0], ends[1]);
    spans.reached[target] = false;
  }

  /** The least and the most a term comes to between two values of its signal. */
  private static double[] ends(Term term, double low, double high) {
    double least = Math.min(term.of(low), term.of(high));
    double most = Math.max(term.of(low), term.of(high));
    for (double kink : term.bends()) {
      if (kink > low && kink < high) {
        least = Math.min(least, term.of(kink));
        most = Math.max(most, term.of(kink));
      }
    }
    return new double[] {least, most};
  }

  private static void add(Spans spans, int target, double low, double high) {
    spans.low[target] += low;
    spans.high[target] += high;
  }
}
