package hightally.app.flightlog;

import hightally.core.flightlog.LoggedFlight.SignConfirmed;
import hightally.core.quantity.Text;
import java.util.List;

/**
 * What has been said of a flight since it was noted.
 *
 * @param leftOut why the pilot leaves it out of the judgement; empty where he does not
 * @param simulated whether the stand-in flew it
 * @param flewWell whether it is marked as one that flew well
 * @param signsConfirmed trims whose sign was asked about and is right
 */
public record FlightMarks(
    @Text(min = 0, max = 300) String leftOut,
    boolean simulated,
    boolean flewWell,
    List<SignConfirmed> signsConfirmed) {
  /** Nothing. */
  public static final FlightMarks NONE = new FlightMarks("", false, false, List.of());

  public FlightMarks {
    signsConfirmed = signsConfirmed == null ? null : List.copyOf(signsConfirmed);
  }
}
