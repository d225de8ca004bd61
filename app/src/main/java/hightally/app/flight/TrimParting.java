package hightally.app.flight;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.time.Instant;
import java.util.List;

/** Knows of changes that no revision shows and that part the trims flown before and after them. */
public interface TrimParting {
  /**
   * One of them.
   *
   * @param at when it was done
   * @param controls whose trims mean something else since
   */
  record Parted(Instant at, List<Control> controls, Said why) {}

  /** All of a model's. */
  List<Parted> of(long aircraftId);
}
