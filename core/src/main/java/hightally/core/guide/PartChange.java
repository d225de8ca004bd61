package hightally.core.guide;

import hightally.core.quantity.Control;
import hightally.core.quantity.Text;
import java.util.ArrayList;
import java.util.List;

/**
 * Something on the model that was replaced or altered.
 *
 * @param kind what
 * @param subject the part, in words or by its id
 * @param note why, which one
 */
public record PartChange(
    PartKind kind,
    @Text(label = "Which", max = 80) String subject,
    @Text(label = "Note", min = 0, max = 300) String note) {

  /** What can change. */
  public enum PartKind {
    SERVO,
    ARM,
    ROD,
    RECEIVER,
    TRANSMITTER,
    PROPELLER,
    MOTOR,
    PACK,
    STABILISER,
    REPAIR
  }

  /**
   * A check, measurement or finding that no longer holds, and why.
   *
   * @param trimsOf controls whose settled trims are void; mostly none
   */
  public record Voided(String what, String why, List<Control> trimsOf) {
    Voided(String what, String why) {
      this(what, why, List.of());
    }
  }

  private static final Voided DIRECTIONS =
      new Voided("All directions, from behind", "wiring and polarity may have changed");
  private static final Voided THROWS =
      new Voided("Travel up and down with the ruler", "the geometry is another");
  private static final Voided CENTRE =
      new Voided(
          "Seat of the arm and level surface", "teeth and centre differ from one to the next");
  private static final Voided ONCE =
      new Voided("What ten clicks and a turn move", "they were measured on the old linkage");
  private static final Voided FAILSAFE =
      new Voided("Failsafe, proven with the motor held safe", "it is stored in the receiver");
  private static final Voided RANGE =
      new Voided("Range check, motor off and running", "antennas and interference are new");
  private static final Voided CG = new Voided("Balance point with every pack", "masses have moved");
  private static final Voided PITCH_TRIM =
      new Voided(
          "Settled pitch trim", "it belonged to the old balance point", List.of(Control.PITCH));
  private static final Voided YAW_TRIM =
      new Voided(
          "Settled yaw trim and side thrust",
          "torque and slipstream have changed",
          List.of(Control.YAW));
  private static final Voided POWER_PITCH =
      new Voided("Thrust line tests: pitch with throttle", "another thrust at the same stick");
  private static final Voided MAP =
      new Voided("Channel map and socket outputs", "sockets and protocols differ");
  private static final Voided TIMER =
      new Voided("Flight timer", "the pack empties at another rate");
  private static final Voided TRIMS =
      new Voided("Settled trims of all controls", "neutral has moved", List.of(Control.values()));
  private static final Voided LATERAL =
      new Voided("Lateral balance", "one side may be heavier now");

  /** What must be done again. */
  public List<Voided> voids() {
    List<Voided> list = new ArrayList<>();
    switch (kind) {
      case SERVO -> list.addAll(List.of(CENTRE, DIRECTIONS, THROWS, ONCE, TRIMS));
      case ARM -> list.addAll(List.of(CENTRE, THROWS, ONCE, TRIMS));
      case ROD -> list.addAll(List.of(CENTRE, THROWS, ONCE));
      case RECEIVER -> list.addAll(List.of(MAP, DIRECTIONS, FAILSAFE, RANGE));
      case TRANSMITTER -> list.addAll(List.of(MAP, DIRECTIONS, THROWS, FAILSAFE, RANGE, TRIMS));
      case PROPELLER -> list.addAll(List.of(YAW_TRIM, POWER_PITCH, TIMER));
      case MOTOR -> list.addAll(List.of(CG, YAW_TRIM, POWER_PITCH, TIMER, FAILSAFE));
      case PACK -> list.addAll(List.of(CG, PITCH_TRIM, TIMER));
      case STABILISER -> list.addAll(List.of(DIRECTIONS, THROWS, RANGE, TRIMS));
      case REPAIR -> list.addAll(List.of(DIRECTIONS, THROWS, CG, LATERAL, TRIMS));
    }
    return List.copyOf(list);
  }
}
