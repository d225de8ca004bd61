package hightally.core.adjustment;

import hightally.core.audit.Finding;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Trims turned into rods.
 *
 * @param trims the clicks that are moved into the linkages
 * @param reference id of the phase they were flown in
 * @param phases every phase with the new rods
 * @param throwChanges surfaces whose full travel changes
 * @param remedies what might be better than a rod
 * @param rods one entry a surface, drivers before what they drive
 * @param ways in which the rods that are to be turned can be taken up
 * @param steps the work order
 * @param cautions what the pilot should think about first; often empty
 * @param findings what the rig would be found to have with the new rods and does not have now
 * @param entries what changes on the transmitter, what stood there in the flight beside each value
 * @param after the setup once the steps are made: rods changed, trims at zero
 */
public record AdjustmentPlan(
    Trims trims,
    String reference,
    List<PlannedRod> rods,
    List<RodMethod> ways,
    List<PhaseOutcome> phases,
    List<ThrowChange> throwChanges,
    List<RodRemedy> remedies,
    List<WorkStep> steps,
    List<Said> cautions,
    List<Finding> findings,
    List<EntrySheet.Entry> entries,
    Setup after) {
  /**
   * What this plan leaves on a setup that may have been changed since it was made: the same turns
   * of the rods, and the trims of every phase that is still there.
   *
   * @param before the setup the plan was made on
   */
  public Setup onto(Setup before, Setup now) {
    if (now.equals(before)) {
      return after;
    }
    Map<String, Double> turned =
        rods.stream().collect(Collectors.toMap(PlannedRod::surface, PlannedRod::appliedMm));
    return now.change()
        .surfaces(
            now.surfaces().stream()
                .map(one -> one.withRod(one.rod().changedBy(turned.getOrDefault(one.id(), 0.0))))
                .toList())
        .phases(now.phases().stream().map(one -> withTrimsAfter(before, one)).toList())
        .trims(after.trims())
        .done();
  }

  private Phase withTrimsAfter(Setup before, Phase phase) {
    Optional<Phase> planned = after.phase(phase.id());
    boolean unchanged = before.phase(phase.id()).filter(phase::equals).isPresent();
    return planned.map(one -> unchanged ? one : phase.withTrims(one.trims())).orElse(phase);
  }

  /**
   * What has to be turned back if the work is given up at a step: the rods turned before it, the
   * last one first.
   */
  public List<Said> undoneFrom(int step) {
    List<Said> words = new ArrayList<>();
    for (int i = Math.min(step, steps.size()) - 1; i >= 0; i--) {
      WorkStep made = steps.get(i);
      if (made.kind() == WorkStep.Kind.TURN) {
        rods.stream()
            .filter(rod -> rod.surface().equals(made.surface()))
            .forEach(
                rod ->
                    words.add(
                        Said.of(
                            "adjustment.turnBack",
                            "surface",
                            rod.surfaceName(),
                            "turn",
                            rod.turnBack())));
      }
    }
    return words;
  }
}
