package hightally.core.trim;

/** What a trim test's outcome moves, with its first steps. */
public enum TrimLever {
  /** Plus is more down. */
  DOWN_THRUST("degrees", 0.5, 1, 2),
  /** Plus is more to the right. */
  RIGHT_THRUST("degrees", 0.5, 1, 2),
  /** Plus is aft. */
  BALANCE("percentMeanChord", 1, 2, 4),
  /** Plus is more weight in the right wing. */
  LATERAL("percentTotalMass", 0.1, 0.2, 0.4),
  /** Plus is less down. */
  DIFFERENTIAL("percent", 5, 10, 20),
  /** Plus is up with rudder, whichever way. */
  RUDDER_TO_ELEVATOR("percent", 2, 4, 8),
  /** Plus is with the rudder. */
  RUDDER_TO_AILERON("percent", 2, 4, 8),
  /** Plus is up, in the last tenth of the throttle. */
  LOW_THROTTLE_TO_ELEVATOR("percent", 1, 2, 4),
  /** Plus is up, at the setting that was flown. */
  BRAKE_TO_ELEVATOR("percent", 5, 10, 20),
  /** Plus is into the turn. */
  AILERON_TO_RUDDER("percent", 10, 20, 40);

  private final String unit;
  private final double[] steps;

  TrimLever(String unit, double... steps) {
    this.unit = unit;
    this.steps = steps;
  }

  /** What a change of it is counted in. */
  public String unit() {
    return unit;
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
