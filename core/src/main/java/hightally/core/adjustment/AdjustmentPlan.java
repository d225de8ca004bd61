package hightally.core.adjustment;

import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * Trims turned into rods.
 *
 * @param trims the clicks that are moved into metal
 * @param reference id of the phase they were flown in
 * @param phases every phase with the new rods
 * @param throwChanges surfaces whose full travel changes
 * @param remedies what might be better than a rod
 * @param rods one entry a surface, drivers before what they drive
 * @param steps the work order
 * @param cautions what the pilot should think about first; often empty
 * @param after the setup once the steps are made: rods changed, trims at zero
 */
public record AdjustmentPlan(
    Trims trims,
    String reference,
    List<PlannedRod> rods,
    List<PhaseOutcome> phases,
    List<ThrowChange> throwChanges,
    List<Remedy> remedies,
    List<WorkStep> steps,
    List<String> cautions,
    Setup after) {}
