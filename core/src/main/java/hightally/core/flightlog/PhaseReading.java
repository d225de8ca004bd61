package hightally.core.flightlog;

import hightally.core.program.Trims;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.signal.Moment;

/**
 * What was flown in one phase.
 *
 * @param phase its id
 * @param trims clicks that stood in the transmitter when it flew straight
 * @param throttlePercent where the throttle was, 0 to 100
 * @param sure how sure the pilot was
 * @param turnsDiffer whether left and right turns flew differently
 */
@Copyable
public record PhaseReading(
    @Text(max = 40) String phase,
    Trims trims,
    @Within(min = 0, max = 100, unit = Unit.PERCENT) double throttlePercent,
    Sure sure,
    boolean turnsDiffer) {
  /** A copy to change, part by part. */
  public PhaseReadingCopy change() {
    return PhaseReadingCopy.from(this);
  }

  /** Hands off, the throttle where it was. */
  public Moment rest() {
    return Moment.centred(Trims.ZERO).withThrottle(throttlePercent / 100, true);
  }

  /** The same reading with other clicks. */
  public PhaseReading withTrims(Trims changed) {
    return change().trims(changed).done();
  }

  /** How sure a pilot is. */
  public enum Sure {
    SURE,
    FAIRLY,
    NOT
  }
}
