package hightally.app.adjustment;

import hightally.core.adjustment.AdjustmentPlan;

/** A work order that is begun, with the step it stands at. */
public record OpenAdjustment(
    long id, long flightId, int revisionNumber, int step, int version, AdjustmentPlan plan) {}
