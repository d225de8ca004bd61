package hightally.core.flightlog;

import hightally.core.flightlog.PhaseReading.Sure;
import hightally.core.flightlog.TrimSeries.State;
import hightally.core.flightlog.TrimSeries.TrimPoint;
import hightally.core.program.Phase;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.HouseValues;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * When a trim has settled: the newest flights that count agree, and they are enough. What counts
 * and what the states mean stands in {@code docs/computation.md}; thresholds are house values.
 */
public final class Settling {
  private static final double OTHER_THROTTLE_PERCENT = 30;

  /** A sign noted wrongly can be told from an odd flight beyond this difference, clicks. */
  private static final int OPPOSITE_CLICKS = 6;

  private final Setup setup;
  private final HouseValues house;
  private final List<LoggedFlight> flights;
  private final List<SeriesBreak> breaks;
  private final List<MarkedSettled> said;
  private final Map<Control, Double> mmPerClick = new EnumMap<>(Control.class);

  private Settling(
      Setup setup, List<LoggedFlight> flights, List<SeriesBreak> breaks, List<MarkedSettled> said) {
    this.setup = setup;
    house = setup.house();
    this.flights = inOrder(flights);
    this.breaks = breaks;
    this.said = said;
  }

  /** Flights by day and number, oldest first. */
  static List<LoggedFlight> inOrder(List<LoggedFlight> flights) {
    return flights.stream()
        .sorted(
            Comparator.comparing((LoggedFlight one) -> one.report().flownOn())
                .thenComparing(LoggedFlight::flight))
        .toList();
  }

