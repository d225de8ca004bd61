package hightally.app.flight;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Lineage;
import hightally.app.guide.NotedChange;
import hightally.app.guide.PartChanges;
import hightally.app.platform.Page;
import hightally.core.log.PhaseReading;
import hightally.core.log.Settling;
import hightally.core.log.Settling.FlownOnce;
import hightally.core.log.Settling.SeriesBreak;
import hightally.core.log.StandingTrims;
import hightally.core.log.TrimSeries;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether the trims of every phase have settled. */
@Service
public class TrimLog {
  /**
   * So many of the newest flights are looked at. Three that agree are asked for and a few more show
   * whether something drifts; what lies further back has no say.
   */
  private static final int NEWEST = 40;

  private final Hangar hangar;
  private final FlightLog flights;
  private final PartChanges changes;
  private final Lineage lineage;
  private final List<TrimParting> partings;

  TrimLog(
      Hangar hangar,
      FlightLog flights,
      PartChanges changes,
      Lineage lineage,
      List<TrimParting> partings) {
    this.partings = partings;
    this.hangar = hangar;
    this.flights = flights;
    this.changes = changes;
    this.lineage = lineage;
  }

  /**
   * All series.
   *
   * @param reference id of the phase flown most, proposed for the rods
   * @param ready whether a series has settled and is not at zero
   */
  public record SettlingSheet(String reference, boolean ready, List<TrimSeries> series) {}

  /** All series of an aircraft. */
  @Transactional(readOnly = true)
  public SettlingSheet settling(long id) {
    Setup setup = hangar.newest(id).setup();
    List<FlownOnce> flown = flown(id);
    List<TrimSeries> series = Settling.of(setup, flown, breaks(id, flown));
    List<Phase> lastFirst = new ArrayList<>(setup.phases());
    Collections.reverse(lastFirst);
    String reference =
        lastFirst.stream()
            .max(
                Comparator.comparingLong(
                    phase ->
                        series.stream()
                            .filter(one -> one.phase().equals(phase.id()))
                            .flatMap(one -> one.points().stream())
                            .filter(TrimSeries.TrimPoint::counts)
                            .count()))
            .orElseThrow()
            .id();
    boolean ready =
        series.stream()
            .anyMatch(
                one ->
                    one.state() == TrimSeries.State.SETTLED
                        && Math.abs(one.clicks()) > setup.house().leaveClicks());
    return new SettlingSheet(reference, ready, series);
  }

  /** The clicks that stand in the transmitter now. */
  @Transactional(readOnly = true)
  public StandingTrims standing(long id) {
    int since = lineage.since(id);
    Setup setup = hangar.newest(id).setup();
    List<FlownOnce> holding =
        new ArrayList<>(flown(id).stream().filter(one -> one.revision() >= since).toList());
    String base = setup.basePhase().id();
    for (Phase phase : setup.phases()) {
      boolean seen =
          holding.stream()
              .flatMap(one -> one.report().readings(base).stream())
              .anyMatch(reading -> reading.phase().equals(phase.id()));
      if (!seen) {
        flights.newestIn(id, since, phase.id()).map(TrimLog::flownOnce).ifPresent(holding::add);
      }
    }
    return StandingTrims.of(setup, holding);
  }

  private List<FlownOnce> flown(long id) {
    return flights.flights(id, new Page.Asked(0, NEWEST)).items().stream()
        .map(TrimLog::flownOnce)
        .toList();
  }

  private static FlownOnce flownOnce(Flight one) {
    return new FlownOnce(one.id(), one.revisionNumber(), one.report());
  }

  /**
   * What a flight was trimmed to in every phase, each trim that has settled replaced by the middle
   * of the flights that count: one flight is a click off easily.
   */
  @Transactional(readOnly = true)
  public List<PhaseReading> settled(long id, Flight flight) {
    String base = hangar.newest(id).setup().basePhase().id();
    List<TrimSeries> series = settling(id).series();
    List<PhaseReading> found = new ArrayList<>();
    for (PhaseReading reading : flight.report().readings(base)) {
      Trims trims = reading.trims();
      for (TrimSeries one : series) {
        if (one.phase().equals(reading.phase()) && one.state() == TrimSeries.State.SETTLED) {
          trims = trims.with(one.control(), one.clicks());
        }
      }
      found.add(reading.withTrims(trims));
    }
    return found;
  }

  private List<SeriesBreak> breaks(long id, List<FlownOnce> flown) {
    List<Control> all = List.of(Control.values());
    List<SeriesBreak> breaks = new ArrayList<>();
    int oldest = flown.stream().mapToInt(FlownOnce::revision).min().orElse(Integer.MAX_VALUE);
    for (Lineage.Parting parting : lineage.partings(id, oldest)) {
      breaks.add(new SeriesBreak(parting.revision().number(), null, all, Said.text(parting.why())));
    }
    for (NotedChange change : changes.of(id)) {
      List<Control> voided =
          change.checks().stream()
              .flatMap(one -> one.voided().trimsOf().stream())
              .distinct()
              .toList();
      if (!voided.isEmpty()) {
        breaks.add(
            new SeriesBreak(
                change.revisionNumber(),
                change.changedAt().atZone(ZoneOffset.UTC).toLocalDate(),
                voided,
                Said.of("log.partChanged", "part", change.change().subject())));
      }
    }
    for (TrimParting one : partings) {
      for (TrimParting.Parted parted : one.of(id)) {
        breaks.add(
            new SeriesBreak(0, null, firstAfter(id, parted.at()), parted.controls(), parted.why()));
      }
    }
    return breaks;
  }

  private long firstAfter(long id, Instant at) {
    return flights.flights(id, new Page.Asked(0, NEWEST)).items().stream()
        .filter(one -> one.notedAt().isAfter(at))
        .mapToLong(Flight::id)
        .min()
        .orElse(Long.MAX_VALUE);
  }
}
