package hightally.core.trimming;

import hightally.core.program.PhaseRole;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The trim tests, in the order in which they are flown. A test says here all that others ask of it:
 * how it is flown, with which models, what voids it, what it can show and what that moves.
 */
public enum TrimTest {
  /** Calm, height, half power, hands off, in every phase: the clicks are the outcome. */
  LEVEL_TRIM(
      "levelTrim",
      new Flown(4, Height.HIGH, false),
      TestParts.phases(role -> role != PhaseRole.GROUND),
      Set.of(VoidingChange.BALANCE, VoidingChange.THRUST, VoidingChange.ACROSS)),
  /** Level and trimmed, half to full, wait, then to low. */
  THROTTLE_CHANGE(
      "throttleChange",
      new Flown(4, Height.HIGH, false),
      TestParts.once(TestParts::motor),
      Set.of(),
      way(TrimOutcome.CLIMBS_AT_ONCE, TrimLever.DOWN_THRUST, 1),
      way(TrimOutcome.SINKS_AT_ONCE, TrimLever.DOWN_THRUST, -1),
      way(TrimOutcome.CLIMBS_WITH_SPEED, TrimLever.BALANCE, 1),
      way(TrimOutcome.SINKS_WITH_SPEED, TrimLever.BALANCE, -1)),
  /** 45° up, half roll, let go of pitch. */
  INVERTED_45(
      "inverted45",
      new Flown(4, Height.HIGH, false),
      TestParts.once(TestParts::powered),
      Set.of(),
      way(TrimOutcome.CLIMBS, TrimLever.BALANCE, -1),
      way(TrimOutcome.DROPS_FAST, TrimLever.BALANCE, 1)),
  /** At the speed of the phase push to 30 to 45°, hands off. */
  DIVE(
      "dive",
      new Flown(3, Height.HIGH, false),
      TestParts.once(setup -> !TestParts.powered(setup)),
      Set.of(),
      way(TrimOutcome.PULLS_OUT, TrimLever.BALANCE, 1),
      way(TrimOutcome.TUCKS, TrimLever.BALANCE, -1)),
  /** Inverted, elevator only. */
  INVERTED_LEVEL(
      "invertedLevel",
      new Flown(3, Height.HIGH, false),
      TestParts.once(TestParts::rolls).where(setup -> !TestParts.glider(setup)),
      Set.of(),
      way(TrimOutcome.LEFT_RISES, TrimLever.LATERAL, -1),
      way(TrimOutcome.RIGHT_RISES, TrimLever.LATERAL, 1)),
  /** Full power, long vertical line. */
  VERTICAL_UP(
      "verticalUp",
      new Flown(3, Height.HIGH, false),
      TestParts.once(TestParts::powered).where(TestParts::motor),
      Set.of(),
      way(TrimOutcome.DRIFTS_LEFT, TrimLever.RIGHT_THRUST, 1),
      way(TrimOutcome.DRIFTS_RIGHT, TrimLever.RIGHT_THRUST, -1),
      way(TrimOutcome.TO_CANOPY, TrimLever.DOWN_THRUST, 1),
      way(TrimOutcome.TO_BELLY, TrimLever.DOWN_THRUST, -1)),
  /** 45° climb into wind, rolls one way, then the other. */
  ROLL_AXIS(
      "rollAxis",
      new Flown(4, Height.HIGH, true),
      TestParts.once(TestParts::rolls).where(setup -> !TestParts.glider(setup)),
      Set.of(VoidingChange.ACROSS),
      way(TrimOutcome.AWAY_FROM_THE_ROLL, TrimLever.DIFFERENTIAL, 1),
      way(TrimOutcome.TOWARDS_THE_ROLL, TrimLever.DIFFERENTIAL, -1)),
  /** Flat turn first, then knife edge on both sides. */
  KNIFE_EDGE(
      "knifeEdge",
      new Flown(4, Height.LOW, true),
      TestParts.once(TestParts::powered).where(TestParts::yaws),
      Set.of(VoidingChange.BALANCE, VoidingChange.THRUST, VoidingChange.DIFFERENTIAL),
      way(TrimOutcome.TO_BELLY, TrimLever.RUDDER_TO_ELEVATOR, 1),
      way(TrimOutcome.TO_CANOPY, TrimLever.RUDDER_TO_ELEVATOR, -1),
      way(TrimOutcome.ROLLS_WITH_RUDDER, TrimLever.RUDDER_TO_AILERON, -1),
      way(TrimOutcome.ROLLS_AGAINST_RUDDER, TrimLever.RUDDER_TO_AILERON, 1)),
  /** Idle, long vertical line. */
  VERTICAL_DOWN(
      "verticalDown",
      new Flown(3, Height.HIGH, false),
      TestParts.once(TestParts::powered).where(TestParts::motor),
      Set.of(VoidingChange.BALANCE, VoidingChange.THRUST, VoidingChange.RUDDER_TO_ELEVATOR),
      way(TrimOutcome.TO_CANOPY, TrimLever.LOW_THROTTLE_TO_ELEVATOR, -1),
      way(TrimOutcome.TO_BELLY, TrimLever.LOW_THROTTLE_TO_ELEVATOR, 1)),
  /** Brakes at a third, two thirds, all of it. */
  BRAKES(
      "brakes",
      new Flown(3, Height.HIGH, false),
      TestParts.brakes(),
      Set.of(VoidingChange.RUDDER_TO_ELEVATOR, VoidingChange.LOW_THROTTLE_TO_ELEVATOR),
      way(TrimOutcome.NOSE_UP, TrimLever.BRAKE_TO_ELEVATOR, -1),
      way(TrimOutcome.NOSE_DOWN, TrimLever.BRAKE_TO_ELEVATOR, 1)),
  /** Steady turn both ways. */
  CIRCLING(
      "circling",
      new Flown(3, Height.HIGH, true),
      TestParts.phases(role -> role == PhaseRole.THERMAL)
          .where(TestParts::glider)
          .where(TestParts::rolls)
          .where(TestParts::yaws),
      Set.of(),
      way(TrimOutcome.NOSE_SWINGS_OUT, TrimLever.AILERON_TO_RUDDER, 1),
      way(TrimOutcome.NOSE_SWINGS_IN, TrimLever.AILERON_TO_RUDDER, -1),
      said(TrimOutcome.NEEDS_OPPOSITE_STICK)),
  /** Straight ahead, slower and slower. */
  STALL(
      "stall",
      new Flown(3, Height.HIGH, false),
      TestParts.once(TestParts::glider),
      Set.of(),
      said(TrimOutcome.LEFT_WING_DROPS),
      said(TrimOutcome.RIGHT_WING_DROPS)),
  /** The full line, in the phase of the launch. */
  LAUNCH(
      "launch",
      new Flown(3, Height.LOW, false),
      TestParts.phases(role -> role == PhaseRole.LAUNCH),
      Set.of(),
      said(TrimOutcome.LAUNCH_STEEP),
      said(TrimOutcome.LAUNCH_FLAT)),
  /** A fast pass, in the phase for it. */
  SPEED(
      "speed",
      new Flown(3, Height.LOW, false),
      TestParts.phases(role -> role == PhaseRole.SPEED),
      Set.of(),
      said(TrimOutcome.CLIMBS_FAST),
      said(TrimOutcome.TUCKS_FAST)),
  /** What the model is for, flown on purpose. */
  FEEL(
      "feel",
      new Flown(2, Height.HIGH, false),
      TestParts.once(TestParts::any),
      Set.of(),
      said(TrimOutcome.DOES_NOT_FEEL_RIGHT));

