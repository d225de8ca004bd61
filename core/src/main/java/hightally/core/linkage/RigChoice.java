package hightally.core.linkage;

import hightally.core.quantity.Copyable;

/**
 * One way to get the wanted throws, and what it costs.
 *
 * @param linkage the holes, the seating as the arm's lean, and the side of the rod
 * @param plusEndpointPercent endpoint that gives the wanted travel up (or right)
 * @param minusEndpointPercent the same down
 * @param torqueNewtonCentimetres at the surface, at centre
 * @param mmPerMicrosecond resolution: trailing edge per microsecond, at centre
 * @param slopMm trailing edge for a tenth of a millimetre in the rod, at centre
 * @param marginDegrees from either end of the travel to dead centre or a lock
 * @param cost what it is ranked by; see {@link HoleSearch}
 */
@Copyable
public record RigChoice(
    Linkage linkage,
    double plusEndpointPercent,
    double minusEndpointPercent,
    double torqueNewtonCentimetres,
    double mmPerMicrosecond,
    double slopMm,
    double marginDegrees,
    double cost) {
  /** A copy to change, part by part. */
  public RigChoiceCopy change() {
    return RigChoiceCopy.from(this);
  }

  /** The same choice with other endpoints. */
  public RigChoice withEndpoints(double plusPercent, double minusPercent) {
    return change().plusEndpointPercent(plusPercent).minusEndpointPercent(minusPercent).done();
  }
}
