package hightally.core.signal;

import hightally.core.quantity.Control;
import java.util.Arrays;

/**
 * A stretch of every axis.
 *
 * @param from lower ends: roll, pitch, yaw, throttle, then the inputs
 * @param to upper ends
 */
public record AxisBox(double[] from, double[] to) {
  /** All of every axis. */
  public static AxisBox whole(int inputs) {
    double[] from = new double[Control.values().length + 1 + inputs];
    double[] to = new double[from.length];
    Arrays.fill(from, 0, Control.values().length, -1);
    Arrays.fill(to, 1);
    return new AxisBox(from, to);
  }
}
