package hightally.core.history;

import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.flightlog.PhaseReading;
import hightally.core.flightlog.TrimsStillValid;
import hightally.core.history.History.Order;
import hightally.core.history.History.Origin;
import hightally.core.history.History.Step;
import hightally.core.preflight.Clearance;
import hightally.core.preflight.ModelClearance;
import hightally.core.preflight.SetupClearance;
import hightally.core.program.Trims;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A history written down step by step, for tests. */
final class Histories {
  static final LocalDate FIRST = LocalDate.of(2026, 5, 1);

  final List<Setup> setups = new ArrayList<>();
  final List<Step> steps = new ArrayList<>();
  final List<LoggedFlight> flights = new ArrayList<>();
  final List<MarkedSettled> said = new ArrayList<>();
  final List<Order> orders = new ArrayList<>();
  final List<History.Change> changes = new ArrayList<>();
  final List<BenchReading> readings = new ArrayList<>();
  final List<Said> grounds = new ArrayList<>();
  final List<Clearance.Missing> missing = new ArrayList<>();
  Optional<History.OpenOrder> open = Optional.empty();
  private int day;

  Histories(Setup first) {
    setups.add(first);
    steps.add(new Step(1, FIRST, Origin.EDITED, List.of(), false, false));
  }

  Setup setup() {
    return setups.get(setups.size() - 1);
  }

  Histories revised(Setup after, Origin origin) {
    steps.add(
        new Step(
            steps.size() + 1,
            FIRST.plusDays(day),
            origin,
            origin == Origin.CORRECTED ? List.of() : TrimsStillValid.parted(setup(), after),
            origin == Origin.ADJUSTED || origin == Origin.RESTORED,
            false));
    setups.add(after);
    return this;
  }

  Histories flown(Trims trims, PhaseReading... others) {
    day++;
    FlightReport report =
        FlightReport.on(FIRST.plusDays(day))
            .change()
            .battery("A")
            .cgMm(100.0)
            .trims(trims)
            .phases(List.of(others))
            .done();
    flights.add(new LoggedFlight(flights.size() + 1L, steps.size(), report));
    return this;
  }

  Histories flown(int times, Trims trims, PhaseReading... others) {
    for (int i = 0; i < times; i++) {
      flown(trims, others);
    }
    return this;
  }

  static PhaseReading in(String phase, Trims trims) {
    return new PhaseReading(phase, trims, 50, PhaseReading.Sure.SURE, false);
  }

  private Clearance grounding() {
    List<Clearance.Reason> reasons =
        grounds.stream()
            .map(one -> new Clearance.Reason(Clearance.Kind.CHECK, "", "", one))
            .toList();
    ModelClearance.Seen seen = new ModelClearance.Seen(reasons, missing);
    SetupClearance setup = new SetupClearance(List.of(), SetupClearance.Search.WHOLE, 1);
    return Clearance.of(setup, seen, "");
  }

  History done() {
    return new History(
        setup(),
        steps,
        flights,
        said,
        orders,
        open,
        changes,
        readings,
        grounding(),
        number -> setups.get(number - 1));
  }

  ModelStanding standing() {
    return ModelStanding.of(done());
  }
}
