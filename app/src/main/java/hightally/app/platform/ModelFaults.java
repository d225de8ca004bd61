package hightally.app.platform;

import hightally.core.quantity.Violation;
import java.util.List;

/** What of a stored model cannot be read, by table, row and field. */
public interface ModelFaults {
  /** Empty where every page of it can be worked out. */
  List<Violation> of(long aircraftId);
}
