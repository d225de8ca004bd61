package hightally.app.flightlog;

import java.util.OptionalLong;

/** Knows of the checks before a flight. */
public interface CheckSource {
  /**
   * The number of a check before a flight that was done and found nothing.
   *
   * @param name its number, or the key it was begun with by whom its number is not known
   */
  OptionalLong passed(long aircraftId, String name);
}
