package hightally.core.history;

import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.WorthTurning;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.PhaseReading;
import hightally.core.flightlog.StandingTrims;
import hightally.core.flightlog.TrimSeries;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What would be turned: the settled trims of the reference phase that are worth it, every other
 * phase as it stands.
 *
 * @param reference id of the phase whose trim goes into the linkages
 * @param worth what is worth turning there, and what is not
 * @param flown the trims of every phase, and what goes into the rods; empty where nothing does
 */
public record PlannedTrims(String reference, WorthTurning worth, Optional<FlownTrims> flown) {
  private static final double HALF_THROTTLE_PERCENT = 50;

  static PlannedTrims of(
      Setup setup,
      List<LoggedFlight> flights,
      List<TrimSeries> series,
      StandingTrims stands,
      PlanOptions wish) {
    List<String> order = mostFlownFirst(setup, flights);
    String reference = wish.reference().isEmpty() ? order.get(0) : wish.reference();
    if (setup.phase(reference).isEmpty()) {
      throw InvalidInputException.of(
          "reference",
          reference,
          Said.of("demand.one", "toList", setup.phases().stream().map(Phase::id).toList()));
    }
    List<Control> settled =
        series.stream()
            .filter(one -> one.phase().equals(reference) && one.settled())
            .map(TrimSeries::control)
            .filter(one -> !wish.leave().contains(one))
            .toList();
    List<PhaseReading> readings = new ArrayList<>();
    for (String phase : order) {
      readings.add(reading(setup, flights, series, stands, phase));
    }
    if (settled.isEmpty()) {
      return new PlannedTrims(reference, new WorthTurning(List.of(), List.of()), Optional.empty());
    }
    FlownTrims asked =
        new FlownTrims(
            reference, readings, wish.presetsTakeUp(), settled, wish.means(), List.of(), List.of());
    WorthTurning worth = WorthTurning.of(setup, asked);
    return new PlannedTrims(
        reference,
        worth,
        worth.controls().isEmpty() ? Optional.empty() : Optional.of(asked.of(worth.controls())));
  }

  /** A phase as it stands: what has settled counts with its value. */
  private static PhaseReading reading(
      Setup setup,
      List<LoggedFlight> flights,
      List<TrimSeries> series,
      StandingTrims stands,
      String phase) {
    Trims trims = stands.of(phase);
    Phase described = setup.phase(phase).orElseThrow();
    for (Control control : Control.values()) {
      Optional<TrimSeries> settled =
          series.stream()
              .filter(one -> one.control() == control && one.settled() && !one.points().isEmpty())
              .filter(
                  one ->
                      described.own(control)
                          ? one.phase().equals(phase)
                          : setup
                              .phase(one.phase())
                              .filter(other -> !other.own(control))
                              .isPresent())
              .max(Comparator.comparingInt(TrimSeries::agreeing));
      if (settled.isPresent()) {
        trims = trims.with(control, settled.get().clicks());
      }
    }
    double throttle =
        flights.stream()
            .flatMap(one -> one.reading(phase, setup.basePhase().id()).stream())
            .reduce((first, second) -> second)
            .map(PhaseReading::throttlePercent)
            .orElse(HALF_THROTTLE_PERCENT);
    return new PhaseReading(phase, trims, throttle, PhaseReading.Sure.SURE, false);
  }

  /** Ids of the phases, the one flown most first; of equals the one that is on by itself. */
  static List<String> mostFlownFirst(Setup setup, List<LoggedFlight> flights) {
    String base = setup.basePhase().id();
    Map<String, Integer> count = new HashMap<>();
    for (LoggedFlight one : flights) {
      if (one.leftOut().isEmpty() && !one.simulated()) {
        one.report().readings(base).forEach(each -> count.merge(each.phase(), 1, Integer::sum));
      }
    }
    List<String> order = new ArrayList<>(setup.phases().stream().map(Phase::id).toList());
    Collections.reverse(order);
    order.sort(Comparator.comparingInt(id -> -count.getOrDefault(id, 0)));
    return order;
  }
}
