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
  public Spans of(Moment state, Stretch stretch) {
    int phase = program.conditions().phase(state);
    Standing standing = program.standing(state, phase);
    AxisSpan[] parts =
        axes.stream().map(axis -> axis.of(standing, stretch)).toArray(AxisSpan[]::new);
    Spans spans =
        new Spans(state, phase, standing.acting(), parts, program.size(), program.surfaceCount());
    Run run = program.begun(state, standing, program.trims(state, phase));
    for (int target : program.order()) {
      sum(spans, target, run);
    }
    return spans;
  }

  private void sum(Spans spans, int target, Run run) {
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
    double least = Math.min(term.of(low), term.of(high));
    double most = Math.max(term.of(low), term.of(high));
    for (double kink : term.bends()) {
      if (kink > low && kink < high) {
        least = Math.min(least, term.of(kink));
        most = Math.max(most, term.of(kink));
      }
    }
    add(spans, target, least, most);
    spans.reached[target] = false;
  }

  private static void add(Spans spans, int target, double low, double high) {
    spans.low[target] += low;
    spans.high[target] += high;
  }
}
