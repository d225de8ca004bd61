package hightally.core.airframe;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import java.util.List;

/**
 * Something on the model that was replaced or altered.
 *
 * @param kind what
 * @param subject the part, in words or by its id
 * @param note why, which one
 */
public record PartChange(
    PartKind kind, @Text(max = 80) String subject, @Text(min = 0, max = 300) String note) {

  /** What can change. */
  public enum PartKind {
    SERVO,
    ARM,
    ROD,
    HORN,
    LEAD,
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
  public record Voided(Said what, Said why, List<Control> trimsOf) {
    Voided(Said what, Said why) {
      this(what, why, List.of());
    }
  }

  private static final Voided DIRECTIONS =
      new Voided(Said.of("guide.allDirections"), Said.of("guide.polarityChanged"));
  private static final Voided THROWS =
      new Voided(Said.of("guide.travelMeasured"), Said.of("guide.geometryAnother"));
  private static final Voided CENTRE =
      new Voided(Said.of("guide.armAndLevel"), Said.of("guide.splinesDiffer"));
  private static final Voided ONCE =
      new Voided(Said.of("guide.clicksAndTurn"), Said.of("guide.oldLinkage"));
  private static final Voided FAILSAFE =
      new Voided(Said.of("guide.failsafeTested"), Said.of("guide.storedReceiver"));
  private static final Voided RANGE =
      new Voided(Said.of("guide.rangeCheck"), Said.of("guide.antennasInterferenceNew"));
  private static final Voided CG =
      new Voided(Said.of("guide.balanceEveryPack"), Said.of("guide.massesMoved"));
  private static final Voided PITCH_TRIM =
      new Voided(
          Said.of("guide.settledPitchTrim"), Said.of("guide.oldBalance"), List.of(Control.PITCH));
  private static final Voided YAW_TRIM =
      new Voided(
          Said.of("guide.settledYaw"),
          Said.of("guide.torqueSlipstreamChanged"),
          List.of(Control.YAW));
  private static final Voided POWER_PITCH =
      new Voided(Said.of("guide.thrustTests"), Said.of("guide.thrustDiffers"));
  private static final Voided MAP =
      new Voided(Said.of("guide.mapAndSockets"), Said.of("guide.socketsProtocolsDiffer"));
  private static final Voided TIMER =
      new Voided(Said.of("guide.flightTimer"), Said.of("guide.packRate"));
  private static final Voided TRIMS =
      new Voided(
          Said.of("guide.settledTrims"), Said.of("guide.neutralMoved"), List.of(Control.values()));
  private static final Voided LATERAL =
      new Voided(Said.of("guide.lateralBalance"), Said.of("guide.heavierSide"));

  /** Whether it made a linkage another one. */
  public boolean ofLinkage() {
    return kind == PartKind.SERVO
        || kind == PartKind.ARM
        || kind == PartKind.ROD
        || kind == PartKind.HORN;
  }

  /** Whether surfaces may move another way than they were seen to. */
  public boolean asksWays() {
    return voids().contains(DIRECTIONS);
  }

  /** What must be done again. */
  public List<Voided> voids() {
    return switch (kind) {
      case SERVO -> List.of(CENTRE, DIRECTIONS, THROWS, ONCE, TRIMS);
      case ARM -> List.of(CENTRE, THROWS, ONCE, TRIMS);
      case ROD -> List.of(CENTRE, THROWS, ONCE, TRIMS);
      case HORN -> List.of(CENTRE, DIRECTIONS, THROWS, ONCE, TRIMS);
      case LEAD -> List.of(MAP, DIRECTIONS);
      case RECEIVER -> List.of(MAP, DIRECTIONS, FAILSAFE, RANGE);
      case TRANSMITTER -> List.of(MAP, DIRECTIONS, THROWS, FAILSAFE, RANGE, TRIMS);
      case PROPELLER -> List.of(YAW_TRIM, POWER_PITCH, TIMER);
      case MOTOR -> List.of(CG, YAW_TRIM, POWER_PITCH, TIMER, FAILSAFE);
      case PACK -> List.of(CG, PITCH_TRIM, TIMER);
      case STABILISER -> List.of(DIRECTIONS, THROWS, RANGE, TRIMS);
      case REPAIR -> List.of(DIRECTIONS, THROWS, CG, LATERAL, TRIMS);
    };
  }
}
