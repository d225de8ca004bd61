package hightally.core.airframe;

import hightally.core.linkage.ArmSeating;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * A servo: pulse to arm angle.
 *
 * <p>{@code seating} are its teeth and the arms of its horn; {@code armHolesMm} the holes there
 * are.
 *
 * <p>{@code arm = (pulse - centrePulse) · degreesPerMicrosecond · (pullsOnIncrease ? -1 : 1) +
 * armOffset}, clamped to ±maxAngle.
 */
@Copyable
public record Servo(
    @Text(max = 40, pattern = Surface.ID_PATTERN) String id,
    @Text String name,
    @Within(min = 0, max = 64) int channel,
    @Within(min = 0.01, max = 0.5, unit = Unit.DEGREES_PER_MICROSECOND)
        double degreesPerMicrosecond,
    @Within(min = 700, max = 2300, unit = Unit.MICROSECONDS) double centrePulseMicroseconds,
    @Within(min = 10, max = 180, unit = Unit.DEGREES) double maxAngleDegrees,
    boolean pullsOnIncrease,
    @Within(min = -60, max = 60, unit = Unit.DEGREES) double armOffsetDegrees,
    @Within(min = 0, max = 2000, unit = Unit.NEWTON_CENTIMETRES) double torqueNewtonCentimetres,
    ArmSeating seating,
    @Within(min = 1, max = 150, unit = Unit.MILLIMETRES) List<Double> armHolesMm,
    @Within(min = 0, max = 2000, unit = Unit.MILLIMETRES) double leadMm) {
  public Servo {
    armHolesMm = armHolesMm == null ? null : List.copyOf(armHolesMm);
  }

  /** A copy to change, part by part. */
  public ServoCopy change() {
    return ServoCopy.from(this);
  }

  /** Arm angle before the servo's own stops, degrees. */
  public double freeArmDegrees(double pulseMicroseconds) {
    return (pulseMicroseconds - centrePulseMicroseconds) * slope() + armOffsetDegrees;
  }

  /** Arm angle for a pulse, degrees. */
  public double armDegrees(double pulseMicroseconds) {
    double free = freeArmDegrees(pulseMicroseconds);
    return Math.max(-maxAngleDegrees, Math.min(maxAngleDegrees, free));
  }

  /** The pulse for an arm angle, µs, before the servo's own stops. */
  public double pulseFor(double armDegrees) {
    return (armDegrees - armOffsetDegrees) / slope() + centrePulseMicroseconds;
  }

  /** Degrees of arm per microsecond, sign included. */
  public double slope() {
    return pullsOnIncrease ? -degreesPerMicrosecond : degreesPerMicrosecond;
  }

  /** The same servo behind a reverser, which mirrors the pulse about {@code centre} µs. */
  public Servo mirrored(double centre) {
    return change()
        .centrePulseMicroseconds(2 * centre - centrePulseMicroseconds)
        .pullsOnIncrease(!pullsOnIncrease)
        .done();
  }

  /** The same servo turning the other way or not, its arm off square by another angle. */
  public Servo seated(boolean pulls, double offsetDegrees) {
    return change().pullsOnIncrease(pulls).armOffsetDegrees(offsetDegrees).done();
  }

  /** The same servo on another channel. */
  public Servo onChannel(int changed) {
    return change().channel(changed).done();
  }

  /** The same servo under another name. */
  public Servo named(String changed) {
    return change().name(changed).done();
  }
}
