package hightally.core.signal;

import hightally.core.quantity.Control;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** How far every command goes in one state, and where along each axis. */
public final class Spans {
  final AxisSpan[] parts;
  final double[] low;
  final double[] high;
  final boolean[] reached;
  final int phase;
  final long acting;
  private final Moment state;
  private final int surfaces;

  Spans(Moment state, int phase, long acting, AxisSpan[] parts, int targets, int surfaces) {
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

  /**
   * Where the sticks and levers are when a surface is at one of its ends; what does not move it
   * stays where it was.
   */
  public Moment end(int surface, boolean highest) {
    Moment at = state;
    for (int axis = 0; axis < parts.length; axis++) {
      AxisSpan part = parts[axis];
      if (part.high[surface] != part.low[surface]) {
        at = Axis.placed(at, axis, highest ? part.highAt[surface] : part.lowAt[surface]);
      }
    }
    return at;
  }

  /** A stretch with only those axes along which some surface moves; the others stay put. */
  public AxisBox moving(AxisBox stretch) {
    double[] to = stretch.to().clone();
    for (int axis = 0; axis < to.length; axis++) {
      to[axis] = parts[axis].moves(surfaces) ? to[axis] : stretch.from()[axis];
    }
    return new AxisBox(stretch.from(), to);
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
      if (asked && parts[axis].adds(surfaces)) {
        same.add(System.identityHashCode(parts[axis]));
      }
    }
    return same;
  }
}
