package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * A motor with its controller.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param channel of its controller; it carries the throttle
 * @param aftMm where its propeller turns, aft of the nose
 * @param rightMm likewise, right of the centre line
 * @param propellerDiameterMm 0 for a jet or a fan inside the fuselage
 * @param reverserChannel channel of a second wire to its controller, carrying a switch: beyond the
 *     centre of its pulse the motor turns backwards; {@link #NO_REVERSER} for none
 */
@Copyable
public record Motor(
    @Text(max = 40, pattern = Surface.ID_PATTERN) String id,
    @Text String name,
    @Within(min = 0, max = 64) int channel,
    @Within(min = -500, max = 6000, unit = Unit.MILLIMETRES) double aftMm,
    @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double rightMm,
    @Within(min = 0, max = 1000, unit = Unit.MILLIMETRES) double propellerDiameterMm,
    @Within(min = NO_REVERSER, max = 64) int reverserChannel) {
  /** A copy to change, part by part. */
  public MotorCopy change() {
    return MotorCopy.from(this);
  }

  /** No channel has this number. */
  public static final int NO_REVERSER = -1;

  /** A motor whose controller has no wire to turn it round. */
  public Motor(
      String id,
      String name,
      int channel,
      double aftMm,
      double rightMm,
      double propellerDiameterMm) {
    this(id, name, channel, aftMm, rightMm, propellerDiameterMm, NO_REVERSER);
  }

  /** Whether its controller has a second wire that turns it round. */
  public boolean hasReverser() {
    return reverserChannel != NO_REVERSER;
  }

  /** The same motor on another channel. */
  public Motor onChannel(int changed) {
    return change().channel(changed).done();
  }

  /** The same motor turned round by another channel. */
  public Motor reversedOn(int changed) {
    return change().reverserChannel(changed).done();
  }

  /** The same motor under another name. */
  public Motor named(String changed) {
    return change().name(changed).done();
  }
}
