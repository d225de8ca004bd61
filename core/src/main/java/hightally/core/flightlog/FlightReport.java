package hightally.core.flightlog;

import hightally.core.program.Trims;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * What a pilot notes after a flight.
 *
 * @param flownOn the day
 * @param wind how much of it
 * @param air how smooth it was
 * @param field where
 * @param battery which pack
 * @param cgMm balance point as flown, aft of the model's datum; absent where it was not noted
 * @param remarks anything seen in the air
 * @param goal what the flight was to find out
 * @param trims clicks that stood in the transmitter when it flew straight, in the phase that is on
 *     when no other is
 * @param throttlePercent with how much throttle
 * @param sure how sure the pilot was
 * @param turnsDiffer whether left and right turns flew differently there
 * @param phases what was flown in the other phases
 */
@Copyable
public record FlightReport(
    LocalDate flownOn,
    Wind wind,
    Air air,
    @Carried @Text(min = 0) String field,
    @Carried @Text(min = 0) String battery,
    @Carried @Absentable @Within(min = -500, max = 2000, unit = Unit.MILLIMETRES) Double cgMm,
    @Text(min = 0, max = 2000) String remarks,
    @Text(min = 0, max = 300) String goal,
    Trims trims,
    @Within(min = 0, max = 100, unit = Unit.PERCENT) double throttlePercent,
    PhaseReading.Sure sure,
    boolean turnsDiffer,
    List<PhaseReading> phases) {
  private static final double HALF = 50;

  public FlightReport {
    phases = phases == null ? null : List.copyOf(phases);
  }

  /** A calm flight of a day of which nothing else is noted yet, to say the rest of. */
  public static FlightReport on(LocalDate day) {
    PhaseReading base = new PhaseReading("", Trims.ZERO, HALF, PhaseReading.Sure.SURE, false);
    return FlightDay.report(field -> FlightDay.nothing(field, day), base, List.of());
  }

  /** A copy to change, part by part. */
  public FlightReportCopy change() {
    return FlightReportCopy.from(this);
  }

  /** Every phase that was flown: the one that is on when no other is, then the others. */
  public List<PhaseReading> readings(String basePhase) {
    List<PhaseReading> all = new ArrayList<>();
    all.add(new PhaseReading(basePhase, trims, throttlePercent, sure, turnsDiffer));
    phases.stream().filter(one -> !one.phase().equals(basePhase)).forEach(all::add);
    return all;
  }

  /** How far the balance point lies from another flight's, mm; 0 where one of them is not noted. */
  public double movedFrom(FlightReport other) {
    return cgMm == null || other.cgMm == null ? 0 : Math.abs(cgMm - other.cgMm);
  }

  /** The same with other clicks in the phase that is on when no other is. */
  public FlightReport withTrims(Trims changed) {
    PhaseReading base = new PhaseReading("", changed, throttlePercent, sure, turnsDiffer);
    return FlightDay.report(field -> FlightDay.value(this, field), base, phases);
  }

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
