package hightally.app.flightlog;

import hightally.app.platform.JsonList;
import hightally.core.flightlog.PhaseReading;
import jakarta.persistence.Converter;

/** What was flown in the phases, as one column. */
@Converter
public class PhaseReadings extends JsonList<PhaseReading> {
  PhaseReadings() {
    super(PhaseReading.class);
  }
}
