package hightally.core.history;

import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.time.LocalDate;

/**
 * Something that was measured on the bench outside a work order.
 *
 * @param surface id of the surface
 * @param kind what was measured: {@code GAUGE} for clicks, {@code TURNS} for turns, {@code THROW}
 *     for a full stick
 * @param control whose trim or stick
 * @param amount clicks or turns that were put in; for a throw 1 or -1, the way the stick went
 * @param mm how far the trailing edge went, as a size
 * @param revision the revision that was on the bench
 * @param day when
 */
public record BenchReading(
    @Text(max = 40) String surface,
    Seen kind,
    Control control,
    @Within(min = -200, max = 200) double amount,
    @Within(min = 0, max = 600, unit = Unit.MILLIMETRES) double mm,
    int revision,
    LocalDate day) {
  /**
   * The reading as an observation of a description.
   *
   * @throws InvalidInputException if it is not of a surface of that setup, or nothing that is read
   */
  public Observation against(Setup setup) {
    if (setup.surface(surface).isEmpty()) {
      throw InvalidInputException.of("surface", surface, Said.of("demand.idSurface"));
    }
    if (kind == Seen.FLIGHT || amount == 0) {
      throw InvalidInputException.of("amount", amount, Said.of("demand.notZero"));
    }
    return new CalibrationModel(setup).observation(this);
  }
}
