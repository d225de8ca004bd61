package hightally.app.demo;

import hightally.app.adjustment.Adjustments;
import hightally.app.adjustment.Adjustments.GaugeRead;
import hightally.app.adjustment.Adjustments.MarkRead;
import hightally.app.adjustment.Adjustments.Wish;
import hightally.app.adjustment.Gauge;
import hightally.app.adjustment.OpenAdjustment;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.PlannedRod;
import hightally.core.adjustment.RulerCheck.Went;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;

/** A work order done from its first step to its last, by a pilot with a gauge. */
final class DemoOrder {
  private static final double TENTHS = 10;

  private DemoOrder() {}

  /**
   * Begins and closes one.
   *
   * @param real the model as it really is: the gauge shows what that does
   */
  static void closed(Adjustments adjustments, long aircraft, long flight, Wish wish, Setup real) {
    OpenAdjustment open = adjustments.begin(aircraft, flight, wish);
    Trims trims = open.plan().trims();
    AdjustmentPlan there = AdjustmentPlanner.plan(real, trims);
    for (PlannedRod rod : open.plan().rods()) {
      if (rod.toDo()) {
        Surface surface = real.surface(rod.surface()).orElseThrow();
        PlannedRod really =
            there.rods().stream()
                .filter(one -> one.surface().equals(rod.surface()))
                .findFirst()
                .orElseThrow();
        double moved = Math.rint(really.zeroingMm() * TENTHS) / TENTHS;
        GaugeRead read =
            new GaugeRead(
                rod.surface(), Math.abs(moved), Went.of(surface, moved), Gauge.Choice.RULER);
        open = adjustments.measure(aircraft, read, open.version());
        double off = Math.rint(really.errorMm() * TENTHS) / TENTHS;
        MarkRead mark =
            new MarkRead(rod.surface(), really.steps(), Math.abs(off), Went.of(surface, off));
        open = adjustments.mark(aircraft, mark, open.version());
      }
    }
    for (BenchVerification.Expected one : open.verification()) {
      BenchVerification.Verified seen =
          new BenchVerification.Verified(one.surface(), one.by(), true, false, 0, 0);
      open = adjustments.verify(aircraft, seen, open.version());
    }
    int last = open.plan().steps().size() - 1;
    OpenAdjustment done = adjustments.moveTo(aircraft, last, open.version());
    adjustments.close(
        aircraft,
        done.version(),
        done.notAsPlanned().isEmpty() ? "" : "What is left stays in the trims");
  }
}
