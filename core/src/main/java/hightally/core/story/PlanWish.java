package hightally.core.story;

import hightally.core.adjustment.RodMeans;
import hightally.core.quantity.Control;
import java.util.List;

/**
 * What the pilot wants of a plan.
 *
 * @param reference id of the phase whose trim becomes metal; empty for the one flown most
 * @param presetsTakeUp whether presets take up what the rods leave
 * @param leave controls that stay in the transmitter although they could be turned
 * @param means where something else than the end that is there is wanted
 */
public record PlanWish(
    String reference, boolean presetsTakeUp, List<Control> leave, List<RodMeans> means) {
  /** As the program proposes. */
  public static final PlanWish PROPOSED = new PlanWish("", false, List.of(), List.of());

  public PlanWish {
    leave = leave == null ? null : List.copyOf(leave);
    means = means == null ? null : List.copyOf(means);
  }
}
