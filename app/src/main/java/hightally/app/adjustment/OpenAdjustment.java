package hightally.app.adjustment;

import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.RulerCheck;
import hightally.core.guide.BenchVerification;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * A work order that is begun, with the step it stands at.
 *
 * @param gauges what was measured on the bench, and how it compares
 * @param verification what every surface should do at the end, beside what was measured
 * @param undo what has to be turned back if the work is given up here; empty while nothing is
 */
public record OpenAdjustment(
    long id,
    long flightId,
    int revisionNumber,
    int step,
    int version,
    AdjustmentPlan plan,
    List<GaugeCheck> gauges,
    List<BenchVerification.Expected> verification,
    List<Said> undo) {
  /** A reading beside the arithmetic. */
  public record GaugeCheck(Gauge gauge, RulerCheck check) {
    /** Whether the pilot has still to decide which of the two he believes. */
    boolean waits() {
      return !check.agree() && gauge.choice() == Gauge.Choice.OPEN;
    }
  }
}
