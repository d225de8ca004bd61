package hightally.core.flightlog;

import hightally.core.quantity.Control;
import java.util.List;
import java.util.Optional;

/**
 * A flight: its number, its report, the revision it was on, and what has been said of it since.
 *
 * @param leftOut why the pilot leaves it out; empty where he does not
 * @param simulated whether the stand-in flew it
 * @param signsConfirmed trims of the other sign than the rest that the pilot has looked at again
 */
public record LoggedFlight(
    long flight,
    int revision,
    FlightReport report,
    String leftOut,
    boolean simulated,
    List<SignConfirmed> signsConfirmed) {
  public LoggedFlight {
    signsConfirmed = List.copyOf(signsConfirmed);
  }

  /** One of which nothing has been said. */
  public LoggedFlight(long flight, int revision, FlightReport report) {
    this(flight, revision, report, "", false, List.of());
  }

  /** A trim whose sign the pilot has confirmed. */
  public record SignConfirmed(String phase, Control control) {}

  /** What it was trimmed to in a phase; empty if that was not flown. */
  public Optional<PhaseReading> reading(String phase, String basePhase) {
    return report.readings(basePhase).stream().filter(one -> one.phase().equals(phase)).findFirst();
  }

  boolean confirmed(String phase, Control control) {
    return signsConfirmed.contains(new SignConfirmed(phase, control));
  }
}