  private final String id;
  private final Flown flown;
  private final TestParts parts;
  private final Set<VoidingChange> voidedBy = EnumSet.of(VoidingChange.SERVO, VoidingChange.REPAIR);
  private final List<TrimOutcome> seen = new ArrayList<>();
  private final Map<TrimOutcome, Way> ways = new EnumMap<>(TrimOutcome.class);
  private final List<TrimLever> levers;

  /**
   * What an outcome asks for.
   *
   * @param lever null for an outcome that is named and not computed
   * @param sign which way the lever goes
   */
  public record Way(TrimOutcome outcome, TrimLever lever, int sign) {}

  /**
   * How it is flown.
   *
   * @param steps how many there are; their words are {@code TestStep} in the catalogue
   * @param height where it ends
   * @param bothWays whether it is flown to the left and to the right
   */
  record Flown(int steps, Height height, boolean bothWays) {}

  /** Where a test ends. */
  enum Height {
    HIGH,
    /** Near the ground. */
    LOW
  }

  /**
   * Says all of a test.
   *
   * @param id its name for programs
   * @param parts which models it is flown with, and in which parts
   * @param also what voids it besides what its own outcomes move
   * @param all what it can show, in the order asked
   */
  TrimTest(String id, Flown flown, TestParts parts, Set<VoidingChange> also, Way... all) {
    this.id = id;
    this.flown = flown;
    this.parts = parts;
    also.forEach(this::voided);
    for (Way one : all) {
      seen.add(one.outcome());
      if (one.lever() != null) {
        ways.put(one.outcome(), one);
        voided(one.lever().moved());
      }
    }
    levers = seen.stream().flatMap(one -> way(one).stream()).map(Way::lever).distinct().toList();
  }

  private void voided(VoidingChange by) {
    voidedBy.add(by);
    voidedBy.addAll(comeWith(by));
  }

  /** Another pack may move the balance point, another propeller the thrust. */
  private static Set<VoidingChange> comeWith(VoidingChange one) {
    return switch (one) {
      case BALANCE -> Set.of(VoidingChange.PACK);
      case THRUST -> Set.of(VoidingChange.PROPELLER, VoidingChange.MOTOR);
      default -> Set.of();
    };
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

  /** How it is flown. */
  Flown flown() {
    return flown;
  }

  /** Which models it is flown with, and in which parts. */
  TestParts parts() {
    return parts;
  }

  /** What makes it to be flown again. */
  public Set<VoidingChange> voidedBy() {
    return Set.copyOf(voidedBy);
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
    return levers;
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
