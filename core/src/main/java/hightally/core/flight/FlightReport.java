package hightally.core.flight;

import hightally.core.phase.Trims;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import java.time.LocalDate;

/**
 * What a pilot notes after a flight.
 *
 * @param flownOn the day
 * @param wind how much of it
 * @param air how smooth it was
 * @param field where
 * @param battery which pack
 * @param cgMm balance point as flown, aft of the model's datum
 * @param remarks anything seen in the air
 * @param trims clicks that stood in the transmitter when it flew straight
 */
public record FlightReport(
    LocalDate flownOn,
    Wind wind,
    Air air,
    @Text(label = "Field", min = 0) String field,
    @Text(label = "Battery", min = 0) String battery,
    @Within(min = -500, max = 2000, unit = "mm", label = "Balance point", hint = "aft of datum")
        double cgMm,
    @Text(label = "Remarks", min = 0, max = 2000) String remarks,
    Trims trims) {
  /** How much wind. */
  public enum Wind {
    CALM,
    LIGHT,
    FRESH,
    STRONG
  }

  /** How smooth the air was. */
  public enum Air {
    SMOOTH,
    BUMPY,
    ROUGH
  }
}
