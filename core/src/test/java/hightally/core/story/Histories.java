package hightally.core.story;

import hightally.core.log.FlightReport;
import hightally.core.log.FlightReport.Air;
import hightally.core.log.FlightReport.Wind;
import hightally.core.log.FlownOnce;
import hightally.core.log.PhaseReading;
import hightally.core.log.SettledWord;
import hightally.core.log.TrimsHold;
import hightally.core.phase.Trims;
import hightally.core.quantity.Said;
import hightally.core.ready.Grounding;
import hightally.core.ready.ModelSeen;
import hightally.core.ready.SetupVerdict;
import hightally.core.setup.Setup;
import hightally.core.story.History.Order;
import hightally.core.story.History.Origin;
import hightally.core.story.History.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A history written down step by step, for tests. */
final class Histories {
  static final LocalDate FIRST = LocalDate.of(2026, 5, 1);

  final List<Setup> setups = new ArrayList<>();
  final List<Step> steps = new ArrayList<>();
  final List<FlownOnce> flights = new ArrayList<>();
  final List<SettledWord> said = new ArrayList<>();
  final List<Order> orders = new ArrayList<>();
  final List<History.Change> changes = new ArrayList<>();
  final List<BenchReading> readings = new ArrayList<>();
  final List<Said> grounds = new ArrayList<>();
  final List<Grounding.Missing> missing = new ArrayList<>();
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
            origin == Origin.CORRECTED ? List.of() : TrimsHold.parted(setup(), after),
            origin == Origin.ADJUSTED || origin == Origin.RESTORED,
            false));
    setups.add(after);
    return this;
  }

  Histories flown(Trims trims, PhaseReading... others) {
    day++;
    FlightReport report =
        new FlightReport(
            FIRST.plusDays(day),
            Wind.CALM,
            Air.SMOOTH,
            "",
            "A",
            100.0,
            "",
            "",
            trims,
            50,
            PhaseReading.Sure.SURE,
            false,
            List.of(others));
    flights.add(new FlownOnce(flights.size() + 1L, steps.size(), report));
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

  private Grounding grounding() {
    List<Grounding.Reason> reasons =
        grounds.stream()
            .map(one -> new Grounding.Reason(Grounding.Kind.CHECK, "", "", one))
            .toList();
    ModelSeen.Seen seen = new ModelSeen.Seen(reasons, missing);
    SetupVerdict setup = new SetupVerdict(List.of(), SetupVerdict.Search.WHOLE, 1);
    return Grounding.of(setup, seen, "");
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
