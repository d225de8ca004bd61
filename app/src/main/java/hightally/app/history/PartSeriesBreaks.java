package hightally.app.history;

import hightally.app.benchsetup.NotedPartChange;
import hightally.app.benchsetup.PartChanges;
import hightally.app.flightlog.FlightLog;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.history.History;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Changed parts: whose trims they part, and what is still to be done again. */
@Component
class PartSeriesBreaks {
  private final PartChanges changes;
  private final FlightLog flights;

  PartSeriesBreaks(PartChanges changes, FlightLog flights) {
    this.changes = changes;
    this.flights = flights;
  }

  List<History.Change> of(long aircraftId, Setup setup) {
    List<History.Change> found = new ArrayList<>();
    for (NotedPartChange one : changes.of(aircraftId)) {
      List<Control> voided =
          one.checks().stream()
              .flatMap(each -> each.voided().trimsOf().stream())
              .distinct()
              .toList();
      boolean thatDay =
          one.changedAt().atZone(ZoneOffset.UTC).toLocalDate().equals(one.changedOn());
      SeriesBreak parting =
          new SeriesBreak(
              one.revisionNumber(),
              one.changedOn(),
              thatDay ? flights.firstNotedAfter(aircraftId, one.changedAt()) : 0,
              List.of(),
              voided,
              Said.of("log.partChanged", "part", one.change().subject()));
      List<Said> due =
          one.checks().stream()
              .filter(each -> !each.done() && each.voided().trimsOf().isEmpty())
              .map(
                  each ->
                      Said.of(
                          "story.due",
                          "what",
                          each.voided().what(),
                          "part",
                          one.change().subject()))
              .toList();
      found.add(
          new History.Change(
              parting, due, surface(setup, one.change().subject()), one.change().ofLinkage()));
    }
    return found;
  }

  /**
   * The surface whose id a part is given by; empty where it is given in words: then it may be any.
   */
  private static String surface(Setup setup, String subject) {
    return setup.surfaces().stream()
        .map(Surface::id)
        .filter(subject::equals)
        .findFirst()
        .orElse("");
  }
}
