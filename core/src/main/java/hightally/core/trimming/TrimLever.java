package hightally.core.trimming;

import java.util.Arrays;
import java.util.List;

/** What a trim test's outcome moves, with its first steps. */
public enum TrimLever {
  /** Plus is more down. */
  DOWN_THRUST(VoidingChange.THRUST, "degrees", 0.25, 10, 0.5, 1, 2),
  /** Plus is more to the right. */
  RIGHT_THRUST(VoidingChange.THRUST, "degrees", 0.25, 10, 0.5, 1, 2),
  /** Plus is aft. */
  BALANCE(VoidingChange.BALANCE, "percentMeanChord", 0.25, 15, 1, 2, 4),
  /** Plus is more weight in the right wing. */
  LATERAL(VoidingChange.ACROSS, "percentTotalMass", 0.05, 2, 0.1, 0.2, 0.4),
  /** Plus is less down. */
  DIFFERENTIAL(VoidingChange.DIFFERENTIAL, "percent", 1, 80, 5, 10, 20),
  /** Plus is up with rudder, whichever way. */
  RUDDER_TO_ELEVATOR(VoidingChange.RUDDER_TO_ELEVATOR, "percent", 0.5, 30, 2, 4, 8),
  /** Plus is with the rudder. */
  RUDDER_TO_AILERON(VoidingChange.RUDDER_TO_AILERON, "percent", 0.5, 30, 2, 4, 8),
  /** Plus is up, in the last tenth of the throttle. */
  LOW_THROTTLE_TO_ELEVATOR(VoidingChange.LOW_THROTTLE_TO_ELEVATOR, "percent", 0.5, 15, 1, 2, 4),
  /** Plus is up, at the setting that was flown. */
  BRAKE_TO_ELEVATOR(VoidingChange.BRAKE_TO_ELEVATOR, "percent", 1, 60, 5, 10, 20),
  /** Plus is into the turn. */
  AILERON_TO_RUDDER(VoidingChange.AILERON_TO_RUDDER, "percent", 1, 100, 10, 20, 40);

  private final VoidingChange moved;
  private final String unit;
  private final double resolution;
  private final double furthest;
  private final double[] steps;

  TrimLever(VoidingChange moved, String unit, double resolution, double furthest, double... steps) {
    this.moved = moved;
    this.unit = unit;
    this.resolution = resolution;
    this.furthest = furthest;
    this.steps = steps;
  }

  /** What has moved on the model once it is changed. */
  public VoidingChange moved() {
    return moved;
  }

  /** What a change of it is counted in. */
  public String unit() {
    return unit;
  }

  /** The finest change that makes sense at a bench or in a transmitter. */
  public double resolution() {
    return resolution;
  }

  /** How far either way it goes: beyond, something else is the cause. */
  public double furthest() {
    return furthest;
  }

  /** Whether it lies in the transmitter; if not, it is at the model. */
  public boolean inProgram() {
    return ordinal() >= DIFFERENTIAL.ordinal();
  }

  /** The first steps: slight, clear, strong. */
  public List<Double> steps() {
    return Arrays.stream(steps).boxed().toList();
  }

  /**
   * The first step.
   *
   * @param strength 1 slight, 2 clear, 3 strong
   */
  public double step(int strength) {
    return steps[strength - 1];
  }
}
