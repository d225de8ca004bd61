package hightally.core.adjustment;

import hightally.core.flightlog.TrimSeries;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;

/**
 * What the flights after an adjustment say of it, control by control.
 *
 * @param phase id of the phase
 * @param phaseName the pilot's name for it
 * @param before clicks flown before the adjustment
 * @param predicted clicks it should have left
 * @param flown the middle one of the flights since that agree
 * @param flights how many these are
 * @param done whether flown and predicted agree within the house value
 * @param words all of it in words
 */
public record Confirmation(
    String phase,
    String phaseName,
    Control control,
    int before,
    int predicted,
    int flown,
    int flights,
    boolean done,
    Said words) {

  /**
   * Compares the flights since with the prediction.
   *
   * @param since what was flown after the adjustment
   */
  public static Confirmation of(
      Setup setup, PhaseOutcome planned, Control control, TrimSeries since) {
    int predicted = planned.after().of(control);
    int flown = since.clicks();
    boolean done = Math.abs(flown - predicted) <= setup.house().confirmClicks();
    boolean enough = since.agreeing() >= setup.house().settledFlights();
    Said compared =
        Said.of(
            "adjustment.wherePredicted",
            "clicks",
            new Clicks(control, flown),
            "clicks2",
            new Clicks(control, predicted));
    Said words =
        done
            ? Said.of("adjustment.confirmed", "compared", compared)
            : enough
                ? Said.of("adjustment.offSettled", "compared", compared)
                : Said.of(
                    "adjustment.offSoFar",
                    "compared",
                    compared,
                    "lacking",
                    setup.house().settledFlights() - since.agreeing());
    return new Confirmation(
        planned.phase(),
        planned.name(),
        control,
        planned.before().of(control),
        predicted,
        flown,
        since.agreeing(),
        done,
        words);
  }
}
