package hightally.core.flightlog;

import hightally.core.quantity.Text;
import hightally.core.trimming.TestResult;
import java.util.List;

/**
 * What goes with a flight besides its trims.
 *
 * @param results what it showed of trim tests
 * @param check number of the check before it; 0 for none
 * @param despite why it was flown although something grounded the model; empty where nothing did
 */
public record FlightObservations(
    List<TestResult> results, long check, @Text(min = 0, max = 300) String despite) {
  /** Nothing besides its trims. */
  public static final FlightObservations NONE = new FlightObservations(List.of(), 0, "");

  public FlightObservations {
    results = results == null ? null : List.copyOf(results);
  }

  /** The same with the check before it. */
  public FlightObservations checkedBy(long check) {
    return new FlightObservations(results, check, despite);
  }
}
