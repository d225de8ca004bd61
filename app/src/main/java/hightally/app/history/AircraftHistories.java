package hightally.app.history;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Lineage;
import hightally.app.aircraft.Lineage.Descent;
import hightally.app.aircraft.PageOfModel;
import hightally.app.aircraft.Revision;
import hightally.app.aircraft.RevisionHeader;
import hightally.app.flightlog.Flight;
import hightally.app.flightlog.FlightLog;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.history.History;
import hightally.core.history.History.Origin;
import hightally.core.history.ModelStanding;
import hightally.core.history.PlanOptions;
import hightally.core.history.PlannedTrims;
import hightally.core.program.Phase;
import hightally.core.setup.Setup;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What has become of every model, and where it stands: the one answer that every page shows. */
@Service
public class AircraftHistories implements PageOfModel {
  private static final int KEPT = 200;

  /** So many of the newest flights are looked at: what lies further back has no say. */
  private static final int NEWEST = 60;

  private static final float LOAD = 0.75f;

  private final Hangar hangar;
  private final Lineage lineage;
  private final FlightLog flights;
  private final MarkedSettledRepository words;
  private final BenchReadingRepository readings;
  private final PartSeriesBreaks parts;
  private final List<ChangeSource> changes;
  private final OrderSource orders;
  private final ClearanceSource groundings;

  /** The last standing of a model beside the history it was worked out from. */
  private final Map<Long, Known> known =
      new LinkedHashMap<>(16, LOAD, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Known> eldest) {
          return size() > KEPT;
        }
      };

  private record Known(List<Object> from, ModelStanding standing) {}

  AircraftHistories(
      Hangar hangar,
      Lineage lineage,
      FlightLog flights,
      MarkedSettledRepository words,
      BenchReadingRepository readings,
      PartSeriesBreaks parts,
      List<ChangeSource> changes,
      OrderSource orders,
      ClearanceSource groundings) {
    this.hangar = hangar;
    this.lineage = lineage;
    this.flights = flights;
    this.words = words;
    this.readings = readings;
    this.parts = parts;
    this.changes = changes;
    this.orders = orders;
    this.groundings = groundings;
  }

  /** All that has become of a model. */
  @Transactional(readOnly = true)
  public History history(long aircraftId) {
    Revision newest = hangar.newest(aircraftId);
    List<History.Step> steps =
        lineage.all(aircraftId).stream().map(AircraftHistories::step).toList();
    List<History.Change> changed = new ArrayList<>(parts.of(aircraftId, newest.setup()));
    changes.forEach(one -> changed.addAll(one.of(aircraftId)));
    return new History(
        newest.setup(),
        steps,
        flown(aircraftId, newest.setup()),
        words.findByAircraftIdOrderById(aircraftId).stream()
            .map(MarkedSettledEntity::read)
            .toList(),
        orders.closed(aircraftId),
        orders.open(aircraftId),
        changed,
        readings.findByAircraftIdOrderById(aircraftId).stream()
            .map(BenchReadingEntity::read)
            .toList(),
        groundings.of(aircraftId, newest),
        setups(aircraftId));
  }

  /** The newest flights, and of a phase that none of them flew the newest that did. */
  private List<LoggedFlight> flown(long aircraftId, Setup setup) {
    List<LoggedFlight> found =
        new ArrayList<>(
            flights.newest(aircraftId, Limit.of(NEWEST)).stream()
                .map(AircraftHistories::flown)
                .toList());
    if (found.size() == NEWEST) {
      String base = setup.basePhase().id();
      for (Phase phase : setup.phases()) {
        boolean seen = found.stream().anyMatch(one -> one.reading(phase.id(), base).isPresent());
        if (!seen) {
          flights
              .newestIn(aircraftId, 1, phase.id())
              .map(AircraftHistories::flown)
              .ifPresent(found::add);
        }
      }
    }
    return found;
  }

  private IntFunction<Setup> setups(long aircraftId) {
    Map<Integer, Setup> read = new HashMap<>();
    return number -> read.computeIfAbsent(number, one -> hangar.revision(aircraftId, one).setup());
  }

  private static History.Step step(Descent one) {
    RevisionHeader header = one.revision();
    Origin origin =
        header.fromAdjustment()
            ? Origin.ADJUSTED
            : header.corrects()
                ? Origin.CORRECTED
                : header.restored() ? Origin.RESTORED : Origin.EDITED;
    return new History.Step(
        header.number(),
        header.createdAt().atZone(ZoneOffset.UTC).toLocalDate(),
        origin,
        one.parted(),
        one.setsTrims(),
        header.flewWell());
  }

  /** A flight as the core reads it. */
  static LoggedFlight flown(Flight one) {
    return new LoggedFlight(
        one.id(),
        one.revisionNumber(),
        one.report(),
        one.marks().leftOut(),
        one.marks().simulated(),
        one.marks().signsConfirmed());
  }

  /** Where a model stands. */
  @Transactional(readOnly = true)
  public ModelStanding standing(long aircraftId) {
    return standing(aircraftId, history(aircraftId));
  }

  private ModelStanding standing(long aircraftId, History history) {
    List<Object> from =
        List.of(
            history.setup(),
            history.revisions(),
            history.flights(),
            history.said(),
            history.orders(),
            history.open(),
            history.changes(),
            history.readings(),
            history.grounding());
    Known last = known(aircraftId);
    if (last != null && last.from().equals(from)) {
      return last.standing();
    }
    ModelStanding found = ModelStanding.of(history);
    keep(aircraftId, new Known(from, found));
    return found;
  }

  private synchronized Known known(long aircraftId) {
    return known.get(aircraftId);
  }

  private synchronized void keep(long aircraftId, Known found) {
    known.put(aircraftId, found);
  }

  /** What a plan would turn. */
  @Transactional(readOnly = true)
  public PlannedTrims planned(long aircraftId, PlanOptions wish) {
    return ModelStanding.planned(history(aircraftId), wish);
  }

  @Override
  public String told() {
    return "history";
  }

  @Override
  @Transactional(readOnly = true)
  public void workOut(long aircraftId) {
    history(aircraftId);
    standing(aircraftId);
  }
}
