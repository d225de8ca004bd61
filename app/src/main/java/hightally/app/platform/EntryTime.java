package hightally.app.platform;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * When something was entered that is sent later. It is told as an age, by the clock of the device
 * it was entered on, so that a device whose clock is wrong tells it right.
 */
@Component
public class EntryTime {
  /** The header that tells how many seconds ago; without it: now. */
  public static final String AGO = "Entered-Seconds-Ago";

  private static final long OLDEST = Duration.ofDays(366).toSeconds();

  private final Clock clock;

  EntryTime(Clock clock) {
    this.clock = clock;
  }

  /** The moment, by the clock of this machine. */
  public Instant at(String secondsAgo) {
    return clock.instant().minusSeconds(secondsAgo == null ? 0 : seconds(secondsAgo));
  }

  private static long seconds(String told) {
    try {
      long seconds = Long.parseLong(told);
      if (seconds >= 0 && seconds <= OLDEST) {
        return seconds;
      }
    } catch (NumberFormatException e) {
      // Told below.
    }
    Quantity least = Quantity.plain(0, 0);
    Quantity most = Quantity.plain(OLDEST, 0);
    throw InvalidInputException.of(AGO, told, Said.of("demand.range", "min", least, "max", most));
  }
}
