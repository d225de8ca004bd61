package hightally.core.adjustment;

import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * Trims turned into rods.
 *
 * @param trims the clicks that are moved into metal
 * @param rods one entry a surface, drivers before what they drive
 * @param steps the work order
 * @param cautions what the pilot should think about first; often empty
 * @param after the setup once the steps are made: rods changed, trims at zero
 */
public record AdjustmentPlan(
    Trims trims, List<PlannedRod> rods, List<WorkStep> steps, List<String> cautions, Setup after) {}
