package hightally.core.trim;

/** What a trim test shows; the model's own left, right, canopy and belly. */
public enum TrimOutcome {
  CLIMBS_AT_ONCE,
  SINKS_AT_ONCE,
  CLIMBS_WITH_SPEED,
  SINKS_WITH_SPEED,
  CLIMBS,
  DROPS_FAST,
  PULLS_OUT,
  TUCKS,
  LEFT_RISES,
  RIGHT_RISES,
  DRIFTS_LEFT,
  DRIFTS_RIGHT,
  TO_CANOPY,
  TO_BELLY,
  TOWARDS_THE_ROLL,
  AWAY_FROM_THE_ROLL,
  ROLLS_WITH_RUDDER,
  ROLLS_AGAINST_RUDDER,
  NOSE_UP,
  NOSE_DOWN,
  NOSE_SWINGS_OUT,
  NOSE_SWINGS_IN
}
