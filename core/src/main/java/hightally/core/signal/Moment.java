package hightally.core.signal;

import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Within;
import java.util.ArrayList;
import java.util.List;

/**
 * What the pilot's hands do at one moment.
 *
 * @param roll plus is right wing down
 * @param pitch plus is nose up, up elevator
 * @param yaw plus is nose right
 * @param throttle 0 closed, 1 full
 * @param throttleCut whether the cut holds the motor
 * @param trims clicks in the transmitter
 * @param inputs levers and switches in the transmitter's order, 0 at rest to 1 at the far end;
 *     those that are missing are at rest
 * @param readings what is measured and counted
 */
@Copyable
public record Moment(
    @Within(min = -1, max = 1) double roll,
    @Within(min = -1, max = 1) double pitch,
    @Within(min = -1, max = 1) double yaw,
    @Within(min = 0, max = 1) double throttle,
    boolean throttleCut,
    Trims trims,
    @Within(min = 0, max = 1) List<Double> inputs,
    Readings readings) {
  public Moment {
    inputs = inputs == null ? null : List.copyOf(inputs);
  }

  /** A copy to change, part by part. */
  public MomentCopy change() {
    return MomentCopy.from(this);
  }

  /** Sticks centred, throttle closed and cut. */
  public static Moment centred(Trims trims) {
    return new Moment(0, 0, 0, 0, true, trims, List.of(), Readings.NORMAL);
  }

  /** This moment with other trims in the transmitter. */
  public Moment withTrims(Trims changed) {
    return change().trims(changed).done();
  }

  /** This moment with other readings. */
  public Moment with(Readings changed) {
    return change().readings(changed).done();
  }

  /** This moment with the throttle elsewhere and the cut on or off. */
  public Moment withThrottle(double value, boolean cut) {
    return change().throttle(value).throttleCut(cut).done();
  }

  /** This moment with one stick moved. */
  public Moment with(Control control, double value) {
    return switch (control) {
      case ROLL -> change().roll(value).done();
      case PITCH -> change().pitch(value).done();
      case YAW -> change().yaw(value).done();
    };
  }

  /** This moment with one lever or switch moved. */
  public Moment withInput(int index, double value) {
    List<Double> moved = new ArrayList<>(inputs);
    while (moved.size() <= index) {
      moved.add(0.0);
    }
    moved.set(index, value);
    return change().inputs(moved).done();
  }

  /** Position of a lever or switch, 0 to 1. */
  public double input(int index) {
    return index < inputs.size() ? inputs.get(index) : 0;
  }

  /** Position of one stick. */
  public double of(Control control) {
    return switch (control) {
      case ROLL -> roll;
      case PITCH -> pitch;
      case YAW -> yaw;
    };
  }
}
