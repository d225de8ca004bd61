package hightally.core.signal;

import hightally.core.mix.Mix;
import hightally.core.mix.MixFunction;
import hightally.core.mix.MixSource;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far every command can go while the switches stand still: proven, not sampled.
 *
 * <p>In one state of phase, feel and mixes a command is a sum of parts that each depend on one
 * stick, lever or the throttle only; so its extremes are the sums of theirs. What one part does
 * depends on little, so it is worked out once and looked up afterwards. A mix from another
 * surface's command adds the image of that command's whole span: a bound still, but not always
 * reached; such surfaces say so.
 *
 * <p>Not for more than one thread.
 */
public final class CommandSpans {
  private static final Control[] CONTROLS = Control.values();
  private static final int THROTTLE = CONTROLS.length;
  private static final double PERCENT = 100;

  private final Program program;
  private final Setup setup;
  private final int targets;
  private final int axes;
  private final List<Map<AxisParts.Key, AxisSpan>> known = new ArrayList<>();
  private final long[] mixesOnAxis;
  private final boolean[] used;
  private final AxisSpan nothing;
  private final AxisParts along;

  public CommandSpans(SignalPath path) {
    program = path.program();
    setup = path.setup();
    targets = program.size();
    along = new AxisParts(program, setup, motorAxis());
    axes = CONTROLS.length + 1 + setup.transmitter().inputs().size();
    mixesOnAxis = new long[axes];
    used = new boolean[axes];
    nothing = new AxisSpan(targets, 0);
    Arrays.fill(used, 0, CONTROLS.length, true);
    used[motorAxis()] |= targets > program.surfaceCount;
    for (int i = 0; i < program.surfaceCount; i++) {
      for (int lever = 0; lever < program.leverCount(i); lever++) {
        used[THROTTLE + 1 + program.leverInput(i, lever)] = true;
      }
    }
    for (int axis = 0; axis < axes; axis++) {
      known.add(new HashMap<>());
    }
    for (int i = 0; i < program.mixes.length; i++) {
      int axis = axis(program.mixes[i], i);
      if (axis >= 0) {
        mixesOnAxis[axis] |= 1L << i;
      }
    }
  }

  private int axis(Mix mix, int index) {
    return switch (mix.source()) {
      case STICK, RESPONSE -> Control.named(mix.subject()).ordinal();
      case INPUT -> THROTTLE + 1 + program.sourceInput[index];
      case THROTTLE -> THROTTLE;
      case POWER -> motorAxis();
      case SURFACE, CONSTANT -> -1;
    };
  }

  private int motorAxis() {
    return program.throttleInput < 0 ? THROTTLE : THROTTLE + 1 + program.throttleInput;
  }

  /**
   * The spans in one state.
   *
   * @param state decides phase, feel and mixes; nothing may switch within the stretch
   */
  public Spans of(Moment state, Stretch stretch) {
    int phase = program.conditions().phase(state);
    long acting = 0;
    for (int i = 0; i < program.mixes.length; i++) {
      acting |= program.acts(i, state, phase) ? 1L << i : 0;
    }
    boolean held = program.held(state, phase);
    AxisSpan[] parts = new AxisSpan[axes];
    for (int axis = 0; axis < axes; axis++) {
      int feel =
          axis < CONTROLS.length
              ? program.feelSet(CONTROLS[axis], state, phase)
              : Integer.MIN_VALUE;
      if (!used[axis] && (acting & mixesOnAxis[axis]) == 0) {
        parts[axis] = nothing;
        continue;
      }
      AxisParts.Key key =
          new AxisParts.Key(
              phase,
              feel,
              acting & mixesOnAxis[axis],
              held && axis == motorAxis(),
              stretch.from()[axis],
              stretch.to()[axis]);
      AxisSpan part = known.get(axis).get(key);
      if (part == null) {
        part = along.part(axis, key);
        known.get(axis).put(key, part);
      }
      parts[axis] = part;
    }
    Spans spans = new Spans(state, phase, acting, parts, targets, program.surfaceCount);
    sum(spans, state);
    return spans;
  }

  private void sum(Spans spans, Moment state) {
    Trims trims = program.trims(state, spans.phase);
    double click = setup.transmitter().clickStepPercent();
    for (int i = 0; i < targets; i++) {
      double fixed = 0;
      if (i < program.surfaceCount) {
        fixed = program.preset(i, spans.phase);
        for (Control control : CONTROLS) {
          fixed += click * program.share(i, control) * trims.of(control);
        }
      }
      spans.low[i] = fixed;
      spans.high[i] = fixed;
      for (AxisSpan part : spans.parts) {
        spans.low[i] += part.low[i];
        spans.high[i] += part.high[i];
      }
    }
    for (int i = 0; i < program.mixes.length; i++) {
      MixSource source = program.mixes[i].source();
      boolean acts = (spans.acting & 1L << i) != 0;
      if (acts && source == MixSource.CONSTANT) {
        double value = program.functions[i].value(PERCENT);
        add(spans, i, value, value, true);
      } else if (acts && source == MixSource.SURFACE) {
        image(spans, i);
      }
    }
  }

  /** Mixes from surfaces come after all that flows into those, as {@link MixOrder} has them. */
  private void image(Spans spans, int mix) {
    int from = program.sourceSurface[mix];
    MixFunction function = program.functions[mix];
    double low = Math.min(function.value(spans.low[from]), function.value(spans.high[from]));
    double high = Math.max(function.value(spans.low[from]), function.value(spans.high[from]));
    for (double kink : along.kinks(mix)) {
      if (kink > spans.low[from] && kink < spans.high[from]) {
        low = Math.min(low, function.value(kink));
        high = Math.max(high, function.value(kink));
      }
    }
    add(spans, mix, low, high, false);
  }

  private void add(Spans spans, int mix, double low, double high, boolean reached) {
    for (int t = 0; t < program.targets[mix].length; t++) {
      int target = program.targets[mix][t];
      double factor = program.factors[mix][t];
      spans.low[target] += Math.min(factor * low, factor * high);
      spans.high[target] += Math.max(factor * low, factor * high);
      spans.reached[target] &= reached || factor == 0;
    }
  }
}
