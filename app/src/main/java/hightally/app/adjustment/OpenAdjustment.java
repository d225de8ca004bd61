package hightally.app.adjustment;

import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.RulerCheck;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * A work order that is begun, with the step it stands at.
 *
 * @param gauges what was measured on the bench, and how it compares
 * @param marks what came of the rods that are turned
 * @param verification what every surface should do at the end, beside what was seen
 * @param undo what has to be turned back if the work is given up here; empty while nothing is
 * @param done which steps are done: passed, with what they ask for answered
 * @param notAsPlanned edges that are not at their marks and throws that are not as planned: closing
 *     over them wants a reason
 * @param bars of each step, why it goes no further than it as things stand; empty where it does
 */
public record OpenAdjustment(
    long id,
    long flightId,
    int revisionNumber,
    int step,
    int version,
    AdjustmentPlan plan,
    List<GaugeCheck> gauges,
    List<MarkSeen> marks,
    List<BenchVerification.Expected> verification,
    List<Said> undo,
    List<Boolean> done,
    List<Said> notAsPlanned,
    List<Said> bars) {
  /**
   * A reading beside the arithmetic.
   *
   * @param sizeMm how far the edge went when the trim was zeroed
   * @param way which way it went
   */
  public record GaugeCheck(Gauge gauge, RulerCheck check, double sizeMm, RulerCheck.Went way) {
    /** Whether the pilot has still to decide which of the two he believes. */
    boolean waits() {
      return !check.agree() && gauge.choice() == Gauge.Choice.OPEN;
    }
  }
}
