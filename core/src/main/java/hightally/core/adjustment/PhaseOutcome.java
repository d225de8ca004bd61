package hightally.core.adjustment;

import hightally.core.program.Trims;
import java.util.List;

/**
 * A phase before and after an adjustment.
 *
 * @param phase its id
 * @param reference whether its trim went into the rods
 * @param before clicks it was flown with
 * @param after clicks with which its surfaces stand as nearly as whole clicks let them
 * @param exact the same before rounding; roll, pitch, yaw
 * @param errors what every surface is off by then
 */
public record PhaseOutcome(
    String phase,
    String name,
    boolean reference,
    Trims before,
    Trims after,
    List<Double> exact,
    List<SurfaceError> errors) {
  /** A surface against where it stood, mm at the trailing edge, plus is up or right. */
  public record SurfaceError(String surface, String name, double mm) {}
}
