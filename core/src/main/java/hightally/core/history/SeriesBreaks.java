package hightally.core.history;

import hightally.core.flightlog.SeriesBreak;
import hightally.core.flightlog.TrimsStillValid.Parted;
import hightally.core.history.History.Origin;
import hightally.core.quantity.Said;
import java.util.ArrayList;
import java.util.List;

/** What parts the trims that were flown before and after it, phase by phase. */
final class SeriesBreaks {
  private SeriesBreaks() {}

  static List<SeriesBreak> of(History history) {
    List<SeriesBreak> found = new ArrayList<>();
    for (History.Step step : history.revisions()) {
      for (Parted parted : step.origin() == Origin.CORRECTED ? List.<Parted>of() : step.parted()) {
        found.add(
            new SeriesBreak(
                step.number(),
                null,
                0,
                parted.phase().isEmpty() ? List.of() : List.of(parted.phase()),
                parted.controls(),
                why(step)));
      }
    }
    history.changes().forEach(one -> found.add(one.parting()));
    return List.copyOf(found);
  }

  private static Said why(History.Step step) {
    return switch (step.origin()) {
      case ADJUSTED -> Said.of("story.rodsTurned", "revision", step.number());
      case RESTORED -> Said.of("story.wentBack", "revision", step.number());
      default -> Said.of("story.rigChanged", "revision", step.number());
    };
  }
}
