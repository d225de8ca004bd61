package hightally.core.log;

import hightally.core.log.PhaseReading.Sure;
import hightally.core.log.TrimSeries.State;
import hightally.core.log.TrimSeries.TrimPoint;
import hightally.core.phase.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * When a trim has settled: enough agreeing flights in calm air, with the same balance point and
 * pack, since something relevant changed. Thresholds are house values.
 */
public final class Settling {
  private static final double OTHER_THROTTLE_PERCENT = 30;
  private static final int TREND = 3;

  private final Setup setup;
  private final HouseValues house;
  private final List<FlownOnce> flights;
  private final List<SeriesBreak> breaks;
  private final Map<Control, Double> mmPerClick = new EnumMap<>(Control.class);

  /** A flight: its number, its report, and the revision it was on. */
  public record FlownOnce(long flight, int revision, FlightReport report) {}

  /**
   * Something that voids what was flown before.
   *
   * @param fromRevision the first revision after it
   * @param fromDay the day of it, where no revision tells; null otherwise
   * @param fromFlight number of the first flight after it, where neither tells; 0 otherwise
   * @param controls whose trims it voids
   * @param why in a few words
   */
  public record SeriesBreak(
      int fromRevision, LocalDate fromDay, long fromFlight, List<Control> controls, Said why) {
    /** By revision and day. */
    public SeriesBreak(int fromRevision, LocalDate fromDay, List<Control> controls, Said why) {
      this(fromRevision, fromDay, 0, controls, why);
    }

    boolean before(FlownOnce flight) {
      return flight.revision() < fromRevision
          || flight.flight() < fromFlight
          || fromDay != null && flight.report().flownOn().isBefore(fromDay);
    }
  }

  private Settling(Setup setup, List<FlownOnce> flights, List<SeriesBreak> breaks) {
    this.setup = setup;
    house = setup.house();
    this.flights =
        flights.stream()
            .sorted(
                Comparator.comparing((FlownOnce one) -> one.report().flownOn())
                    .thenComparing(FlownOnce::flight))
            .toList();
    this.breaks = breaks;
  }

  /**
   * All series of a model.
   *
   * @param setup as it is now
   * @param flights in any order
   * @param breaks what voids what
   */
  public static List<TrimSeries> of(
      Setup setup, List<FlownOnce> flights, List<SeriesBreak> breaks) {
    Settling settling = new Settling(setup, flights, breaks);
    List<TrimSeries> found = new ArrayList<>();
    for (Phase phase : setup.phases()) {
      for (Control control : Control.values()) {
        if (setup.surfaces().stream().anyMatch(one -> one.shares().of(control) != 0)) {
          found.add(settling.series(phase.id(), control));
        }
      }
    }
    return found;
  }

  private TrimSeries series(String phase, Control control) {
    List<FlownOnce> flown =
        flights.stream().filter(one -> reading(one, phase).isPresent()).toList();
    List<TrimPoint> points = new ArrayList<>();
    List<FlownOnce> counting = new ArrayList<>();
    for (FlownOnce one : flown) {
      Said why = whyNot(one, flown.get(flown.size() - 1), phase, control);
      int clicks = reading(one, phase).orElseThrow().trims().of(control);
      points.add(new TrimPoint(one.flight(), one.report().flownOn(), clicks, why.isEmpty(), why));
      if (why.isEmpty()) {
        counting.add(one);
      }
    }
    List<Integer> clicks =
        counting.stream()
            .map(one -> reading(one, phase).orElseThrow().trims().of(control))
            .toList();
    List<Integer> agreeing = agreeing(clicks);
    int middle = middle(agreeing);
    Said suspicion = suspicion(phase, control, counting, clicks, middle);
    if (!suspicion.isEmpty()) {
      return new TrimSeries(phase, control, State.SUSPICIOUS, middle, suspicion, points);
    }
    Said missing = missing(clicks);
    return missing.isEmpty()
        ? new TrimSeries(phase, control, State.SETTLED, middle, settled(agreeing), points)
        : new TrimSeries(phase, control, State.NOT_YET, middle, missing, points);
  }

  private Optional<PhaseReading> reading(FlownOnce one, String phase) {
    return one.report().readings(setup.basePhase().id()).stream()
        .filter(reading -> reading.phase().equals(phase))
        .findFirst();
  }

