package hightally.core.signal;

import hightally.core.mix.CurvePoint;
import hightally.core.mix.Mix;
import hightally.core.mix.MixFunction;
import hightally.core.mix.MixSource;
import hightally.core.phase.Trims;
import hightally.core.power.Power;
import hightally.core.quantity.Control;
import hightally.core.response.ResponseCurve;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.DoubleUnaryOperator;

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
  private static final int HALVINGS = 50;

  private final Program program;
  private final Setup setup;
  private final int targets;
  private final int axes;
  private final List<Map<Key, AxisSpan>> known = new ArrayList<>();
  private final long[] mixesOnAxis;
  private final boolean[] used;
  private final AxisSpan nothing;
  private final List<double[]> kinks = new ArrayList<>();

  /** What the parts along one axis depend on. */
  private record Key(int phase, int feel, long mixes, boolean held, double from, double to) {}

  /**
   * A stretch of every axis.
   *
   * @param from lower ends: roll, pitch, yaw, throttle, then the inputs
   * @param to upper ends
   */
  public record Stretch(double[] from, double[] to) {
    /** All of every axis. */
    public static Stretch whole(int inputs) {
      double[] from = new double[CONTROLS.length + 1 + inputs];
      double[] to = new double[from.length];
      Arrays.fill(from, 0, CONTROLS.length, -1);
      Arrays.fill(to, 1);
      return new Stretch(from, to);
    }
  }

  /** How far every command goes in one state, and where along each axis. */
  public static final class Spans {
    private final Moment state;
    private final AxisSpan[] parts;
    private final double[] low;
    private final double[] high;
    private final boolean[] reached;
    private final int phase;
    private final long acting;
    private final int surfaces;

    private Spans(
        Moment state, int phase, long acting, AxisSpan[] parts, int targets, int surfaces) {
      this.surfaces = surfaces;
      this.state = state;
      this.acting = acting;
      this.phase = phase;
      this.parts = parts;
      low = new double[targets];
      high = new double[targets];
      reached = new boolean[targets];
      Arrays.fill(reached, true);
    }

    /** The phase these are of. */
    public int phase() {
      return phase;
    }

    /** Lowest command of a surface, percent. */
    public double low(int surface) {
      return low[surface];
    }

    /** Highest command of a surface, percent. */
    public double high(int surface) {
      return high[surface];
    }

    /** Whether the ends are reached somewhere, and not only never passed. */
    public boolean reached(int surface) {
      return reached[surface];
    }

    /** Whether a control moves anything, percent of command. */
    public double moves(Control control) {
      AxisSpan part = parts[control.ordinal()];
      double most = 0;
      for (int i = 0; i < part.low.length; i++) {
        most = Math.max(most, part.high[i] - part.low[i]);
      }
      return most;
    }

    /** Where the sticks and levers are when a surface is at one of its ends. */
    public Moment end(int surface, boolean highest) {
      Moment at = state;
      for (int axis = 0; axis < parts.length; axis++) {
        AxisSpan part = parts[axis];
        double place = highest ? part.highAt[surface] : part.lowAt[surface];
        if (axis < CONTROLS.length) {
          at = at.with(CONTROLS[axis], place);
        } else if (axis == THROTTLE) {
          at = at.withThrottle(place, at.throttleCut());
        } else if (part.high[surface] != part.low[surface]) {
          at = at.withInput(axis - THROTTLE - 1, place);
        }
      }
      return at;
    }

    /** A stretch with only those axes along which some surface moves; the others stay put. */
    public Stretch moving(Stretch stretch) {
      double[] to = stretch.to().clone();
      for (int axis = 0; axis < to.length; axis++) {
        to[axis] = parts[axis].moves(surfaces) ? to[axis] : stretch.from()[axis];
      }
      return new Stretch(stretch.from(), to);
    }

    /** What all spans depend on; equal ones are equal everywhere. */
    public List<Object> parts() {
      List<Object> same = new ArrayList<>(List.of(phase, acting));
      for (AxisSpan part : parts) {
        same.add(System.identityHashCode(part));
      }
      return same;
    }

    /** What the spans along the axes other than roll and yaw depend on; equal ones move alike. */
    public List<Object> withoutRollAndYaw() {
      List<Object> same = new ArrayList<>(List.of(phase, acting));
      for (int axis = 0; axis < parts.length; axis++) {
        boolean asked = axis != Control.ROLL.ordinal() && axis != Control.YAW.ordinal();
        if (asked && parts[axis].moves(surfaces)) {
          same.add(System.identityHashCode(parts[axis]));
        }
      }
      return same;
    }
  }

  public CommandSpans(SignalPath path) {
    program = path.program();
    setup = path.setup();
    targets = program.size();
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
      kinks.add(
          MixFunction.asCurve(program.mixes[i]).stream().mapToDouble(CurvePoint::x).toArray());
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
      Key key =
          new Key(
              phase,
              feel,
              acting & mixesOnAxis[axis],
              held && axis == motorAxis(),
              stretch.from()[axis],
              stretch.to()[axis]);
      AxisSpan part = known.get(axis).get(key);
      if (part == null) {
        part = part(axis, key);
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
    for (double kink : kinks.get(mix)) {
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

  private AxisSpan part(int axis, Key key) {
    AxisSpan span = new AxisSpan(targets, Math.max(0, key.from()));
    double[] at = kinksOf(axis, key);
    for (int target = 0; target < targets; target++) {
      DoubleUnaryOperator part = function(axis, key, target);
      if (part != null) {
        span.find(target, part, at);
      }
    }
    return span;
  }

  /** The part of a target's command that depends on one axis; null where none does. */
  private DoubleUnaryOperator function(int axis, Key key, int target) {
    List<DoubleUnaryOperator> terms = new ArrayList<>();
    boolean surface = target < program.surfaceCount;
    if (axis < CONTROLS.length) {
      Control control = CONTROLS[axis];
      ResponseCurve feel = program.feel(control, key.feel());
      if (surface && program.share(target, control) != 0) {
        terms.add(
            control == Control.ROLL
                ? s -> program.rollPart(target, key.phase(), feel.value(s))
                : s -> PERCENT * program.share(target, control) * feel.value(s));
      }
    } else if (axis > THROTTLE && surface) {
      for (int lever = 0; lever < program.leverCount(target); lever++) {
        double share = program.leverShare(target, lever);
        if (program.leverInput(target, lever) == axis - THROTTLE - 1) {
          terms.add(x -> PERCENT * share * x);
        }
      }
    }
    if (!surface && axis == motorAxis()) {
      terms.add(x -> program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT));
    }
    for (int i = 0; i < program.mixes.length; i++) {
      double factor = factor(i, target);
      if ((key.mixes() & 1L << i) != 0 && factor != 0) {
        MixFunction function = program.functions[i];
        DoubleUnaryOperator source = source(axis, key, program.mixes[i].source());
        terms.add(x -> factor * function.value(source.applyAsDouble(x)));
      }
    }
    return terms.isEmpty()
        ? null
        : x -> {
          double sum = 0;
          for (DoubleUnaryOperator term : terms) {
            sum += term.applyAsDouble(x);
          }
          return sum;
        };
  }

  private double factor(int mix, int target) {
    double factor = 0;
    for (int t = 0; t < program.targets[mix].length; t++) {
      factor += program.targets[mix][t] == target ? program.factors[mix][t] : 0;
    }
    return factor;
  }

  private DoubleUnaryOperator source(int axis, Key key, MixSource source) {
    return switch (source) {
      case RESPONSE -> {
        ResponseCurve feel = program.feel(CONTROLS[axis], key.feel());
        yield s -> PERCENT * feel.value(s);
      }
      case THROTTLE -> x -> 2 * PERCENT * x - PERCENT;
      case POWER -> {
        Power power = setup.power();
        yield key.held()
            ? x -> 0
            : x ->
                PERCENT
                    * power.power(
                        program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT));
      }
      default -> x -> PERCENT * x;
    };
  }

  /** Every place where some part along an axis may bend, with the ends of the stretch. */
  private double[] kinksOf(int axis, Key key) {
    TreeSet<Double> found = new TreeSet<>(List.of(key.from(), key.to()));
    keep(found, 0, key);
    if (axis == motorAxis()) {
      for (CurvePoint point : program.throttlePoints(key.phase())) {
        keep(found, (point.x() + PERCENT) / (2 * PERCENT), key);
      }
      DoubleUnaryOperator curve =
          x -> program.throttleCurves[key.phase()].value(2 * PERCENT * x - PERCENT);
      for (double level : new double[] {-PERCENT, 0, PERCENT}) {
        crossings(found, key, curve, level);
      }
    }
    for (int i = 0; i < program.mixes.length; i++) {
      if ((key.mixes() & 1L << i) != 0) {
        for (double kink : kinks.get(i)) {
          bend(found, axis, key, program.mixes[i].source(), kink);
        }
      }
    }
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private void bend(TreeSet<Double> found, int axis, Key key, MixSource source, double kink) {
    switch (source) {
      case RESPONSE -> keep(found, where(source(axis, key, source), kink), key);
      case THROTTLE -> keep(found, (kink + PERCENT) / (2 * PERCENT), key);
      case POWER -> crossings(found, key, source(axis, key, source), kink);
      default -> keep(found, kink / PERCENT, key);
    }
  }

  private static void keep(TreeSet<Double> found, double at, Key key) {
    if (at > key.from() && at < key.to()) {
      found.add(at);
    }
  }

  /** Where a response, which never falls, comes to a value. */
  private static double where(DoubleUnaryOperator rising, double value) {
    double left = -1;
    double right = 1;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (left + right) / 2;
      if (rising.applyAsDouble(middle) < value) {
        left = middle;
      } else {
        right = middle;
      }
    }
    return (left + right) / 2;
  }

  /** Where what is straight between the kinks found so far comes to a value. */
  private static void crossings(
      TreeSet<Double> found, Key key, DoubleUnaryOperator straight, double value) {
    double[] ends = found.stream().mapToDouble(Double::doubleValue).toArray();
    for (int i = 1; i < ends.length; i++) {
      double first = straight.applyAsDouble(ends[i - 1]) - value;
      double last = straight.applyAsDouble(ends[i]) - value;
      if (first * last < 0) {
        keep(found, ends[i - 1] + (ends[i] - ends[i - 1]) * first / (first - last), key);
      }
    }
  }
}
