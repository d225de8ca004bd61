package hightally.core.signal;

import hightally.core.linkage.UsableRange;
import hightally.core.quantity.Control;
import java.util.List;

/**
 * What a pilot wants to know of one surface without moving a stick.
 *
 * @param surface its id
 * @param controls one entry for every control it takes a share of
 * @param armRange usable range of its linkage, degrees of what drives it
 * @param gainAtCentre degrees of surface per degree of driver, sign included
 * @param torqueNewtonCentimetres of the servo, at the surface, at centre
 * @param mmPerTurn trailing edge per turn of the rod made longer; for a sliding stopper, per mm
 * @param slopMm what a tenth of a millimetre of slop in the rod means at the trailing edge
 * @param mmPerMicrosecond the smallest step: trailing edge per microsecond of pulse
 * @param highIsPlus whether the transmitter's high side of the channel, the one its high endpoint
 *     limits, is the one that brings it up or right
 * @param sweep travel over the driver's angle, as far as the servo goes and the rod is usable
 */
public record SurfaceSheet(
    String surface,
    List<ControlThrow> controls,
    UsableRange armRange,
    double gainAtCentre,
    double torqueNewtonCentimetres,
    double mmPerTurn,
    double slopMm,
    double mmPerMicrosecond,
    boolean highIsPlus,
    List<SweepPoint> sweep) {

  /** One point of the sweep. */
  public record SweepPoint(double driverDegrees, double mm) {}

  /**
   * Travel from one control alone.
   *
   * @param plusMm at full plus stick, from the trimmed centre
   * @param minusMm at full minus stick
   * @param mmPerClick of one trim click from the centre
   * @param curve mm over the stick from -1 to +1 in equal steps
   */
  public record ControlThrow(
      Control control, double plusMm, double minusMm, double mmPerClick, List<Double> curve) {}
}
