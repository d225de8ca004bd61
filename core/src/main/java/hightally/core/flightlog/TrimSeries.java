package hightally.core.flightlog;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.time.LocalDate;
import java.util.List;

/**
 * The trims of one control in one phase over the flights, and what they say.
 *
 * @param phase id of the phase
 * @param control which control
 * @param state whether it has settled
 * @param clicks the middle one of the newest flights that agree; 0 if none counts
 * @param agreeing how many flights these are
 * @param words what the state means here
 * @param notes what is to be known besides: a jump, differing turns, one throttle only
 * @param asked the flight that is asked about; 0 for none
 * @param because why the pilot says it has settled; empty where he does not
 * @param points every flight that was trimmed in this phase, oldest first
 */
public record TrimSeries(
    String phase,
    Control control,
    State state,
    int clicks,
    int agreeing,
    Said words,
    List<Said> notes,
    long asked,
    String because,
    List<TrimPoint> points) {
  public TrimSeries {
    notes = List.copyOf(notes);
    points = List.copyOf(points);
  }

  /** What a series says. */
  public enum State {
    /** Enough flights agree, or the pilot says so. */
    SETTLED,
    /** Too few agree. */
    NOT_YET,
    /** It moves one way from flight to flight: something slips or wanders. */
    DRIFTING,
    /** The newest has about the size of the others and the other sign: noted wrongly? */
    OPPOSITE,
    /** It has settled at so much that it is a symptom. */
    TOO_LARGE
  }

  /** Whether it may go into the linkages. */
  public boolean settled() {
    return state == State.SETTLED;
  }

  /** Whether any flight counts. */
  public boolean flown() {
    return points.stream().anyMatch(TrimPoint::counts);
  }

  /**
   * One flight in a series.
   *
   * @param flight its number
   * @param ofDay which flight of its day, from 1; 0 where it was the only one
   * @param clicks what stood in the transmitter
   * @param counts whether it counts now
   * @param agrees whether it is one of the newest that agree
   * @param why it does not count, in a few words; empty if it does
   */
  public record TrimPoint(
      long flight,
      LocalDate flownOn,
      int ofDay,
      int clicks,
      boolean counts,
      boolean agrees,
      Said why) {}
}
