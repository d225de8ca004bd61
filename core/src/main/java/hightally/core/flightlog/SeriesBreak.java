package hightally.core.flightlog;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.time.LocalDate;
import java.util.List;

/**
 * Something that parts the trims flown before and after it.
 *
 * @param fromRevision the first revision after it; where it has a day or a flight, the one the
 *     model was at
 * @param fromDay the day of it, where no revision tells; null otherwise
 * @param fromFlight number of the first flight after it, where the revision does not tell, or on
 *     its day; 0 otherwise
 * @param phases ids of the phases whose trims it voids; empty for all
 * @param controls whose trims it voids; may be none: then it explains no jump
 * @param why in a few words
 */
public record SeriesBreak(
    int fromRevision,
    LocalDate fromDay,
    long fromFlight,
    List<String> phases,
    List<Control> controls,
    Said why) {
  public SeriesBreak {
    phases = List.copyOf(phases);
    controls = List.copyOf(controls);
  }

  /** In all phases, by revision and day. */
  public SeriesBreak(int fromRevision, LocalDate fromDay, List<Control> controls, Said why) {
    this(fromRevision, fromDay, 0, List.of(), controls, why);
  }

  /** Whether a flight lies before it. */
  public boolean before(LoggedFlight flight) {
    if (fromDay != null) {
      LocalDate flown = flight.report().flownOn();
      return flown.isBefore(fromDay) || flown.equals(fromDay) && flight.flight() < fromFlight;
    }
    return fromFlight > 0 ? flight.flight() < fromFlight : flight.revision() < fromRevision;
  }

  /** Whether it came after a revision was made. */
  public boolean after(int revision) {
    return fromDay != null || fromFlight > 0 ? fromRevision >= revision : fromRevision > revision;
  }

  /** Whether it parts the trims of a control in a phase. */
  public boolean voids(String phase, Control control) {
    return controls.contains(control) && (phases.isEmpty() || phases.contains(phase));
  }
}
