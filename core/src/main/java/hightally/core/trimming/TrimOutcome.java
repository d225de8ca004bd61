package hightally.core.trimming;

import java.util.Optional;

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
  NOSE_SWINGS_IN,
  NEEDS_OPPOSITE_STICK,
  LEFT_WING_DROPS,
  RIGHT_WING_DROPS,
  LAUNCH_STEEP,
  LAUNCH_FLAT,
  CLIMBS_FAST,
  TUCKS_FAST,
  DOES_NOT_FEEL_RIGHT;

  /** What cannot be seen together with it the same way round; none where anything can. */
  public Optional<TrimOutcome> opposite() {
    return Optional.ofNullable(
        switch (this) {
          case CLIMBS_AT_ONCE -> SINKS_AT_ONCE;
          case SINKS_AT_ONCE -> CLIMBS_AT_ONCE;
          case CLIMBS_WITH_SPEED -> SINKS_WITH_SPEED;
          case SINKS_WITH_SPEED -> CLIMBS_WITH_SPEED;
          case CLIMBS -> DROPS_FAST;
          case DROPS_FAST -> CLIMBS;
          case PULLS_OUT -> TUCKS;
          case TUCKS -> PULLS_OUT;
          case LEFT_RISES -> RIGHT_RISES;
          case RIGHT_RISES -> LEFT_RISES;
          case DRIFTS_LEFT -> DRIFTS_RIGHT;
          case DRIFTS_RIGHT -> DRIFTS_LEFT;
          case TO_CANOPY -> TO_BELLY;
          case TO_BELLY -> TO_CANOPY;
          case TOWARDS_THE_ROLL -> AWAY_FROM_THE_ROLL;
          case AWAY_FROM_THE_ROLL -> TOWARDS_THE_ROLL;
          case ROLLS_WITH_RUDDER -> ROLLS_AGAINST_RUDDER;
          case ROLLS_AGAINST_RUDDER -> ROLLS_WITH_RUDDER;
          case NOSE_UP -> NOSE_DOWN;
          case NOSE_DOWN -> NOSE_UP;
          case NOSE_SWINGS_OUT -> NOSE_SWINGS_IN;
          case NOSE_SWINGS_IN -> NOSE_SWINGS_OUT;
          case LEFT_WING_DROPS -> RIGHT_WING_DROPS;
          case RIGHT_WING_DROPS -> LEFT_WING_DROPS;
          case LAUNCH_STEEP -> LAUNCH_FLAT;
          case LAUNCH_FLAT -> LAUNCH_STEEP;
          case CLIMBS_FAST -> TUCKS_FAST;
          case TUCKS_FAST -> CLIMBS_FAST;
          case NEEDS_OPPOSITE_STICK, DOES_NOT_FEEL_RIGHT -> null;
        });
  }
}