  /**
   * All series of a model.
   *
   * @param setup as it is now
   * @param flights in any order
   * @param breaks what voids what
   * @param said what the pilot says has settled
   */
  public static List<TrimSeries> of(
      Setup setup, List<LoggedFlight> flights, List<SeriesBreak> breaks, List<MarkedSettled> said) {
    Settling settling = new Settling(setup, flights, breaks, said);
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

  /** One series, from the flights alone. */
  public static TrimSeries of(
      Setup setup,
      List<LoggedFlight> flights,
      List<SeriesBreak> breaks,
      String phase,
      Control control) {
    return new Settling(setup, flights, breaks, List.of()).series(phase, control);
  }

  private Optional<PhaseReading> reading(LoggedFlight one, String phase) {
    return one.reading(phase, setup.basePhase().id());
  }

  private int clicks(LoggedFlight one, String phase, Control control) {
    return reading(one, phase).orElseThrow().trims().of(control);
  }

  /** Which flight of its day it is, from 1; 0 for the only one. */
  private int ofDay(LoggedFlight flight) {
    List<LoggedFlight> day =
        flights.stream()
            .filter(one -> one.report().flownOn().equals(flight.report().flownOn()))
            .toList();
    return day.size() > 1 ? day.indexOf(flight) + 1 : 0;
  }

  private TrimSeries series(String phase, Control control) {
    List<LoggedFlight> flown =
        flights.stream().filter(one -> reading(one, phase).isPresent()).toList();
    LoggedFlight newest =
        flown.stream()
            .filter(one -> one.leftOut().isEmpty() && !one.simulated())
            .reduce((first, second) -> second)
            .orElse(null);
    List<LoggedFlight> counting = new ArrayList<>();
    Map<Long, Said> why = new java.util.HashMap<>();
    for (LoggedFlight one : flown) {
      Said reason = whyNot(one, newest, phase, control);
      why.put(one.flight(), reason);
      if (reason.isEmpty()) {
        counting.add(one);
      }
    }
    List<Integer> clicks = counting.stream().map(one -> clicks(one, phase, control)).toList();
    AgreeingRun run = AgreeingRun.of(clicks, house.settledClicks());
    LoggedFlight last = counting.isEmpty() ? null : counting.get(counting.size() - 1);
    long asked = opposite(run, last, phase, control) ? last.flight() : 0;
    if (asked != 0) {
      why.put(asked, Said.of("log.signAskedAbout"));
      counting.remove(counting.size() - 1);
      run = run.withoutNewest(house.settledClicks());
    }
    List<LoggedFlight> agreeing = counting.subList(run.first(), counting.size());
    List<TrimPoint> points = new ArrayList<>();
    for (LoggedFlight one : flown) {
      Said reason = why.get(one.flight());
      points.add(
          new TrimPoint(
              one.flight(),
              one.report().flownOn(),
              ofDay(one),
              clicks(one, phase, control),
              reason.isEmpty(),
              agreeing.contains(one),
              reason));
    }
    Judged judged = judged(phase, control, run, asked, last);
    MarkedSettled word = word(phase, control, counting, run);
    boolean taken = word != null && judged.state() != State.SETTLED && asked == 0;
    return new TrimSeries(
        phase,
        control,
        taken ? State.SETTLED : judged.state(),
        run.median(),
        run.size(),
        taken ? Said.of("log.settledByWord", "because", word.because()) : judged.words(),
        notes(phase, control, counting, run),
        asked,
        taken ? word.because() : "",
        points);
  }

  private record Judged(State state, Said words) {}

  private Judged judged(
      String phase, Control control, AgreeingRun run, long asked, LoggedFlight newest) {
    if (asked != 0) {
      int noted = clicks(newest, phase, control);
      return new Judged(
          State.OPPOSITE,
          Said.of(
              "log.otherWayRound",
              "noted",
              new Clicks(control, noted),
              "others",
              new Clicks(control, run.median()),
              "day",
              newest.report().flownOn()));
    }
    int drift = run.drift();
    if (drift != 0) {
      return new Judged(
          State.DRIFTING, Said.of("log.drifts", "clicks", new Clicks(control, drift)));
    }
    int lacking = house.settledFlights() - run.size();
    if (lacking > 0) {
      return new Judged(State.NOT_YET, missing(control, run, lacking));
    }
    double mm = Math.abs(run.median()) * mmPerClick(control);
    if (mm >= house.suspiciousMm()) {
      return new Judged(
          State.TOO_LARGE, Said.of("log.symptomFirst", "mm", Quantity.mm(mm), "control", control));
    }
    return new Judged(
        State.SETTLED, Said.of("log.settled", "flights", run.size(), "apart", run.spread()));
  }

  private static Said missing(Control control, AgreeingRun run, int lacking) {
    if (run.size() == 0) {
      return Said.of("log.moreCalmFlights", "lacking", lacking);
    }
    List<Clicks> agree = run.clicks().stream().map(one -> new Clicks(control, one)).toList();
    return Said.of(
        "log.agreeSoFar", "flights", agree.size(), "clicks", Said.list(agree), "lacking", lacking);
  }

  private Said whyNot(LoggedFlight one, LoggedFlight newest, String phase, Control control) {
    FlightReport report = one.report();
    if (one.simulated()) {
      return Said.of("log.simulatedFlight");
    }
    if (!one.leftOut().isEmpty()) {
      return Said.of("log.leftOut", "because", one.leftOut());
    }
    for (SeriesBreak each : breaks) {
      if (each.before(one) && each.voids(phase, control)) {
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
    double moved = report.movedFrom(newest.report());
    if (control == Control.PITCH && moved > house.sameCgMm()) {
      return Said.of("log.balanceMoved", "moved", Quantity.mm(moved, 0));
    }
    return report.battery().equals(newest.report().battery())
        ? Said.NOTHING
        : Said.of("log.anotherPack");
  }

  /** Whether the newest flight has about the value of those before it and the other sign. */
  private boolean opposite(AgreeingRun run, LoggedFlight newest, String phase, Control control) {
    if (run.all().size() < 2 || newest.confirmed(phase, control)) {
      return false;
    }
    int value = run.withoutNewest(house.settledClicks()).median();
    int noted = clicks(newest, phase, control);
    return Math.abs(noted + value) <= house.settledClicks()
        && Math.abs(noted - value) > OPPOSITE_CLICKS;
  }

  /** The pilot's word, where it still holds. */
  private MarkedSettled word(
      String phase, Control control, List<LoggedFlight> counting, AgreeingRun run) {
    MarkedSettled last =
        said.stream()
            .filter(one -> one.phase().equals(phase) && one.control() == control)
            .reduce((first, second) -> second)
            .orElse(null);
    if (last == null || counting.stream().noneMatch(one -> one.flight() == last.flight())) {
      return null;
    }
    int then = counting.size();
    while (counting.get(then - 1).flight() != last.flight()) {
      then--;
    }
    int value = AgreeingRun.of(run.all().subList(0, then), house.settledClicks()).median();
    return Math.abs(run.median() - value) <= house.settledClicks() ? last : null;
  }

  private List<Said> notes(
      String phase, Control control, List<LoggedFlight> counting, AgreeingRun run) {
    List<Said> found = new ArrayList<>();
    List<LoggedFlight> agreeing = counting.subList(run.first(), counting.size());
    List<LoggedFlight> older = counting.subList(0, run.first());
    jump(phase, control, older, agreeing, run).ifPresent(found::add);
    if (agreeing.stream().anyMatch(one -> reading(one, phase).orElseThrow().turnsDiffer())) {
      found.add(Said.of("log.turnsDiffer"));
    } else if (older.stream().anyMatch(one -> reading(one, phase).orElseThrow().turnsDiffer())) {
      found.add(Said.of("log.turnsDifferedBefore"));
    }
    if (oneThrottle(phase, control, older, agreeing, run)) {
      found.add(Said.of("log.oneThrottle"));
    }
    return found;
  }

  /** The clicks moved at once and stayed: what was changed between, and whether it explains it. */
  private Optional<Said> jump(
      String phase,
      Control control,
      List<LoggedFlight> older,
      List<LoggedFlight> agreeing,
      AgreeingRun run) {
    if (older.isEmpty() || agreeing.isEmpty()) {
      return Optional.empty();
    }
    LoggedFlight last = older.get(older.size() - 1);
    int jumped = run.median() - clicks(last, phase, control);
    if (Math.abs(jumped) <= 2 * house.settledClicks() || run.drift() != 0) {
      return Optional.empty();
    }
    List<Said> between = new ArrayList<>();
    for (SeriesBreak one : breaks) {
      if (one.before(last) && !one.before(agreeing.get(0))) {
        between.add(
            Said.of(
                "log.explainsOthers",
                "why",
                one.why(),
                "some",
                !one.controls().isEmpty(),
                "controls",
                Said.list(one.controls()),
                "control",
                control));
      }
    }
    Said jump =
        Said.of(
            "log.jumped",
            "control",
            control,
            "clicks",
            new Clicks(control, jumped),
            "from",
            last.report().flownOn(),
            "to",
            agreeing.get(0).report().flownOn(),
            "first",
            ofDay(last),
            "second",
            ofDay(agreeing.get(0)),
            "sameDay",
            last.report().flownOn().equals(agreeing.get(0).report().flownOn()));
    between.add(0, jump);
    between.add(Said.of("log.whatSlipped"));
    return Optional.of(Said.all(between.toArray(Said[]::new)));
  }

  /** Flights at about the throttle of the newest agree; one at another throttle does not. */
  private boolean oneThrottle(
      String phase,
      Control control,
      List<LoggedFlight> older,
      List<LoggedFlight> agreeing,
      AgreeingRun run) {
    double[] throttles =
        agreeing.stream()
            .mapToDouble(one -> reading(one, phase).orElseThrow().throttlePercent())
            .toArray();
    if (older.isEmpty() || throttles.length == 0) {
      return false;
    }
    LoggedFlight last = older.get(older.size() - 1);
    double then = reading(last, phase).orElseThrow().throttlePercent();
    boolean apart =
        IntStream.range(0, throttles.length)
            .allMatch(i -> Math.abs(throttles[i] - then) >= OTHER_THROTTLE_PERCENT);
    return apart && Math.abs(clicks(last, phase, control) - run.median()) > house.settledClicks();
  }

  /** What one click moves at the surface it moves most: its chord times a small angle. */
  private double mmPerClick(Control control) {
    return mmPerClick.computeIfAbsent(control, one -> MillimetresPerClick.most(setup, one));
  }
}