  private Said whyNot(FlownOnce one, FlownOnce newest, String phase, Control control) {
    FlightReport report = one.report();
    for (SeriesBreak each : breaks) {
      if (each.before(one) && each.controls().contains(control)) {
        return each.why();
      }
    }
    if (reading(one, phase).orElseThrow().sure() == Sure.NOT) {
      return Said.of("log.pilotNotSure");
    }
    if (report.air() != FlightReport.Air.SMOOTH) {
      return Said.of("log.airNotSmooth");
    }
    if (report.wind() == FlightReport.Wind.FRESH || report.wind() == FlightReport.Wind.STRONG) {
      return Said.of("log.tooMuchWind");
    }
    double moved = Math.abs(report.cgMm() - newest.report().cgMm());
    if (control == Control.PITCH && moved > house.sameCgMm()) {
      return Said.of("log.balancePointMovedSince", "moved", Quantity.mm(moved, 0));
    }
    if (control == Control.PITCH && !report.battery().equals(newest.report().battery())) {
      return Said.of("log.anotherPack");
    }
    return Said.NOTHING;
  }

  private static int middle(List<Integer> clicks) {
    return clicks.isEmpty() ? 0 : clicks.stream().sorted().toList().get((clicks.size() - 1) / 2);
  }

  private static int spread(List<Integer> clicks) {
    return clicks.stream().mapToInt(Integer::intValue).max().orElse(0)
        - clicks.stream().mapToInt(Integer::intValue).min().orElse(0);
  }

  private Said missing(List<Integer> clicks) {
    int lacking = house.settledFlights() - clicks.size();
    if (lacking > 0) {
      return Said.of("log.moreCalmFlights", "lacking", lacking);
    }
    List<Integer> newest = clicks.subList(clicks.size() - house.settledFlights(), clicks.size());
    return spread(newest) > house.settledClicks()
        ? Said.of(
            "log.lastFlightsDifferClicksAgree",
            "spread",
            spread(newest),
            "settledClicks",
            house.settledClicks())
        : Said.NOTHING;
  }

  /** The newest flights that agree, as many as do. */
  private List<Integer> agreeing(List<Integer> clicks) {
    int first = clicks.size();
    while (first > 0 && spread(clicks.subList(first - 1, clicks.size())) <= house.settledClicks()) {
      first--;
    }
    return clicks.subList(first, clicks.size());
  }

  private static Said settled(List<Integer> agreeing) {
    int apart = spread(agreeing);
    return Said.of("log.settled", "flights", agreeing.size(), "apart", apart);
  }

  private Said suspicion(
      String phase, Control control, List<FlownOnce> counting, List<Integer> clicks, int middle) {
    if (clicks.size() >= TREND && grows(clicks) && spread(clicks) > house.settledClicks()) {
      return Said.of("log.growsFromFlightFlightSomething");
    }
    if (counting.stream().anyMatch(one -> reading(one, phase).orElseThrow().turnsDiffer())) {
      return Said.of("log.leftRightTurnsFlyDifferently");
    }
    if (byThrottle(phase, control, counting)) {
      return Said.of("log.fitsOnlyOneThrottleSetting");
    }
    double mm = Math.abs(middle) * mmPerClick(control);
    if (mm >= house.suspiciousMm()) {
      return Said.of("log.trailingEdgeSymptomLookFirst", "mm", Quantity.mm(mm), "control", control);
    }
    return Said.NOTHING;
  }

  private static boolean grows(List<Integer> clicks) {
    List<Integer> last = clicks.subList(clicks.size() - TREND, clicks.size());
    boolean up = true;
    boolean down = true;
    for (int i = 1; i < last.size(); i++) {
      up &= last.get(i) > last.get(i - 1) + 1;
      down &= last.get(i) < last.get(i - 1) - 1;
    }
    return up || down;
  }

  /** Flights with little and with much throttle agree among themselves but not with one another. */
  private boolean byThrottle(String phase, Control control, List<FlownOnce> counting) {
    for (FlownOnce one : counting) {
      for (FlownOnce other : counting) {
        PhaseReading a = reading(one, phase).orElseThrow();
        PhaseReading b = reading(other, phase).orElseThrow();
        boolean apart = b.throttlePercent() - a.throttlePercent() >= OTHER_THROTTLE_PERCENT;
        int differs = Math.abs(a.trims().of(control) - b.trims().of(control));
        if (apart && differs > house.settledClicks()) {
          return true;
        }
      }
    }
    return false;
  }

  /** What one click moves at the surface it moves most: its chord times a small angle. */
  private double mmPerClick(Control control) {
    return mmPerClick.computeIfAbsent(control, one -> MillimetresPerClick.most(setup, one));
  }
}
