package hightally.core.setup;

import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * Where a movement was typed: what the hands did, and between which commands the surface moved.
 * With these the movement can be worked out anew after a hole, an arm or an endpoint has changed,
 * whatever else of the program has changed meanwhile.
 *
 * @param throttle 0 closed, 1 full
 * @param throttleCut whether the cut held the motor
 * @param inputs levers and switches in the transmitter's order, 0 at rest to 1 at the far end
 * @param fromPercent the command the movement began at
 * @param toPercent the command it ended at
 */
public record TypedStand(
    @Within(min = 0, max = 1) double throttle,
    boolean throttleCut,
    @Within(min = 0, max = 1) List<Double> inputs,
    @Within(min = -10_000, max = 10_000, unit = Unit.PERCENT) double fromPercent,
    @Within(min = -10_000, max = 10_000, unit = Unit.PERCENT) double toPercent) {
  public TypedStand {
    inputs = inputs == null ? null : List.copyOf(inputs);
  }
}
