package hightally.core.airframe;

import hightally.core.quantity.Control;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * How much of each control a surface takes; 1 is the whole, minus turns it round. An elevator has 1
 * of pitch; the left aileron -1 of roll; the left elevon ½ of pitch and -½ of roll; a flap -1 of
 * its lever.
 */
@Copyable
public record Shares(
    @Within(min = -2, max = 2) double roll,
    @Within(min = -2, max = 2) double pitch,
    @Within(min = -2, max = 2) double yaw,
    List<LeverShare> levers) {
  public Shares {
    levers = levers == null ? null : List.copyOf(levers);
  }

  /** A copy to change, part by part. */
  public SharesCopy change() {
    return SharesCopy.from(this);
  }

  /** The share of one control. */
  public double of(Control control) {
    return switch (control) {
      case ROLL -> roll;
      case PITCH -> pitch;
      case YAW -> yaw;
    };
  }

  /** The same shares with another of one control. */
  public Shares with(Control control, double changed) {
    return switch (control) {
      case ROLL -> change().roll(changed).done();
      case PITCH -> change().pitch(changed).done();
      case YAW -> change().yaw(changed).done();
    };
  }

  /** The shares of all controls, in their order. */
  public double[] ofControls() {
    return new double[] {roll, pitch, yaw};
  }
}
