package hightally.core.history;

import hightally.core.adjustment.RodAlternative;
import hightally.core.quantity.Control;
import java.util.List;

/**
 * What the pilot wants of a plan.
 *
 * @param reference id of the phase whose trim goes into the linkages; empty for the one flown most
 * @param presetsTakeUp whether presets take up what the rods leave
 * @param leave controls that stay in the transmitter although they could be turned
 * @param means where something else than the end that is there is wanted
 */
public record PlanOptions(
    String reference, boolean presetsTakeUp, List<Control> leave, List<RodAlternative> means) {
  /** As the program proposes. */
  public static final PlanOptions PROPOSED = new PlanOptions("", false, List.of(), List.of());

  public PlanOptions {
    leave = leave == null ? null : List.copyOf(leave);
    means = means == null ? null : List.copyOf(means);
  }
}
