package hightally.core.trimming;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The trim tests, in the order in which they are flown. */
public enum TrimTest {
  /** Calm, height, half power, hands off, in every phase: the clicks are the outcome. */
  LEVEL_TRIM("levelTrim"),
  /** Level and trimmed, half to full, wait, then to low. */
  THROTTLE_CHANGE(
      "throttleChange",
      way(TrimOutcome.CLIMBS_AT_ONCE, TrimLever.DOWN_THRUST, 1),
      way(TrimOutcome.SINKS_AT_ONCE, TrimLever.DOWN_THRUST, -1),
      way(TrimOutcome.CLIMBS_WITH_SPEED, TrimLever.BALANCE, 1),
      way(TrimOutcome.SINKS_WITH_SPEED, TrimLever.BALANCE, -1)),
  /** 45° up, half roll, let go of pitch. */
  INVERTED_45(
      "inverted45",
      way(TrimOutcome.CLIMBS, TrimLever.BALANCE, -1),
      way(TrimOutcome.DROPS_FAST, TrimLever.BALANCE, 1)),
  /** At the speed of the phase push to 30 to 45°, hands off. */
  DIVE(
      "dive",
      way(TrimOutcome.PULLS_OUT, TrimLever.BALANCE, 1),
      way(TrimOutcome.TUCKS, TrimLever.BALANCE, -1)),
  /** Inverted, elevator only. */
  INVERTED_LEVEL(
      "invertedLevel",
      way(TrimOutcome.LEFT_RISES, TrimLever.LATERAL, -1),
      way(TrimOutcome.RIGHT_RISES, TrimLever.LATERAL, 1)),
  /** Full power, long vertical line. */
  VERTICAL_UP(
      "verticalUp",
      way(TrimOutcome.DRIFTS_LEFT, TrimLever.RIGHT_THRUST, 1),
      way(TrimOutcome.DRIFTS_RIGHT, TrimLever.RIGHT_THRUST, -1),
      way(TrimOutcome.TO_CANOPY, TrimLever.DOWN_THRUST, 1),
      way(TrimOutcome.TO_BELLY, TrimLever.DOWN_THRUST, -1)),
  /** 45° climb into wind, rolls one way, then the other. */
  ROLL_AXIS(
      "rollAxis",
      way(TrimOutcome.AWAY_FROM_THE_ROLL, TrimLever.DIFFERENTIAL, 1),
      way(TrimOutcome.TOWARDS_THE_ROLL, TrimLever.DIFFERENTIAL, -1)),
  /** Flat turn first, then knife edge on both sides. */
  KNIFE_EDGE(
      "knifeEdge",
      way(TrimOutcome.TO_BELLY, TrimLever.RUDDER_TO_ELEVATOR, 1),
      way(TrimOutcome.TO_CANOPY, TrimLever.RUDDER_TO_ELEVATOR, -1),
      way(TrimOutcome.ROLLS_WITH_RUDDER, TrimLever.RUDDER_TO_AILERON, -1),
      way(TrimOutcome.ROLLS_AGAINST_RUDDER, TrimLever.RUDDER_TO_AILERON, 1)),
  /** Idle, long vertical line. */
  VERTICAL_DOWN(
      "verticalDown",
      way(TrimOutcome.TO_CANOPY, TrimLever.LOW_THROTTLE_TO_ELEVATOR, -1),
      way(TrimOutcome.TO_BELLY, TrimLever.LOW_THROTTLE_TO_ELEVATOR, 1)),
  /** Brakes at a third, two thirds, all of it. */
  BRAKES(
      "brakes",
      way(TrimOutcome.NOSE_UP, TrimLever.BRAKE_TO_ELEVATOR, -1),
      way(TrimOutcome.NOSE_DOWN, TrimLever.BRAKE_TO_ELEVATOR, 1)),
  /** Steady turn both ways. */
  CIRCLING(
      "circling",
      way(TrimOutcome.NOSE_SWINGS_OUT, TrimLever.AILERON_TO_RUDDER, 1),
      way(TrimOutcome.NOSE_SWINGS_IN, TrimLever.AILERON_TO_RUDDER, -1),
      said(TrimOutcome.NEEDS_OPPOSITE_STICK)),
  /** Straight ahead, slower and slower. */
  STALL("stall", said(TrimOutcome.LEFT_WING_DROPS), said(TrimOutcome.RIGHT_WING_DROPS)),
  /** The full line, in the phase of the launch. */
  LAUNCH("launch", said(TrimOutcome.LAUNCH_STEEP), said(TrimOutcome.LAUNCH_FLAT)),
  /** A fast pass, in the phase for it. */
  SPEED("speed", said(TrimOutcome.CLIMBS_FAST), said(TrimOutcome.TUCKS_FAST)),
  /** What the model is for, flown on purpose. */
  FEEL("feel", said(TrimOutcome.DOES_NOT_FEEL_RIGHT));

  private final String id;
  private final List<TrimOutcome> seen = new ArrayList<>();
  private final Map<TrimOutcome, Way> ways = new EnumMap<>(TrimOutcome.class);

  /**
   * What an outcome asks for.
   *
   * @param lever null for an outcome that is named and not computed
   * @param sign which way the lever goes
   */
  public record Way(TrimOutcome outcome, TrimLever lever, int sign) {}

  TrimTest(String id, Way... all) {
    this.id = id;
    for (Way one : all) {
      seen.add(one.outcome());
      if (one.lever() != null) {
        ways.put(one.outcome(), one);
      }
    }
  }

  private static Way way(TrimOutcome outcome, TrimLever lever, int sign) {
    return new Way(outcome, lever, sign);
  }

  private static Way said(TrimOutcome outcome) {
    return new Way(outcome, null, 0);
  }

  /** Its name for programs. */
  public String id() {
    return id;
  }

  /** The test of a name. */
  public static Optional<TrimTest> named(String id) {
    for (TrimTest one : values()) {
      if (one.id.equals(id)) {
        return Optional.of(one);
      }
    }
    return Optional.empty();
  }

  /** Everything it can show besides being right, computed or only named, in the order asked. */
  public List<TrimOutcome> seen() {
    return List.copyOf(seen);
  }

  /** What it can move, each lever once, the one to be looked at first first. */
  public List<TrimLever> levers() {
    return seen.stream().flatMap(one -> way(one).stream()).map(Way::lever).distinct().toList();
  }

  /** Everything it can show that asks for a change that is computed. */
  public Set<TrimOutcome> outcomes() {
    return Set.copyOf(ways.keySet());
  }

  /** What an outcome asks for; none where this test cannot show it. */
  public Optional<Way> way(TrimOutcome outcome) {
    return Optional.ofNullable(ways.get(outcome));
  }
}
