package hightally.core.adjustment;

import hightally.core.quantity.Said;

/**
 * What to do to one rod.
 *
 * @param surface id of the surface it moves
 * @param surfaceName the pilot's name for it
 * @param slave whether another surface drives it
 * @param direction longer, shorter, or left alone
 * @param exactMm exact change, plus is longer
 * @param turnsExact exact turns (mm for a sliding stopper)
 * @param steps whole steps of its end
 * @param sixths those steps in sixths of a turn; 0 for a sliding stopper
 * @param madeSteps the steps that were made where they are known, else the planned ones
 * @param appliedMm change those steps make
 * @param todayMm trailing edge with the trim at zero, before
 * @param targetMm where it stood with the trim in
 * @param afterMm where it will stand
 * @param errorMm after against target
 * @param trimMm how far the trim moves the edge: its mark goes there; plus is up or right
 * @param zeroingMm how far the edge moves when the trim is zeroed
 * @param leftPercent trim that would take the error out, percent of command
 * @param sentence all of it in words
 * @param turn how the end is turned, in words
 * @param turnBack how it is undone, in words
 * @param unit what a step of its end is called
 */
public record PlannedRod(
    String surface,
    String surfaceName,
    boolean slave,
    RodDirection direction,
    double exactMm,
    double turnsExact,
    long steps,
    long sixths,
    long madeSteps,
    double appliedMm,
    double todayMm,
    double targetMm,
    double afterMm,
    double errorMm,
    double trimMm,
    double zeroingMm,
    double leftPercent,
    Said sentence,
    Said turn,
    Said turnBack,
    Said unit) {
  /** Whether there is anything to turn. */
  public boolean toDo() {
    return steps != 0;
  }
}
